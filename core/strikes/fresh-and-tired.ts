import type { Ms } from '../units.ts';

/** A strike, and when it landed. */
export interface LandedStrike {
  technique: string;
  part: number | null;
  time: Ms;
}

/**
 * Of the strikes in a stretch the first of whatever is thrown most in it, and the first strike of the same kind in the round before it:
 * the same thing tired and fresh. Undefined where nothing was tagged in the stretch; `fresh` where it was not thrown before.
 * @param strikes of the round, in any order
 */
export function freshAndTired<One extends LandedStrike>(
  strikes: readonly One[],
  { from, to }: { from: Ms; to: Ms },
): { tired: One; fresh: One | undefined } | undefined {
  const inOrder = strikes.toSorted((one, other) => one.time - other.time);
  const kindOf = ({ technique, part }: LandedStrike): string => `${technique} ${part}`;
  const within = inOrder.filter(({ time }) => time >= from && time < to);
  const before = inOrder.filter(({ time }) => time < from);
  const times = new Map<string, number>();
  for (const one of within) times.set(kindOf(one), (times.get(kindOf(one)) ?? 0) + 1);
  const isComparable = (one: One): boolean => before.some((earlier) => kindOf(earlier) === kindOf(one));
  // What can be held against something comes before what cannot, however often it was thrown.
  const weight = (one: One): number => (isComparable(one) ? 1e6 : 0) + times.get(kindOf(one))!;
  const [tired] = within.toSorted((one, other) => weight(other) - weight(one));
  return tired && { tired, fresh: before.find((earlier) => kindOf(earlier) === kindOf(tired)) };
}
