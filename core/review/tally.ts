import type { Verdict } from './verdict.ts';

/** How often each verdict was given. */
export interface Tally {
  clean: number;
  watch: number;
  fault: number;
  cantSee: number;
}

/** Nothing has been judged yet. */
export const emptyTally: Tally = { clean: 0, watch: 0, fault: 0, cantSee: 0 };

/** How often each verdict was given. */
export function tallyOf(given: Iterable<Verdict>): Tally {
  const tally = { ...emptyTally };
  for (const verdict of given) tally[verdict === 'cant-see' ? 'cantSee' : verdict]++;
  return tally;
}

/** Two tallies counted together. */
export const tallySum = (a: Tally, b: Tally): Tally => ({
  clean: a.clean + b.clean,
  watch: a.watch + b.watch,
  fault: a.fault + b.fault,
  cantSee: a.cantSee + b.cantSee,
});

/** Strikes on which the thing could be seen. */
export const seen = (tally: Tally): number => tally.clean + tally.watch + tally.fault;

/** Faults with a watch counted as half of one. */
export const weightedFaults = (tally: Tally): number => tally.fault + tally.watch / 2;
