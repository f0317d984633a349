import type { Ratio } from '../units.ts';

/** The conditions under which a correction has to hold, from the easiest. */
export const rungs = [
  { rung: 1, name: 'Slow shadow' },
  { rung: 2, name: 'Shadow at speed' },
  { rung: 3, name: 'Bag, single strikes' },
  { rung: 4, name: 'Bag, combinations' },
  { rung: 5, name: 'Pads, called' },
  { rung: 6, name: 'Pads, free' },
  { rung: 7, name: 'Last third of a hard round' },
] as const;
export type Rung = (typeof rungs)[number]['rung'];

export const [lowestRung, highestRung]: readonly [number, number] = [rungs[0].rung, rungs[rungs.length - 1]!.rung];

/** The name of a rung, 1 to 7. */
export const rungName = (rung: number): string => rungs.find((step) => step.rung === rung)?.name ?? `Rung ${rung}`;

/** At most this share of faults is aimed for unless the coach says otherwise. */
export const usualTarget: Ratio = 0.15;
/** Whoever aims for more faults than this aims for nothing. */
export const largestTarget: Ratio = 0.9;
/** How far a correction has to hold before it is kept, unless the coach says otherwise: free pads. */
export const usualTopRung: Rung = 6;
