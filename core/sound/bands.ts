import type { Ms } from '../units.ts';

/** Sound is looked at in steps of this length. */
export const bandStep: Ms = 2;
/** Upper limits of the bands in hertz; the last one is open. */
const limits = [120, 250, 500, 1000, 2000, 3500, 5500] as const;
/** Bands from this one on are bright: above 2 kHz. */
export const brightFrom = limits.indexOf(2000) + 1;
/** How many bands of pitch are told apart. */
export const bandCount = limits.length + 1;

/** Coefficients of a second-order Butterworth section (R. Bristow-Johnson, Audio EQ Cookbook), the first of both sides being 1. */
function section(kind: 'low' | 'high', hertz: number, sampleRate: number): [b0: number, b1: number, a1: number, a2: number] {
  const turn = (2 * Math.PI * Math.min(hertz, sampleRate * 0.45)) / sampleRate;
  const alpha = Math.sin(turn) / Math.SQRT2;
  const cosine = Math.cos(turn);
  const scale = 1 / (1 + alpha);
  const edge = (kind === 'low' ? 1 - cosine : 1 + cosine) * scale;
  return [edge / 2, kind === 'low' ? edge : -edge, -2 * cosine * scale, (1 - alpha) * scale];
}

/** Filters in place. */
function filter(samples: Float32Array, kind: 'low' | 'high', hertz: number, sampleRate: number): Float32Array {
  const [b0, b1, a1, a2] = section(kind, hertz, sampleRate);
  let x1 = 0;
  let x2 = 0;
  let y1 = 0;
  let y2 = 0;
  for (let index = 0; index < samples.length; index++) {
    const input = samples[index]!;
    const output = b0 * (input + x2) + b1 * x1 - a1 * y1 - a2 * y2;
    x2 = x1;
    x1 = input;
    y2 = y1;
    y1 = output;
    samples[index] = output;
  }
  return samples;
}

/** Mean power of each step of `bandStep`. */
function powersOf(samples: Float32Array, sampleRate: number): Float32Array {
  const perStep = (sampleRate * bandStep) / 1000;
  const powers = new Float32Array(Math.floor(samples.length / perStep));
  let index = 0;
  for (let step = 0; step < powers.length; step++) {
    const end = Math.round((step + 1) * perStep);
    const from = index;
    let sum = 0;
    for (; index < end; index++) sum += samples[index]! * samples[index]!;
    powers[step] = sum / Math.max(1, end - from);
  }
  return powers;
}

/**
 * Mean power in each band, one value a step.
 * @param samples mono, −1 to 1
 * @param sampleRate samples a second
 * @returns band → power of each step of `bandStep`
 */
export function bandPowers(samples: Float32Array, sampleRate: number): Float32Array[] {
  return Array.from({ length: bandCount }, (_, band) => {
    const part = samples.slice();
    if (band > 0) filter(part, 'high', limits[band - 1]!, sampleRate);
    if (band < limits.length) filter(part, 'low', limits[band]!, sampleRate);
    return powersOf(part, sampleRate);
  });
}

/** Power of all but the lowest band: the bag swings and the room hums below; what is heard of a hit is above. */
export function heardPowers(bands: readonly Float32Array[]): Float32Array {
  const heard = new Float32Array(bands[0]!.length);
  for (const band of bands.slice(1)) for (let step = 0; step < heard.length; step++) heard[step]! += band[step]!;
  return heard;
}
