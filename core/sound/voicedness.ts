import type { Ms, Ratio } from '../units.ts';

/** Span in which pitch is looked for; it has to hold the longest period twice. */
const pitchSpan: Ms = 50;
const [lowestPitch, highestPitch] = [90, 1000];

/**
 * Share of a sound that repeats at the pitch of a voice or an instrument: 1 for a steady tone, near 0 for a blow. Normalised
 * autocorrelation of the difference signal at half the rate; the difference takes the bag's own thump away.
 */
export function voicedness(samples: Float32Array, sampleRate: number, from: Ms): Ratio {
  const rate = sampleRate / 2;
  const first = Math.round((from / 1000) * sampleRate);
  const length = Math.floor((pitchSpan / 1000) * rate);
  if (first + 2 * length + 4 > samples.length) return 0;
  const part = new Float32Array(length);
  for (let index = 0; index < length; index++) {
    const at = first + 2 * index;
    part[index] = samples[at + 2]! + samples[at + 3]! - samples[at]! - samples[at + 1]!;
  }
  const longest = Math.floor(rate / lowestPitch);
  const window = length - longest;
  let power = 1e-12;
  for (let index = 0; index < window; index++) power += part[index]! * part[index]!;
  let later = power;
  let best = 0;
  for (let lag = 1; lag <= longest; lag++) {
    later += part[lag + window - 1]! * part[lag + window - 1]! - part[lag - 1]! * part[lag - 1]!;
    if (lag < rate / highestPitch) continue;
    let product = 0;
    for (let index = 0; index < window; index++) product += part[index]! * part[index + lag]!;
    best = Math.max(best, product / Math.sqrt(power * Math.max(later, 1e-12)));
  }
  return Math.min(1, best);
}
