import { group, mean, sum } from 'd3-array';
import { seen, tallyOf, type Tally, type Verdict } from '../review/index.ts';
import type { Ratio } from '../units.ts';

/** A strike that was judged, and the combination in which it was thrown; the same name means the same combination. */
export interface StrikeInCombination {
  combination: string;
  verdict: Exclude<Verdict, 'cant-see'>;
}

/** How alike strikes of one combination are before any of a trainee's own was seen, and after how many of them their own count for half. */
const usual: { likeness: Ratio; strikes: number } = { likeness: 0.2, strikes: 30 };
const mostAlike: Ratio = 0.9;

const scores: Readonly<Record<StrikeInCombination['verdict'], number>> = { clean: 0, watch: 0.5, fault: 1 };
const combinationsOf = (strikes: readonly StrikeInCombination[]): StrikeInCombination[][] => [
  ...group(strikes, ({ combination }) => combination).values(),
];

/**
 * How alike the strikes of one combination are beyond those of the same day: the intraclass correlation by analysis of variance
 * (Donner 1986), drawn to what is usual while there are few.
 * @param days strikes that were thrown on one day under one condition
 */
export function likenessInCombinations(days: readonly (readonly StrikeInCombination[])[]): Ratio {
  const parts = days.flatMap((day) => {
    const all = mean(day, ({ verdict }) => scores[verdict]) ?? 0;
    return [combinationsOf(day).map((strikes) => strikes.map(({ verdict }) => scores[verdict] - all))];
  });
  const combinations = parts.flat();
  const strikes = sum(combinations, (one) => one.length);
  const inside = strikes - combinations.length;
  const between = combinations.length - parts.length;
  if (inside <= 0 || between <= 0) return usual.likeness;
  const varianceBetween = sum(combinations, (one) => one.length * mean(one)! ** 2) / between;
  const varianceInside = sum(combinations, (one) => sum(one, (score) => (score - mean(one)!) ** 2)) / inside;
  const size = (strikes - sum(combinations, (one) => one.length ** 2) / strikes) / (combinations.length - 1);
  const whole = varianceBetween + (size - 1) * varianceInside;
  const own = whole > 0 ? (varianceBetween - varianceInside) / whole : usual.likeness;
  const trust = inside / (inside + usual.strikes);
  return Math.min(mostAlike, Math.max(0, trust * own + (1 - trust) * usual.likeness));
}

/** What strikes of combinations tell of a rate, as if so many independent ones had been judged (Kish 1965). */
export function clusteredTally(strikes: readonly StrikeInCombination[], likeness: Ratio): Tally {
  const whole = tallyOf(strikes.map(({ verdict }) => verdict));
  const sizes = combinationsOf(strikes).map((one) => one.length);
  const share = strikes.length === 0 ? 1 : 1 / (1 + likeness * (sum(sizes, (size) => size ** 2) / seen(whole) - 1));
  return { clean: whole.clean * share, watch: whole.watch * share, fault: whole.fault * share, cantSee: 0 };
}
