import { daysBetween } from '../../days.ts';
import type { Tally } from '../../review/index.ts';
import { levels } from './grid.ts';
import { likenesses, logLikelihood } from './likeness.ts';
import { motions, moved, movedBack, newCue, transitionOver, type Transition } from './motion.ts';

/** What was counted on a day. */
export interface Look {
  /** YYYY-MM-DD. */
  heldOn: string;
  tally: Tally;
}

/** Weeks between two days, never fewer than none. */
const weeksBetween = (from: string, to: string): number => Math.max(0, daysBetween(from, to) / 7);

/** How well each level explains a look: the likelihood over the grid, at most 1, and the logarithm of what it was divided by. */
export interface Seen {
  shares: Float64Array;
  log: number;
}
/** The same for every likeness. */
export type SeenByLikeness = readonly Seen[];

export const seenByLikeness = ({ tally }: Look): SeenByLikeness =>
  likenesses.map((_, place) => {
    const logs = logLikelihood(tally, place);
    const log = Math.max(...logs);
    return { shares: logs.map((one) => Math.exp(one - log)), log };
  });

/** What is known of a level after each look and what is seen later, under one likeness and one motion. */
export interface Passed {
  /** After each look, from it and those before it. */
  known: Float64Array[];
  /** The logarithm of how likely all looks together are. */
  log: number;
}

/**
 * From each look to the next, under every motion; the same time between two looks is worked out once.
 * @param opening place of the look after which a new cue was worked on; undefined when none was
 */
export function transitionsBetween(looks: readonly Look[], opening: number | undefined): Transition[][] {
  const steps = looks.slice(1).map(({ heldOn }, place) => {
    const before = looks[place]!.heldOn;
    const isNew = opening !== undefined && place >= opening;
    const left = isNew ? Math.max(0, newCue - weeksBetween(looks[opening]!.heldOn, before)) : 0;
    const weeks = weeksBetween(before, heldOn);
    return { weeks, worked: Math.min(weeks, left) };
  });
  return motions.map((motion) => {
    const known = new Map<string, Transition>();
    return steps.map(({ weeks, worked }) => {
      const key = `${weeks} ${worked}`;
      const transition = known.get(key) ?? transitionOver(motion, weeks, worked);
      known.set(key, transition);
      return transition;
    });
  });
}

/** Forward filter of a hidden Markov model on a grid (Rabiner 1989, with his scaling). @param before what is known of a level before anything was seen */
export function pass(seen: readonly Seen[], transitions: readonly Transition[], before: ArrayLike<number>): Passed {
  const known: Float64Array[] = [];
  let log = 0;
  for (const [place, { shares, log: scale }] of seen.entries()) {
    const now = new Float64Array(levels.length);
    if (place === 0) now.set(before);
    else moved(known[place - 1]!, transitions[place - 1]!, now);
    log += scale + Math.log(weighed(now, shares));
    known.push(now);
  }
  return { known, log };
}

/** A distribution after something was seen, as shares of a whole. @returns how likely it was to be seen */
export function weighed(distribution: Float64Array, seen: Float64Array): number {
  let all = 0;
  for (let place = 0; place < distribution.length; place++) all += distribution[place]! *= seen[place]!;
  distribution.forEach((share, place) => (distribution[place] = share / all));
  return all;
}

/** Backward pass: how well each level at the first look explains all looks after it, at most 1, for each look. */
export function laterOf(seen: readonly Seen[], transitions: readonly Transition[]): { later: Float64Array[]; log: number } {
  const later: Float64Array[] = [new Float64Array(levels.length).fill(1)];
  let log = 0;
  for (let place = seen.length - 2; place >= 0; place--) {
    const { shares, log: scale } = seen[place + 1]!;
    const told = movedBack(
      later[0]!.map((one, at) => one * shares[at]!),
      transitions[place]!,
      new Float64Array(levels.length),
    );
    // Without this it would vanish in long series.
    const most = Math.max(...told);
    log += scale + Math.log(most);
    later.unshift(told.map((one) => one / most));
  }
  return { later, log };
}
