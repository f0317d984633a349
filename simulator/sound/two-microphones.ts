import type { Seconds } from '@wax-fist/core/units';
import { disturbanceOf } from './disturbance.ts';
import { practiceSound } from './practice.ts';
import { sampleRate } from './voices.ts';

export interface TwoMicrophones {
  seed: number;
  seconds: Seconds;
  /** Time in the second = time in the first × (1 + drift) + offset; milliseconds. */
  offset: number;
  drift: number;
}

/** The same round as two phones hear it: the second stands elsewhere, so that it has another tone, another level and its own noise. */
export function twoMicrophones({ seed, seconds, offset, drift }: TwoMicrophones): [Float32Array, Float32Array] {
  const { samples } = practiceSound({ seed, seconds: seconds + 20, on: 'bag' });
  const margin = 10 * sampleRate;
  const one = samples.slice(margin, margin + seconds * sampleRate);
  const murmur = disturbanceOf('noise', seed + 1, seconds);
  let dull = 0;
  const other = Float32Array.from({ length: seconds * sampleRate }, (_, index) => {
    const inFirst = (index - (offset / 1000) * sampleRate) / (1 + drift) + margin;
    const place = Math.floor(inFirst);
    const share = inFirst - place;
    const heard = (samples[place] ?? 0) * (1 - share) + (samples[place + 1] ?? 0) * share;
    dull += 0.4 * (heard - dull);
    return 0.5 * dull + 0.004 * murmur[index]!;
  });
  return [one, other];
}
