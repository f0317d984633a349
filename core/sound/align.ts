import { median } from 'd3-array';
import FFT from 'fft.js';
import type { Ms, Ratio } from '../units.ts';

/** How the clock of one film stands to that of another: time in the other = time × (1 + drift) + offset. */
export interface Alignment {
  offset: Ms;
  /** Difference of rate, e.g. 0.00002 for 20 parts in a million. */
  drift: number;
  /** How well the sounds fit, 0 to 1; below `leastFit` there is no telling. */
  fit: Ratio;
}
/** Below this two sounds are not said to belong together. */
export const leastFit: Ratio = 0.4;

/** The moment of the other film, in milliseconds of its own clock, at a moment of this one. */
export const inOther = ({ offset, drift }: Pick<Alignment, 'offset' | 'drift'>, time: Ms): Ms => time * (1 + drift) + offset;
/** The same relation seen from the other film. */
export const reversed = <T extends Pick<Alignment, 'offset' | 'drift'>>(alignment: T): T => ({
  ...alignment,
  offset: -alignment.offset / (1 + alignment.drift),
  drift: 1 / (1 + alignment.drift) - 1,
});

/** The coarse search works on this many values of loudness change a second. */
const coarseRate = 200;
/** So much better than any other has the coarse answer to be; two different rounds fit best somewhere, too, but not clearly. */
const leastClarity = 1.5;
/** Pieces that are compared finely, and how far off the coarse answer they may lie. */
const piece: Ms = 4000;
const slack: Ms = 40;
/** Clocks of phones differ by less than this. */
const mostDrift = 0.0003;

/**
 * Ties two films of the same round together by their sound: coarsely by the changes of loudness, finely by the waveform in pieces
 * over the whole common time, through which a line is drawn (Theil–Sen: the median of the slopes, so that pieces in which
 * something else was louder do not matter).
 * @param sampleRate samples a second, of both
 * @returns undefined when the sounds have nothing in common
 */
export function alignSounds(one: Float32Array, other: Float32Array, sampleRate: number): Alignment | undefined {
  const coarse = coarseOffset(changesOf(one, sampleRate), changesOf(other, sampleRate));
  if (coarse === undefined) return undefined;
  const points: { at: Ms; offset: Ms; fit: Ratio }[] = [];
  const [from, to] = [Math.max(0, -coarse), Math.min(lasts(one, sampleRate), lasts(other, sampleRate) - coarse)];
  const pieces = Math.max(1, Math.min(40, Math.floor((to - from) / piece)));
  const correlate = correlator(Math.round((piece / 1000) * sampleRate), Math.round((slack / 1000) * sampleRate));
  for (let index = 0; index < pieces; index++) {
    const at = from + ((to - from - piece) * index) / Math.max(1, pieces - 1);
    const found = correlate(one, other, Math.round((at / 1000) * sampleRate), Math.round(((at + coarse) / 1000) * sampleRate));
    if (found) points.push({ at: at + piece / 2, offset: coarse + (found.shift / sampleRate) * 1000, fit: found.fit });
  }
  return lineThrough(points);
}

const lasts = (samples: Float32Array, sampleRate: number): Ms => (samples.length / sampleRate) * 1000;

/** Rises of loudness, which both microphones hear however far away they stand. */
function changesOf(samples: Float32Array, sampleRate: number): Float64Array {
  const per = sampleRate / coarseRate;
  const levels = Float64Array.from({ length: Math.floor(samples.length / per) }, (_, step) => {
    let sum = 0;
    const [from, end] = [Math.floor(step * per), Math.floor((step + 1) * per)];
    for (let index = Math.max(1, from); index < end; index++) sum += (samples[index]! - samples[index - 1]!) ** 2;
    return Math.log10(sum / per + 1e-8);
  });
  const rises = levels.map((level, step) => Math.max(0, level - (levels[step - 2] ?? level)));
  const mean = rises.reduce((sum, value) => sum + value, 0) / rises.length;
  return rises.map((value) => value - mean);
}

const sizeFor = (length: number): number => 2 ** Math.ceil(Math.log2(Math.max(4, length)));

/** Cross-correlation by the transform: value at index k is for `other` lying k places later, negative ones at the end. */
function crossCorrelation(one: Float64Array, other: Float64Array, size: number, whitened: boolean): number[] {
  const transform = new FFT(size);
  const spectrum = (values: Float64Array): number[] => {
    const input = new Array<number>(size).fill(0);
    values.forEach((value, index) => (input[index] = value));
    const output = transform.createComplexArray() as number[];
    transform.realTransform(output, input);
    transform.completeSpectrum(output);
    return output;
  };
  const [a, b] = [spectrum(one), spectrum(other)];
  const product = transform.createComplexArray() as number[];
  for (let index = 0; index < product.length; index += 2) {
    const real = a[index]! * b[index]! + a[index + 1]! * b[index + 1]!;
    const imaginary = a[index]! * b[index + 1]! - a[index + 1]! * b[index]!;
    // Half-whitened: every pitch counts, and loud ones still count more than noise.
    const weight = whitened ? 1 / Math.sqrt(Math.hypot(real, imaginary) + 1e-12) : 1;
    product[index] = real * weight;
    product[index + 1] = imaginary * weight;
  }
  const output = transform.createComplexArray() as number[];
  transform.inverseTransform(output, product);
  return Array.from({ length: size }, (_, index) => output[2 * index]!);
}

function coarseOffset(one: Float64Array, other: Float64Array): Ms | undefined {
  if (one.length < coarseRate || other.length < coarseRate) return undefined;
  const size = sizeFor(one.length + other.length);
  const values = crossCorrelation(one, other, size, false);
  let best = 0;
  values.forEach((value, index) => {
    if (value > values[best]!) best = index;
  });
  let next = 0;
  values.forEach((value, index) => {
    const away = Math.abs(index - best);
    if (Math.min(away, size - away) > coarseRate / 10) next = Math.max(next, value);
  });
  if (values[best]! < leastClarity * next) return undefined;
  return ((best > size / 2 ? best - size : best) / coarseRate) * 1000;
}

/** Compares a piece of one sound with the other about the expected place; shift in samples, with a fraction. */
function correlator(length: number, reach: number) {
  const size = sizeFor(2 * length);
  return (one: Float32Array, other: Float32Array, at: number, expected: number): { shift: number; fit: Ratio } | undefined => {
    const cut = (samples: Float32Array, from: number): Float64Array =>
      Float64Array.from({ length }, (_, index) => (samples[from + index] ?? 0) - (samples[from + index - 1] ?? 0));
    const [a, b] = [cut(one, at), cut(other, expected)];
    const values = crossCorrelation(a, b, size, true);
    const value = (shift: number): number => values[(shift + size) % size]!;
    let best = -reach;
    let energy = 0;
    for (let shift = -reach; shift <= reach; shift++) {
      energy += value(shift) ** 2;
      if (value(shift) > value(best)) best = shift;
    }
    if (energy === 0 || Math.abs(best) === reach) return undefined;
    const [before, here, after] = [value(best - 1), value(best), value(best + 1)];
    const bend = before - 2 * here + after;
    const spread = Math.sqrt(energy / (2 * reach + 1));
    return { shift: best + (bend === 0 ? 0 : (0.5 * (before - after)) / bend), fit: Math.max(0, 1 - (3 * spread) / here) };
  };
}

/** A line through the pieces that fit; a drift is only told when they span half a minute. */
function lineThrough(points: readonly { at: Ms; offset: Ms; fit: Ratio }[]): Alignment | undefined {
  const good = points.filter(({ fit }) => fit >= leastFit);
  if (good.length === 0) return undefined;
  const span = good.at(-1)!.at - good[0]!.at;
  const slopes = good.flatMap((a, place) =>
    good.slice(place + 1).flatMap((b) => (b.at - a.at > span / 4 ? [(b.offset - a.offset) / (b.at - a.at)] : [])),
  );
  const slope = span >= 30_000 && slopes.length > 2 ? median(slopes)! : 0;
  const drift = Math.abs(slope) <= mostDrift ? slope : 0;
  const offset = median(good, (point) => point.offset - drift * point.at)!;
  // Pieces that agree with the line, of all that were looked at.
  const agreeing = points.filter((point) => Math.abs(point.offset - drift * point.at - offset) < 5).length;
  const fit = (agreeing / points.length) * median(good, (point) => point.fit)!;
  return fit >= leastFit ? { offset, drift, fit } : undefined;
}
