import { range, sum } from 'd3-array';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { intervalTail, type Ratio } from '../units.ts';
import { agreedVerdicts, type Verdict } from './verdict.ts';

/** How often each pair of verdicts was given by two coaches who did not know of each other: rows the first one’s, columns the second one’s. */
export type PairCounts = readonly (readonly number[])[];

/** A share with its 90% interval. */
export interface Bounded {
  value: number;
  low: number;
  high: number;
}

/** How far two coaches agree on one checkpoint. */
export interface CoachAgreement {
  /** Strikes that both could judge. */
  pairs: number;
  /** How often they said the same. */
  same: Bounded;
  /** How far they agree beyond chance, a watch half way between clean and fault; undefined where both said one thing only. */
  kappa: Bounded | undefined;
  enough: boolean;
}

/** Below this, strikes tell nothing of agreement. */
const fewestPairs = 8;
/** CoachAgreement beyond chance below this leaves too much to who looks (“substantial” begins here, Landis and Koch 1977). */
export const clearEnough = 0.6;
/** How alike two strikes of a film are: whoever reads a row in their own way does so all through it. */
const likeness: Ratio = 0.1;
/** Before any pair was seen, a third of a strike in each cell; without it two who agree always would be without doubt. */
const prior = 1 / 3;

const places = range(agreedVerdicts.length);
/** Half of the way from clean to fault is half of an agreement (linear weights, Cohen 1968). */
const weight = (first: number, second: number): number => 1 - Math.abs(first - second) / (agreedVerdicts.length - 1);
const cells = places.flatMap((first) => places.map((second) => [first, second] as const));

/** What a table of pairs has in its cells, in all and along its diagonal. */
const sumOf = (table: PairCounts): number => sum(table, (row) => sum(row));
const sameOf = (table: PairCounts): number => sum(places, (place) => table[place]![place]!);

/** By how much strikes of a film tell less than as many of a film each (Kish 1965). */
function designEffect(films: readonly PairCounts[]): number {
  const sizes = films.map(sumOf);
  const all = sum(sizes);
  return all === 0 ? 1 : Math.max(1, 1 + likeness * (sum(sizes, (size) => size ** 2) / all - 1));
}

/** Weighted kappa and its variance for one pair (Fleiss, Cohen and Everitt 1969); undefined where there is nothing but one verdict. */
function weightedKappa(share: PairCounts): { value: number; variance: number } | undefined {
  const firsts = places.map((first) => sum(share[first]!));
  const seconds = places.map((second) => sum(share, (row) => row[second]!));
  const observed = sum(cells, ([first, second]) => weight(first, second) * share[first]![second]!);
  const expected = sum(cells, ([first, second]) => weight(first, second) * firsts[first]! * seconds[second]!);
  if (1 - expected < 1e-9) return undefined;
  const value = (observed - expected) / (1 - expected);
  const ofFirst = places.map((first) => sum(places, (second) => seconds[second]! * weight(first, second)));
  const ofSecond = places.map((second) => sum(places, (first) => firsts[first]! * weight(first, second)));
  const spread = sum(
    cells,
    ([first, second]) =>
      share[first]![second]! * (weight(first, second) - (ofFirst[first]! + ofSecond[second]!) * (1 - value)) ** 2,
  );
  const variance = (spread - (value - expected * (1 - value)) ** 2) / (1 - expected) ** 2;
  return { value, variance: Math.max(0, variance) };
}

const reachOfInterval = (): number => normalQuantile(1 - intervalTail, 0, 1);
/** A share with Wilson’s interval. */
function wilson(times: number, of: number): Bounded {
  const reach = reachOfInterval();
  const value = times / of;
  const middle = (value + reach ** 2 / (2 * of)) / (1 + reach ** 2 / of);
  const half = (reach / (1 + reach ** 2 / of)) * Math.sqrt((value * (1 - value)) / of + reach ** 2 / (4 * of ** 2));
  return { value, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/**
 * How far two coaches agree, told by films that both have marked without knowing of each other.
 * Strikes of a film count for less than as many films; intervals are of 90%.
 * @param films pairs of verdicts by film, each a table of 3 × 3
 */
export function agreementOfCoaches(films: readonly PairCounts[]): CoachAgreement {
  const table = places.map((first) => places.map((second) => sum(films, (film) => film[first]![second]!)));
  const pairs = sumOf(table);
  if (pairs === 0) return { pairs, same: { value: 0, low: 0, high: 1 }, kappa: undefined, enough: false };
  const effective = pairs / designEffect(films);
  const found = weightedKappa(table.map((row) => row.map((count) => count / pairs)));
  const all = effective + cells.length * prior;
  const smoothed = table.map((row) => row.map((count) => ((count * effective) / pairs + prior) / all));
  const doubt = weightedKappa(smoothed);
  const half = doubt ? reachOfInterval() * Math.sqrt(doubt.variance / effective) : 0;
  return {
    pairs,
    same: wilson((sameOf(table) * effective) / pairs, effective),
    kappa: found &&
      doubt && {
        value: found.value,
        low: Math.max(-1, doubt.value - half),
        high: Math.max(found.value, Math.min(1, doubt.value + half)),
      },
    enough: pairs >= fewestPairs,
  };
}

/** What an agreement says of the words of a row. */
export type Wording = 'too-few' | 'clear' | 'unclear' | 'open';
/** Whether two coaches read a row alike: only what lies surely on one side is said. */
export function wordingOf({ kappa, enough, same }: CoachAgreement): Wording {
  if (!enough) return 'too-few';
  if (!kappa) return same.low >= clearEnough ? 'clear' : 'open';
  if (kappa.high < clearEnough) return 'unclear';
  return kappa.low >= clearEnough ? 'clear' : 'open';
}

/** The two verdicts that were most often held against each other, the first coach’s first; undefined where nobody disagreed. */
export function commonestQuarrel(films: readonly PairCounts[]): { first: Verdict; second: Verdict; times: number } | undefined {
  const quarrels = cells
    .filter(([first, second]) => first !== second)
    .map(([first, second]) => ({
      first: agreedVerdicts[first]!,
      second: agreedVerdicts[second]!,
      times: sum(films, (film) => film[first]![second]!),
    }));
  const most = quarrels.reduce((best, one) => (one.times > best.times ? one : best));
  return most.times > 0 ? most : undefined;
}
