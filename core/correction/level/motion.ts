import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import type { Ratio } from '../../units.ts';
import { levels, normalised, step, unseen } from './grid.ts';

/** How a level may move from week to week. */
export interface Motion {
  name: string;
  /** Logits a week by which it goes one way; below nothing faults become fewer. */
  trend: number;
  /** Standard deviation of its wandering, in logits, after one week. */
  wander: number;
  /** The chance that within a week it jumps to anywhere. */
  jump: Ratio;
  /** How likely this is of a trainee of whom nothing is known. */
  usual: Ratio;
}

/** A fault of which nothing is known stands still, more likely than not: most do until somebody works on them. */
export const motions: readonly Motion[] = [
  { name: 'still', trend: 0, wander: 0.02, jump: 0.004, usual: 0.29 },
  { name: 'jumps', trend: 0, wander: 0.03, jump: 0.08, usual: 0.33 },
  { name: 'wanders', trend: 0, wander: 0.18, jump: 0.01, usual: 0.13 },
  { name: 'wanders far', trend: 0, wander: 0.4, jump: 0.01, usual: 0.04 },
  { name: 'goes slowly', trend: -0.15, wander: 0.05, jump: 0.01, usual: 0.09 },
  { name: 'goes', trend: -0.32, wander: 0.08, jump: 0.01, usual: 0.07 },
  { name: 'comes slowly', trend: 0.15, wander: 0.05, jump: 0.01, usual: 0.05 },
];

/** After so many weeks without being seen nothing more becomes of a trend: nobody was there to work on it. */
const longestTrend = 6;

/** The chance that a level jumps within a week in which a new cue is worked on, beside what it does anyway. */
const jumpWhenWorked: Ratio = 0.22;
/** So many weeks after its opening a cue is new. */
export const newCue = 3;

/** What becomes of each place of the grid in some weeks: shares of the places round it, and the chance that it jumps instead. */
export interface Transition {
  /** Share that moves by `from + index` places. */
  shares: Float64Array;
  from: number;
  jump: Ratio;
}

export function transitionOver({ trend, wander, jump }: Motion, weeks: number, worked = 0): Transition {
  const middle = (trend * Math.min(weeks, longestTrend)) / step;
  const spread = Math.max(0.05, (wander * Math.sqrt(weeks)) / step);
  const from = Math.floor(middle - 3 * spread);
  const count = Math.ceil(middle + 3 * spread) - from + 1;
  const shares = Float64Array.from(
    { length: count },
    (_, index) => normalCdf(from + index + 0.5, middle, spread) - normalCdf(from + index - 0.5, middle, spread),
  );
  return { shares: normalised(shares), from, jump: 1 - (1 - jump) ** weeks * (1 - jumpWhenWorked) ** worked };
}

/** A share of a whole that nobody will miss. */
const negligible = 1e-9;

/** A distribution over the grid some weeks later. What would leave the grid stays at its end. @param into is written over */
export function moved(distribution: Float64Array, { shares, from, jump }: Transition, into: Float64Array): Float64Array {
  const last = levels.length - 1;
  into.fill(0);
  let all = 0;
  for (let place = 0; place <= last; place++) {
    const here = distribution[place]!;
    if (here < negligible) continue;
    all += here;
    for (let index = 0; index < shares.length; index++) {
      const to = place + from + index;
      into[to < 0 ? 0 : to > last ? last : to]! += here * shares[index]!;
    }
  }
  for (let place = 0; place <= last; place++) into[place] = (1 - jump) * into[place]! + jump * all * unseen[place]!;
  return into;
}

/** The same the other way: what is seen later, told of the time before. */
export function movedBack(seenLater: Float64Array, { shares, from, jump }: Transition, into: Float64Array): Float64Array {
  const last = levels.length - 1;
  let anywhere = 0;
  for (let place = 0; place <= last; place++) anywhere += seenLater[place]! * unseen[place]!;
  for (let place = 0; place <= last; place++) {
    let told = 0;
    for (let index = 0; index < shares.length; index++) {
      const to = place + from + index;
      told += shares[index]! * seenLater[to < 0 ? 0 : to > last ? last : to]!;
    }
    into[place] = (1 - jump) * told + jump * anywhere;
  }
  return into;
}
