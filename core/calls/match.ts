import { mean, sum } from 'd3-array';
import { heardCombinations } from '../rounds/index.ts';
import type { TechniqueId } from '../technique/index.ts';
import type { Ms, Ratio } from '../units.ts';
import { withoutFeints } from './combination.ts';

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

/** One more step of a match: what it costs, and how many calls planned and seen it covers. */
interface Step {
  step: MatchStep;
  cost: number;
  back: readonly [planned: number, seen: number];
}

/** Every step that may be the last one when so many calls are planned and seen. */
function stepsTo(planned: readonly TechniqueId[], seen: readonly TechniqueId[], p: number, s: number): Step[] {
  const steps: Step[] = [];
  if (p > 0 && s > 0) {
    const same = planned[p - 1] === seen[s - 1];
    const step: MatchStep = { kind: same ? 'as planned' : 'another', planned: p - 1, seen: s - 1 };
    steps.push({ step, cost: same ? 0 : costs.another, back: [1, 1] });
  }
  const crossed = p > 1 && s > 1 && planned[p - 1] === seen[s - 2] && planned[p - 2] === seen[s - 1];
  if (crossed && planned[p - 1] !== planned[p - 2])
    steps.push({ step: { kind: 'swapped', planned: [p - 2, p - 1], seen: [s - 2, s - 1] }, cost: costs.swapped, back: [2, 2] });
  if (p > 0) steps.push({ step: { kind: 'left out', planned: p - 1 }, cost: costs['left out'], back: [1, 0] });
  if (s > 0) steps.push({ step: { kind: 'added', seen: s - 1 }, cost: costs.added, back: [0, 1] });
  return steps;
}

function cheapest(
  table: readonly { cost: number }[][],
  planned: readonly TechniqueId[],
  seen: readonly TechniqueId[],
  p: number,
  s: number,
): { cost: number; step?: MatchStep } {
  if (p === 0 && s === 0) return { cost: 0 };
  return stepsTo(planned, seen, p, s)
    .map(({ step, cost, back: [onPlanned, onSeen] }) => ({ step, cost: table[p - onPlanned]![s - onSeen]!.cost + cost }))
    .reduce((best, way) => (way.cost < best.cost ? way : best));
}

/**
 * For each planned call how much of the blame it bears for what was left out: of all the ways to tell the differences that are
 * equally short, the share in which it is the one. Of two jabs of which one is missing each bears half.
 */
export function leftOutShares(planned: readonly TechniqueId[], seen: readonly TechniqueId[]): Ratio[] {
  const from = waysFrom(planned, seen);
  const to = waysFrom(planned.toReversed(), seen.toReversed());
  const least = from[planned.length]![seen.length]!;
  return planned.map((_, place) =>
    sum(from[place]!, ({ cost, ways }, s) => {
      const rest = to[planned.length - place - 1]![seen.length - s]!;
      const isShortest = Math.abs(cost + costs['left out'] + rest.cost - least.cost) < 1e-9;
      return isShortest ? (ways * rest.ways) / least.ways : 0;
    }),
  );
}

/** By calls planned and seen so far: what the differences cost at least, and in how many ways they do. */
function waysFrom(planned: readonly TechniqueId[], seen: readonly TechniqueId[]): { cost: number; ways: number }[][] {
  const table: { cost: number; ways: number }[][] = [];
  for (let p = 0; p <= planned.length; p++) {
    table.push([]);
    for (let s = 0; s <= seen.length; s++) table[p]!.push(p + s === 0 ? { cost: 0, ways: 1 } : { cost: Infinity, ways: 0 });
    for (let s = 0; s <= seen.length; s++) {
      if (p + s === 0) continue;
      const steps = stepsTo(planned, seen, p, s).map(({ cost, back: [onPlanned, onSeen] }) => {
        const before = table[p - onPlanned]![s - onSeen]!;
        return { cost: before.cost + cost, ways: before.ways };
      });
      const cost = Math.min(...steps.map((step) => step.cost));
      table[p]![s] = { cost, ways: sum(steps, (step) => (step.cost - cost < 1e-9 ? step.ways : 0)) };
    }
  }
  return table;
}

/** What several attempts at one combination have in common, by place of the combination. */
export interface SetSays {
  attempts: number;
  /** Attempts in which everything was as planned. */
  complete: number;
  /** Mean of the scores. */
  score: Ratio;
  /** For each place of the set, in how many attempts it was left out; a part of one where another place may have been it. */
  leftOut: readonly number[];
}

/** What was thrown, combination by combination, as it is held against calls: a feint is none of it, and by itself no attempt. */
export const attemptsIn = (thrown: readonly { technique: TechniqueId; time: Ms }[], gap?: Ms): TechniqueId[][] =>
  heardCombinations(thrown, gap)
    .map((one) => withoutFeints(one.map(({ technique }) => technique)))
    .filter(({ length }) => length > 0);

/** One set over many attempts: what is always lost shows by its place. */
export function matchAttempts(planned: readonly TechniqueId[], attempts: readonly (readonly TechniqueId[])[]): SetSays {
  const matches = attempts.map((seen) => matchCalls(planned, seen));
  const shares = attempts.map((seen) => leftOutShares(planned, seen));
  return {
    attempts: attempts.length,
    complete: matches.filter(({ steps }) => steps.every(({ kind }) => kind === 'as planned')).length,
    score: mean(matches, ({ score }) => score) ?? 0,
    leftOut: planned.map((_, place) => sum(shares, (share) => share[place]!)),
  };
}
