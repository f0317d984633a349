import { quantile } from 'd3-array';
import type { Decibels, Ms } from '../units.ts';
import { bandCount, bandStep } from './bands.ts';
import { decibelsOf, type Onset } from './onsets.ts';
import { voicedness } from './voicedness.ts';

/** Spans round an onset over which each band's power is averaged: the background before, the blow, and how it falls. */
const spans: readonly (readonly [from: Ms, to: Ms])[] = [
  [-320, -160],
  [-160, -80],
  [-80, -40],
  [-40, -16],
  [-16, -4],
  [0, 6],
  [6, 14],
  [14, 26],
  [26, 44],
  [44, 70],
  [70, 110],
  [110, 170],
  [170, 260],
  [260, 400],
];
/** Over this span the level of a hit is taken; all else is told against it. */
const levelSpan: readonly [Ms, Ms] = [0, 40];
/** What is so much quieter than the hit itself is not told apart. */
const quietest: Decibels = -60;
const loudest: Decibels = 30;

/** What an onset is, as the network tells it. */
export const onsetClasses = ['other', 'hit'] as const;
/** Spans whose powers are an onset's own sound: from the blow until it has fallen. */
const [shapeFrom, shapeTo] = [spans.findIndex(([from]) => from === 0), spans.findIndex(([from]) => from === 110)];
/** The part of a row that says what an onset itself sounds like, in tens of decibels against its level. */
export const shapeOf = (row: Float32Array): Float32Array => row.subarray(shapeFrom * bandCount, shapeTo * bandCount);
/** How loud an onset of a row is beside the film's others, in tens of decibels. */
export const levelAt = (row: Float32Array): number => row[(spans.length + 1) * bandCount + 1]!;

/** Running sums, so that the mean over any span costs two look-ups. */
function sumsOf(powers: Float32Array): Float64Array {
  const sums = new Float64Array(powers.length + 1);
  for (let step = 0; step < powers.length; step++) sums[step + 1] = sums[step]! + powers[step]!;
  return sums;
}

function meanOver(sums: Float64Array, begin: number, [from, to]: readonly [Ms, Ms]): number {
  const last = sums.length - 1;
  const first = Math.max(0, Math.min(last - 1, begin + from / bandStep));
  const end = Math.max(first + 1, Math.min(last, begin + to / bandStep));
  return (sums[end]! - sums[first]!) / (end - first);
}

const clipped = (value: Decibels): Decibels => Math.max(quietest, Math.min(loudest, value));

/**
 * What an onset sounds like, as numbers for the network: one row for each onset. Powers over spans and bands in
 * tens of decibels against its own level, the film's usual background against it, how it rises and falls, how much of it has a
 * pitch, and how loud it is beside the film's other onsets.
 * @param bands as `bandPowers` gives them
 */
export function hitFeatures(
  samples: Float32Array,
  sampleRate: number,
  bands: readonly Float32Array[],
  onsets: readonly Onset[],
): Float32Array[] {
  const sums = bands.map(sumsOf);
  const usual = bands.map((band) => decibelsOf(quantile(thinned(band), 0.5) ?? 0));
  const levels = onsets.map(({ begin }) =>
    decibelsOf(sums.slice(1).reduce((sum, band) => sum + meanOver(band, begin, levelSpan), 0)),
  );
  const loud = quantile(levels, 0.9) ?? 0;
  const middle = quantile(levels, 0.5) ?? 0;
  return onsets.map(({ begin, peak, rise }, place) => {
    const level = levels[place]!;
    const row: number[] = [];
    for (const span of spans) for (const band of sums) row.push(clipped(decibelsOf(meanOver(band, begin, span)) - level) / 10);
    for (const quiet of usual) row.push(clipped(quiet - level) / 10);
    const at = begin * bandStep;
    row.push((level - loud) / 10, (level - middle) / 10, rise / 5, ((peak - begin) * bandStep) / 10);
    for (const later of [10, 50, 110]) row.push(3 * voicedness(samples, sampleRate, at + later));
    return Float32Array.from(row);
  });
}

/** Every tenth value is enough for a quantile. */
const thinned = (values: Float32Array): Float32Array =>
  Float32Array.from({ length: Math.floor(values.length / 10) }, (_, place) => values[10 * place]!);
