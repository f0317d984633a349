import { isHeard, padKinds, type RoundKind } from '../rounds/index.ts';
import type { Ratio } from '../units.ts';

/** The conditions under which a correction has to hold, from the easiest; whoever is tired may be so on anything. */
export const rungs = [
  { rung: 1, name: 'Slow shadow', on: ['nothing'] },
  { rung: 2, name: 'Shadow at speed', on: ['nothing'] },
  { rung: 3, name: 'Bag, single strikes', on: ['bag'] },
  { rung: 4, name: 'Bag, combinations', on: ['bag'] },
  { rung: 5, name: 'Pads, called', on: ['pads'] },
  { rung: 6, name: 'Pads, free', on: ['pads'] },
  { rung: 7, name: 'Last third of a hard round', on: ['nothing', 'bag', 'pads'] },
] as const;
export type Rung = (typeof rungs)[number]['rung'];

export const [lowestRung, highestRung]: readonly [number, number] = [rungs[0].rung, rungs[rungs.length - 1]!.rung];

/** The name of a rung, 1 to 7. */
export const rungName = (rung: number): string => rungs.find((step) => step.rung === rung)?.name ?? `Rung ${rung}`;

function isOn(kind: RoundKind): (typeof rungs)[number]['on'][number] {
  if (!isHeard(kind)) return 'nothing';
  return padKinds.includes(kind) ? 'pads' : 'bag';
}
/** The rung on which somebody is who was on this one and now hits that: the same where it fits, else the easiest that does. */
export function rungWith(kind: RoundKind, rung: number): number {
  const fitting = rungs.filter(({ on }: { on: readonly string[] }) => on.includes(isOn(kind))).map((step) => step.rung as number);
  return fitting.includes(rung) ? rung : fitting[0]!;
}

/** At most this share of faults is aimed for unless the coach says otherwise. */
export const usualTarget: Ratio = 0.15;
/** Whoever aims for more faults than this aims for nothing. */
export const largestTarget: Ratio = 0.9;
/** How far a correction has to hold before it is kept, unless the coach says otherwise: free pads. */
export const usualTopRung: Rung = 6;
