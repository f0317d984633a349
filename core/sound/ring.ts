import FFT from 'fft.js';
import type { Ms } from '../units.ts';
import { finite } from './finite.ts';

/** A bell, a buzzer or a timer's beep. */
export interface Ring {
  time: Ms;
  hertz: number;
}

const window = 1024;
const every: Ms = 32;
const [lowest, highest] = [380, 4200];
/** Share of a moment's sound that one tone must have. */
const leastShare = 0.5;
/** A tone as long as this rings; one that goes on for longer hums. */
const [shortest, longest]: [Ms, Ms] = [300, 3000];
/** Strokes closer than this are one ring: three strokes end a round. */
const sameRing: Ms = 4000;
/** Rings of one bell are at least this far apart; a tune comes back sooner. Where hardly anything else has a tone, short rests may do. */
const leastBetween: Ms = 15_000;
const leastAlone: Ms = 6000;

interface Tone {
  from: Ms;
  to: Ms;
  hertz: number;
}

/** The loudest tone of a moment, when it outweighs all else. */
function loudestTone(spectrum: ArrayLike<number>, sampleRate: number): number | undefined {
  const width = sampleRate / window;
  let [total, best, place] = [1e-9, 0, 0];
  const power = (bin: number): number => spectrum[2 * bin]! ** 2 + spectrum[2 * bin + 1]! ** 2;
  for (let bin = Math.ceil(120 / width); bin < window / 2 - 1; bin++) {
    const here = power(bin);
    total += here;
    if (here > best) [best, place] = [here, bin];
  }
  const near = power(place - 1) + best + power(place + 1);
  if (near / total < leastShare || place * width < lowest || place * width > highest) return undefined;
  return ((place - 1) * power(place - 1) + place * best + (place + 1) * power(place + 1)) * (width / near);
}

/** Steady tones of 0.3 to 3 seconds. */
function steadyTones(samples: Float32Array, sampleRate: number): Tone[] {
  const transform = new FFT(window);
  const [input, spectrum] = [new Array<number>(window), transform.createComplexArray()];
  const hann = Float64Array.from({ length: window }, (_, place) => 0.5 - 0.5 * Math.cos((2 * Math.PI * place) / window));
  const hop = Math.round((every / 1000) * sampleRate);
  const tones: Tone[] = [];
  for (let from = 0; from + window <= samples.length; from += hop) {
    let power = 0;
    for (let place = 0; place < window; place++) {
      const sample = samples[from + place]!;
      power += sample * sample;
      input[place] = sample * hann[place]!;
    }
    // Far below what any bell in the room would be.
    if (power / window < 1e-6) continue;
    transform.realTransform(spectrum, input);
    const hertz = loudestTone(spectrum, sampleRate);
    if (hertz === undefined) continue;
    const time = (from / sampleRate) * 1000;
    const last = tones.findLast((tone) => time - tone.to <= 2.5 * every && Math.abs(hertz / tone.hertz - 1) < 0.03);
    if (last) last.to = time;
    else tones.push({ from: time, to: time, hertz });
  }
  return tones.filter(({ from, to }) => to - from + every >= shortest && to - from <= longest);
}

/**
 * Bells and beeps in a film's sound. Tones that come back within a quarter of a minute, among others, are a tune and no bell.
 * @param samples mono, −1 to 1; what is no number is silence
 */
export function findRings(samples: Float32Array, sampleRate: number): Ring[] {
  const tones = steadyTones(finite(samples), sampleRate);
  const bells: Tone[][] = [];
  for (const tone of tones) {
    const bell = bells.find(([first]) => Math.abs(first!.hertz / tone.hertz - 1) < 0.03);
    if (bell) bell.push(tone);
    else bells.push([tone]);
  }
  return bells
    .flatMap((strokes) => {
      const rings = strokes.filter(({ from }, place) => place === 0 || from - strokes[place - 1]!.from > sameRing);
      const alone = tones.length - strokes.length <= rings.length / 2;
      const apart = alone ? leastAlone : leastBetween;
      return rings.every(({ from }, place) => place === 0 || from - rings[place - 1]!.from >= apart) ? rings : [];
    })
    .map(({ from, hertz }) => ({ time: from, hertz }))
    .sort((a, b) => a.time - b.time);
}
