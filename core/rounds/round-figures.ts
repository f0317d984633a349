import { mean, median, sum } from 'd3-array';
import quantileOfT from '@stdlib/stats-base-dists-t-quantile';
import { intervalTail, type Decibels, type Ms, type Ratio } from '../units.ts';
import { heardCombinations, usualGap } from './heard-combinations.ts';
import type { Hit, HitSound } from '../sound/hit.ts';
import { thirdOfRound, thirds, type Third } from './round.ts';

/** A difference with its interval, see `intervalMass`. */
export interface MeanDifference {
  value: number;
  low: number;
  high: number;
}

/** A stretch of a round, half a minute unless the round ends. */
export interface Stretch {
  from: Ms;
  to: Ms;
  hits: number;
  /** Hits per 30 seconds. */
  pace: number;
  /** Mean level relative to the round's median; undefined when nothing was heard. */
  level: Decibels | undefined;
  snap: Ratio | undefined;
}

/** A round in figures: pace in hits a minute, levels in decibels against the usual one of the round, times in milliseconds. */
export interface RoundFigures {
  hits: number;
  /** Hits per 30 seconds over the round. */
  pace: number;
  /** How many combinations had one hit, two, three, and so on. */
  lengths: number[];
  longestGap: { from: Ms; to: Ms };
  stretches: Stretch[];
  byThird: Record<Third, number>;
  /** Last third against first; undefined when either has fewer than four combinations that were heard. */
  fade: { level: MeanDifference; snap: MeanDifference } | undefined;
}

const stretch: Ms = 30_000;
/** Fewer combinations in a third say nothing about it. */
const fewestCombinations = 4;

/** Mean over groups, and what it varies by. */
function groupedMean(groups: readonly (readonly number[])[]): { mean: number; variance: number; freedom: number } {
  const values = groups.flat();
  const all = mean(values)!;
  const strays = groups.map((group) => sum(group, (value) => value - all));
  const freedom = groups.length - 1;
  return { mean: all, variance: ((groups.length / freedom) * sum(strays, (stray) => stray ** 2)) / values.length ** 2, freedom };
}

/**
 * Difference of two means with its 90% interval, the values coming in groups that are alike within: hits of one combination are hit
 * with one breath, and taken one by one they would promise three times what they know. Variance of a mean by the sums of departures
 * of whole groups (Liang and Zeger 1986), degrees of freedom by groups (Welch 1947, Satterthwaite).
 * @param first values by group; two groups at least
 * @param last likewise
 */
export function meanDifference(first: readonly (readonly number[])[], last: readonly (readonly number[])[]): MeanDifference {
  const [a, b] = [groupedMean(first), groupedMean(last)];
  const value = b.mean - a.mean;
  const variance = a.variance + b.variance;
  if (variance === 0) return { value, low: value, high: value };
  const freedom = variance ** 2 / (a.variance ** 2 / a.freedom + b.variance ** 2 / b.freedom);
  const reach = quantileOfT(1 - intervalTail, freedom) * Math.sqrt(variance);
  return { value, low: value - reach, high: value + reach };
}

/** What a round's hits say. Only hits within the round are counted. */
export function roundFigures(round: { from: Ms; to: Ms }, all: readonly Hit[], gap: Ms = usualGap): RoundFigures {
  const hits = all.filter(({ time }) => time >= round.from && time < round.to);
  const heard = hits.flatMap(({ time, sound }) => (sound ? [{ time, ...sound }] : []));
  const usual = median(heard, ({ level }) => level) ?? 0;
  const pace = (count: number, lasted: Ms): number => (lasted > 0 ? (count * 30_000) / lasted : 0);

  const stretches = Array.from({ length: Math.max(1, Math.ceil((round.to - round.from) / stretch)) }, (_, place): Stretch => {
    const from = round.from + place * stretch;
    const to = Math.min(round.to, from + stretch);
    const inside = <T extends { time: Ms }>(list: readonly T[]): T[] => list.filter(({ time }) => time >= from && time < to);
    const here = inside(heard);
    return {
      from,
      to,
      hits: inside(hits).length,
      pace: pace(inside(hits).length, to - from),
      level: here.length > 0 ? mean(here, ({ level }) => level)! - usual : undefined,
      snap: mean(here, ({ snap }) => snap),
    };
  });

  const lengths: (number | undefined)[] = [];
  const combinations = heardCombinations(hits, gap);
  for (const { length } of combinations) lengths[length - 1] = (lengths[length - 1] ?? 0) + 1;
  const edges = [round.from, ...hits.map(({ time }) => time), round.to];
  const gaps = edges.slice(1).map((to, place) => ({ from: edges[place]!, to }));
  /** How the hits of a third sounded, by combination. */
  const of = (third: Third): HitSound[][] =>
    combinations
      .map((hitsOf) => hitsOf.flatMap(({ time, sound }) => (sound && thirdOfRound(round, time) === third ? [sound] : [])))
      .filter(({ length }) => length > 0);
  const [first, last] = [of('first'), of('last')];
  const enough = first.length >= fewestCombinations && last.length >= fewestCombinations;
  const fadeOf = (what: 'level' | 'snap'): MeanDifference =>
    meanDifference(
      ...([first, last].map((groups) => groups.map((group) => group.map((sound) => sound[what]))) as [number[][], number[][]]),
    );
  return {
    hits: hits.length,
    pace: pace(hits.length, round.to - round.from),
    lengths: Array.from(lengths, (count) => count ?? 0),
    longestGap: gaps.reduce((longest, one) => (one.to - one.from > longest.to - longest.from ? one : longest)),
    stretches,
    byThird: Object.fromEntries(
      thirds.map((third) => [third, hits.filter(({ time }) => thirdOfRound(round, time) === third).length]),
    ) as Record<Third, number>,
    fade: enough ? { level: fadeOf('level'), snap: fadeOf('snap') } : undefined,
  };
}
