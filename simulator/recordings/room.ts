import type { Seconds } from '@wax-fist/core/units';
import type { Random } from '../random.ts';
import { heardRate } from './library.ts';

/** A room: a few early reflections and a tail of noise that falls by 60 dB in its time, in place. */
export function inHall(samples: Float32Array, random: Random, falls: Seconds, share: number): void {
  if (falls <= 0) return;
  const taps = Array.from({ length: 140 }, (_, place) => {
    const at = 0.004 + (place < 8 ? random.between(0.002, 0.06) : falls * random.next() ** 1.5);
    return {
      shift: Math.round(at * heardRate),
      level: share * random.between(-1, 1) * 10 ** ((-3 * at) / falls) * (place < 8 ? 1 : 0.45),
    };
  });
  const dry = samples.slice();
  for (const { shift, level } of taps)
    for (let index = shift; index < samples.length; index++) samples[index]! += level * dry[index - shift]!;
}

/** A microphone that is dull (above 0) or sharp, in place. */
export function heardThrough(samples: Float32Array, dull: number): void {
  let smooth = 0;
  for (const [index, value] of samples.entries()) {
    smooth += (1 - Math.abs(dull)) * (value - smooth);
    samples[index] = dull >= 0 ? smooth : value + dull * smooth;
  }
}

/** What phones do: turn down at once what is loud, and up slowly what is quiet. In place. */
export function withAutomaticGain(samples: Float32Array): void {
  let level = 0.05;
  const [down, up] = [1 - Math.exp(-1 / (0.004 * heardRate)), 1 - Math.exp(-1 / (0.35 * heardRate))];
  for (const [index, value] of samples.entries()) {
    const now = Math.abs(value);
    level += (now > level ? down : up) * (now - level);
    samples[index] = (value * 0.25) / (0.08 + level);
  }
}
