/**
 * Which of the things that were told is meant by each of those that are true: the nearest in time, each once.
 * @param reach farther away it is something else, milliseconds
 * @returns for each truth what was told of it, and what was told of nothing
 */
export function matched<One>(
  told: readonly One[],
  timeOf: (one: One) => number,
  truth: readonly number[],
  reach: number,
): { of: (One | undefined)[]; madeUp: One[] } {
  const left = new Set(told);
  const of = truth.map((at) => {
    const away = (one: One): number => Math.abs(timeOf(one) - at);
    let nearest: One | undefined;
    for (const one of left) if (away(one) < reach && !(nearest !== undefined && away(nearest) < away(one))) nearest = one;
    if (nearest !== undefined) left.delete(nearest);
    return nearest;
  });
  return { of, madeUp: [...left] };
}
