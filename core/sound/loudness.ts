import type { Ms } from '../units.ts';

/** One value per this many milliseconds of sound. */
export const loudnessStep: Ms = 10;
const floorDecibels = -60;

/**
 * Loudness of mono sound for drawing: one byte per `loudnessStep`, 0 at −60 dB (root mean square, full scale) and below, 255 at 0 dB.
 * @param samples −1 to 1
 * @param sampleRate samples a second
 */
export function loudnessOf(samples: Float32Array, sampleRate: number): Uint8Array {
  const perStep = Math.max(1, Math.round((sampleRate * loudnessStep) / 1000));
  const steps = Math.ceil(samples.length / perStep);
  const loudness = new Uint8Array(steps);
  for (let step = 0; step < steps; step++) {
    const from = step * perStep;
    const to = Math.min(samples.length, from + perStep);
    let energy = 0;
    for (let index = from; index < to; index++) energy += samples[index]! * samples[index]!;
    const decibels = 10 * Math.log10(energy / (to - from) + 1e-12);
    loudness[step] = Math.round(255 * Math.max(0, Math.min(1, 1 - decibels / floorDecibels)));
  }
  return loudness;
}

/** Loudest value within `reach` of a moment, 0 to 1. */
export function loudnessAround(loudness: Uint8Array, time: Ms, reach: Ms = 40): number {
  const from = Math.max(0, Math.floor((time - reach) / loudnessStep));
  const to = Math.min(loudness.length - 1, Math.ceil((time + reach) / loudnessStep));
  let loudest = 0;
  for (let step = from; step <= to; step++) loudest = Math.max(loudest, loudness[step]!);
  return loudest / 255;
}
