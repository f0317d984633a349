import { mean } from 'd3-array';
import type { Decibels, Ms, Ratio } from '../units.ts';

/** Fewer hits do not form heaps. */
const leastHits = 16;
/** Each bag is hit at least so often. */
const leastOfEach = 0.12;
/** Two bags differ by this much at least: whoever strikes hard and lightly in turn fills what lies between. */
const leastApart: Decibels = 7;
/** And by so many of their own spreads (Ashman's D, 1994; 2 parts two heaps that can be told apart). */
const leastSpreads = 3;
/** Between two heaps hardly anything lies: so many decibels to either side of the middle, and so much of all hits. */
const [valley, mostInValley]: readonly [Decibels, Ratio] = [1.5, 0.1];

/** A phone that turns itself down makes every hit that follows another one quieter: another bag is hit when it pleases. */
const [follows, mostFollowing]: readonly [Ms, number] = [500, 0.8];

/** A hit that is sure: when, and how loud. */
export interface LoudHit {
  time: Ms;
  level: Decibels;
}

/**
 * Whether hits of these levels come from two bags, and which of them from the one that is farther away. Levels are split where the
 * two parts spread least (W. D. Fisher, 1958); where the parts are no two heaps nothing is farther.
 * @param hits what is surely a hit, in order of time
 */
export function farther(hits: readonly LoudHit[]): (level: Decibels) => boolean {
  const none = (): boolean => false;
  if (hits.length < leastHits) return none;
  const sorted = hits.map(({ level }) => level).sort((a, b) => a - b);
  const margin = Math.ceil(leastOfEach * sorted.length);
  let [best, least] = [0, Infinity];
  for (let cut = margin; cut <= sorted.length - margin; cut++) {
    const squares = squaresOf(sorted.slice(0, cut)) + squaresOf(sorted.slice(cut));
    if (squares < least) [best, least] = [cut, squares];
  }
  const [low, high] = [sorted.slice(0, best), sorted.slice(best)];
  const apart = mean(high)! - mean(low)!;
  const spread = Math.sqrt((squaresOf(low) / low.length + squaresOf(high) / high.length) / 2);
  if (apart < leastApart || apart < leastSpreads * spread) return none;
  const edge = (mean(low)! + mean(high)!) / 2;
  const between = sorted.filter((level) => Math.abs(level - edge) < valley);
  if (between.length > mostInValley * sorted.length) return none;
  const near = hits.filter(({ level }) => level >= edge).map(({ time }) => time);
  const far = hits.filter(({ level }) => level < edge);
  const following = far.filter(({ time }) => near.some((one) => time > one && time - one < follows));
  if (following.length > mostFollowing * far.length) return none;
  return (level) => level < edge;
}

/** Sum of the squares of what differs from the mean. */
function squaresOf(values: readonly Decibels[]): number {
  const middle = mean(values) ?? 0;
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
}
