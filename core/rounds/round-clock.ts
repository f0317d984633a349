import type { Ms } from '../units.ts';

/** Rounds by the clock: time to get ready, then work and rest in turn. After the last round there is no rest. */
export interface ClockPlan {
  rounds: number;
  work: Ms;
  rest: Ms;
  /** From pressing the button to the first bell. */
  ready: Ms;
}

/** What is done in a stretch of the clock. */
export const clockPhases = ['ready', 'work', 'rest', 'over'] as const;
export type ClockPhase = (typeof clockPhases)[number];

/** What the clock shows at a moment: phase, round from 1, and milliseconds left of the phase. */
export interface ClockReading {
  phase: ClockPhase;
  /** From 1; while it is rested, the round that comes next. */
  round: number;
  /** Until the phase ends; 0 when all is over. */
  left: Ms;
  /** When the phase began, counted like `elapsed`. */
  since: Ms;
}

/** How long a plan takes, in milliseconds, from getting ready to the last bell. */
export const planLength = ({ rounds, work, rest, ready }: ClockPlan): Ms => ready + rounds * work + (rounds - 1) * rest;

/** Where a plan stands so long after it was begun. */
export function readClock(plan: ClockPlan, elapsed: Ms): ClockReading {
  const { rounds, work, rest, ready } = plan;
  if (elapsed < ready) return { phase: 'ready', round: 1, left: ready - elapsed, since: 0 };
  const length = planLength(plan);
  if (elapsed >= length) return { phase: 'over', round: rounds, left: 0, since: length };
  const inside = elapsed - ready;
  const done = Math.floor(inside / (work + rest));
  const begun = ready + done * (work + rest);
  const into = elapsed - begun;
  if (into < work) return { phase: 'work', round: done + 1, left: work - into, since: begun };
  return { phase: 'rest', round: done + 2, left: work + rest - into, since: begun + work };
}
