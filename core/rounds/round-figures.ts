import { mean, median, variance } from 'd3-array';
import quantileOfT from '@stdlib/stats-base-dists-t-quantile';
import { intervalTail, type Decibels, type Ms, type Ratio } from '../units.ts';
import { heardCombinations, usualGap } from './heard-combinations.ts';
import type { Hit } from '../sound/hit.ts';
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
  /** Last third against first; undefined when either has fewer than four hits that were heard. */
  fade: { level: MeanDifference; snap: MeanDifference } | undefined;
}

const stretch: Ms = 30_000;
/** Fewer in a third say nothing about it. */
const fewestHeard = 4;

/** Difference of two means with its 90% interval (Welch 1947: unequal spreads, degrees of freedom after Satterthwaite). */
export function meanDifference(first: readonly number[], last: readonly number[]): MeanDifference {
  const [a, b] = [variance(first)! / first.length, variance(last)! / last.length];
  const value = mean(last)! - mean(first)!;
  if (a + b === 0) return { value, low: value, high: value };
  const freedom = (a + b) ** 2 / (a ** 2 / (first.length - 1) + b ** 2 / (last.length - 1));
  const reach = quantileOfT(1 - intervalTail, freedom) * Math.sqrt(a + b);
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
  for (const { length } of heardCombinations(hits, gap)) lengths[length - 1] = (lengths[length - 1] ?? 0) + 1;
  const edges = [round.from, ...hits.map(({ time }) => time), round.to];
  const gaps = edges.slice(1).map((to, place) => ({ from: edges[place]!, to }));
  const of = (third: Third) => heard.filter(({ time }) => thirdOfRound(round, time) === third);
  const [first, last] = [of('first'), of('last')];
  const enough = first.length >= fewestHeard && last.length >= fewestHeard;
  return {
    hits: hits.length,
    pace: pace(hits.length, round.to - round.from),
    lengths: Array.from(lengths, (count) => count ?? 0),
    longestGap: gaps.reduce((longest, one) => (one.to - one.from > longest.to - longest.from ? one : longest)),
    stretches,
    byThird: Object.fromEntries(
      thirds.map((third) => [third, hits.filter(({ time }) => thirdOfRound(round, time) === third).length]),
    ) as Record<Third, number>,
    fade: enough
      ? {
          level: meanDifference(
            first.map(({ level }) => level),
            last.map(({ level }) => level),
          ),
          snap: meanDifference(
            first.map(({ snap }) => snap),
            last.map(({ snap }) => snap),
          ),
        }
      : undefined,
  };
}
