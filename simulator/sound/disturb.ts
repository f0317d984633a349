import { disturbanceOf, type Disturbance } from './disturbance.ts';
import { sampleRate } from './voices.ts';

/** After a contact its own sound is loudest for so long. Seconds. */
const ownSound = 0.06;

/**
 * Adds other sounds, in place, each so many decibels quieter than the hits: the mean power of the 60 ms after each contact against
 * the mean power of the other sound.
 */
export function disturb(
  samples: Float32Array,
  hits: readonly number[],
  others: readonly { by: Disturbance; decibels: number }[],
  seed: number,
): void {
  if (hits.length === 0 || others.length === 0) return;
  const reach = Math.round(ownSound * sampleRate);
  let power = 0;
  for (const moment of hits) {
    const from = Math.round(moment * sampleRate);
    for (let index = from; index < Math.min(samples.length, from + reach); index++) power += samples[index]! ** 2;
  }
  power /= hits.length * reach;
  for (const [place, { by, decibels }] of others.entries()) {
    const other = disturbanceOf(by, seed + 101 * (place + 1), samples.length / sampleRate);
    const otherPower = other.reduce((sum, value) => sum + value * value, 0) / other.length;
    const level = Math.sqrt(power / otherPower / 10 ** (decibels / 10));
    for (let index = 0; index < samples.length; index++) samples[index]! += level * (other[index] ?? 0);
  }
}
