import type { TechniqueId } from '../technique/index.ts';
import type { Ratio } from '../units.ts';

/** What became of one call, or of one strike that nobody called. */
export type MatchStep =
  | { kind: 'as planned'; planned: number; seen: number }
  | { kind: 'left out'; planned: number }
  | { kind: 'added'; seen: number }
  | { kind: 'another'; planned: number; seen: number }
  /** Two neighbours in the other order. */
  | { kind: 'swapped'; planned: readonly [number, number]; seen: readonly [number, number] };

/** A combination held against what was thrown: every step, how much of it fits, 0 to 1. */
export interface Match {
  steps: readonly MatchStep[];
  /** 1 when everything was as planned, 0 when nothing was. */
  score: Ratio;
}

/** What each difference costs. Another strike costs less than one left out and one added. */
const costs = { 'left out': 1, added: 1, another: 1.25, swapped: 1 } as const;

/**
 * What was planned against what was seen, with the fewest differences: the optimal string alignment of Damerau (1964) and
 * Levenshtein (1966), in which two neighbours may also have changed places.
 */
export function matchCalls(planned: readonly TechniqueId[], seen: readonly TechniqueId[]): Match {
  const table = Array.from({ length: planned.length + 1 }, () => new Array<{ cost: number; step?: MatchStep }>(seen.length + 1));
  for (let p = 0; p <= planned.length; p++) {
    for (let s = 0; s <= seen.length; s++) table[p]![s] = cheapest(table, planned, seen, p, s);
  }
  const steps: MatchStep[] = [];
  for (let [p, s] = [planned.length, seen.length]; p > 0 || s > 0;) {
    const step = table[p]![s]!.step!;
    steps.unshift(step);
    if (step.kind === 'swapped') [p, s] = [p - 2, s - 2];
    else [p, s] = [p - ('planned' in step ? 1 : 0), s - ('seen' in step ? 1 : 0)];
  }
  const worst = Math.max(planned.length, seen.length);
  return { steps, score: worst === 0 ? 1 : Math.max(0, 1 - table[planned.length]![seen.length]!.cost / worst) };
}

function cheapest(
  table: readonly { cost: number }[][],
  planned: readonly TechniqueId[],
  seen: readonly TechniqueId[],
  p: number,
  s: number,
): { cost: number; step?: MatchStep } {
  if (p === 0 && s === 0) return { cost: 0 };
  const ways: { cost: number; step: MatchStep }[] = [];
  const at = (back: number, on: number): number => table[p - back]![s - on]!.cost;
  if (p > 0 && s > 0) {
    const same = planned[p - 1] === seen[s - 1];
    const step: MatchStep = { kind: same ? 'as planned' : 'another', planned: p - 1, seen: s - 1 };
    ways.push({ cost: at(1, 1) + (same ? 0 : costs.another), step });
  }
  const crossed = p > 1 && s > 1 && planned[p - 1] === seen[s - 2] && planned[p - 2] === seen[s - 1];
  if (crossed && planned[p - 1] !== planned[p - 2])
    ways.push({ cost: at(2, 2) + costs.swapped, step: { kind: 'swapped', planned: [p - 2, p - 1], seen: [s - 2, s - 1] } });
  if (p > 0) ways.push({ cost: at(1, 0) + costs['left out'], step: { kind: 'left out', planned: p - 1 } });
  if (s > 0) ways.push({ cost: at(0, 1) + costs.added, step: { kind: 'added', seen: s - 1 } });
  return ways.reduce((best, way) => (way.cost < best.cost ? way : best));
}

/** What several attempts at one combination have in common, by place of the combination. */
export interface SetSays {
  attempts: number;
  /** Attempts in which everything was as planned. */
  complete: number;
  /** Mean of the scores. */
  score: Ratio;
  /** For each place of the set, in how many attempts it was left out. */
  leftOut: readonly number[];
}

/** One set over many attempts: what is always lost shows by its place. */
export function matchAttempts(planned: readonly TechniqueId[], attempts: readonly (readonly TechniqueId[])[]): SetSays {
  const matches = attempts.map((seen) => matchCalls(planned, seen));
  const leftOut = planned.map(
    (_, place) => matches.filter(({ steps }) => steps.some((step) => step.kind === 'left out' && step.planned === place)).length,
  );
  return {
    attempts: attempts.length,
    complete: matches.filter(({ steps }) => steps.every(({ kind }) => kind === 'as planned')).length,
    score: attempts.length === 0 ? 0 : matches.reduce((sum, { score }) => sum + score, 0) / attempts.length,
    leftOut,
  };
}
