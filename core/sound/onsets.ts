import { quantile } from 'd3-array';
import { peaksApart } from '../peaks.ts';
import type { Decibels, Ms } from '../units.ts';
import { bandStep } from './bands.ts';

/** Two hits are never closer than this. */
const refractory: Ms = 70;
/** Rises are measured from the loudest moment of this span before. */
const before: Ms = 40;
const rise: Ms = 8;
/** The peak is looked for no later than this: a vowel that follows is not the hit's. */
const longestAttack: Ms = 36;
/** A band that rises by this much has risen; more does not make it more of a hit. */
const fullRise: Decibels = 15;
/** A rise, on average over the bands, below which nothing is looked at. */
const leastRise: Decibels = 1.2;

/** How many steps of `bandStep` a time is; one at least. */
export const stepsIn = (time: Ms): number => Math.max(1, Math.round(time / bandStep));
/** Ten times the logarithm of a power; silence is −120 dB. */
export const decibelsOf = (power: number): Decibels => 10 * Math.log10(power + 1e-12);

/** A sudden sound, places in steps of `bandStep`. */
export interface Onset {
  /** Where it begins. */
  begin: number;
  /** Where it is loudest. */
  peak: number;
  /** How far it rises above what came before, on average over the bands. */
  rise: Decibels;
}

/** Mean of the last `span` values at every place. */
export function meanBefore(values: Float32Array, span: number): Float32Array {
  const means = new Float32Array(values.length);
  let sum = 0;
  for (let index = 0; index < values.length; index++) {
    sum += values[index]! - (index >= span ? values[index - span]! : 0);
    means[index] = Math.max(0, sum) / Math.min(span, index + 1);
  }
  return means;
}

/** How far each step's sound rises above what came before, averaged over the bands: what is short and broad stands out. */
function riseOf(bands: readonly Float32Array[]): Float32Array {
  const total = new Float32Array(bands[0]!.length);
  const [span, back] = [stepsIn(rise), stepsIn(before)];
  for (const band of bands) {
    const smooth = meanBefore(band, span);
    // A floor under the band, so that a rise out of silence is no larger than one that can be heard.
    const floor = (quantile(smooth, 0.3) ?? 0) + 1e-9;
    const level = smooth.map((power) => decibelsOf(power + floor));
    const quiet = decibelsOf(floor);
    for (let step = 0; step + span <= total.length; step++) {
      const now = level[step + span - 1]!;
      let loudest = quiet;
      for (let past = step > back ? step - back : 0; past < step && loudest < now; past++) {
        if (level[past]! > loudest) loudest = level[past]!;
      }
      if (now > loudest) total[step]! += Math.min(fullRise, now - loudest) / bands.length;
    }
  }
  return total;
}

/** Where the sound begins that is loudest at `peak`: a tenth of the way up from what was there before. */
function beginBefore(smooth: Float32Array, peak: number, guess: number): number {
  const earliest = Math.max(0, guess - 3);
  let quietest = Infinity;
  for (let at = Math.max(0, guess - 8); at <= guess; at++) quietest = Math.min(quietest, smooth[at]!);
  const edge = quietest + 0.1 * (smooth[peak]! - quietest);
  let begin = peak;
  while (begin > earliest && smooth[begin - 1]! > edge) begin--;
  return begin;
}

/**
 * Every sudden sound, in order of time.
 * @param bands as `bandPowers` gives them
 * @param heard power of all that tells where a sound begins
 */
export function onsetsIn(bands: readonly Float32Array[], heard: Float32Array): Onset[] {
  const smooth = meanBefore(heard, 3);
  const rises = riseOf(bands);
  const reach = stepsIn(longestAttack);
  return peaksApart(rises, leastRise, stepsIn(refractory)).map((step) => {
    let peak = step;
    for (let at = step; at < Math.min(smooth.length, step + reach); at++) if (smooth[at]! > smooth[peak]!) peak = at;
    return { begin: beginBefore(smooth, peak, step), peak, rise: rises[step]! };
  });
}
