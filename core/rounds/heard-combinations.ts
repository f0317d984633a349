import type { Ms } from '../units.ts';

/** Hits closer than this belong to one combination unless the coach says otherwise. */
export const usualGap: Ms = 900;

/** Hits grouped into combinations; a single hit is a group of one. */
export function heardCombinations<T extends { time: Ms }>(hits: readonly T[], gap: Ms = usualGap): T[][] {
  const groups: T[][] = [];
  for (const hit of hits) {
    const last = groups.at(-1)?.at(-1);
    if (last && hit.time - last.time < gap) groups.at(-1)!.push(hit);
    else groups.push([hit]);
  }
  return groups;
}
