import type { Ms } from '../units.ts';

interface Span {
  id: string;
  from: Ms;
  to: Ms;
}

/** No round gets shorter than this when its edges are moved. */
export const leastRound: Ms = 1000;

const byTime = (a: Span, b: Span): number => a.from - b.from;

/** Moves one edge of a round: not into a neighbour, not off the film, and never nearer to its other edge than `leastRound`. */
export function withEdge<T extends Span>(rounds: readonly T[], id: string, edge: 'from' | 'to', time: Ms, duration: Ms): T[] {
  const sorted = [...rounds].sort(byTime);
  const place = sorted.findIndex((round) => round.id === id);
  const round = sorted[place];
  if (!round) return sorted;
  const [earliest, latest] = [sorted[place - 1]?.to ?? 0, sorted[place + 1]?.from ?? duration];
  const moved =
    edge === 'from'
      ? { from: Math.max(earliest, Math.min(time, round.to - leastRound)) }
      : { to: Math.min(latest, Math.max(time, round.from + leastRound)) };
  return sorted.with(place, { ...round, ...moved });
}

/** The stretch around a moment that no round covers; undefined inside a round or where less than `leastRound` is free. */
export function freeAround(rounds: readonly Span[], time: Ms, duration: Ms): { from: Ms; to: Ms } | undefined {
  if (rounds.some(({ from, to }) => time >= from && time < to)) return undefined;
  const from = Math.max(0, ...rounds.filter(({ to }) => to <= time).map(({ to }) => to));
  const to = Math.min(duration, ...rounds.filter((round) => round.from > time).map((round) => round.from));
  return to - from >= leastRound ? { from, to } : undefined;
}

/** Cuts the round that a moment lies in into two; undefined where none does or a part would be shorter than `leastRound`. */
export function cutAt<T extends Span>(rounds: readonly T[], time: Ms, second: Pick<T, 'id'> & Partial<T>): T[] | undefined {
  const place = rounds.findIndex(({ from, to }) => time - from >= leastRound && to - time >= leastRound);
  if (place < 0) return undefined;
  const round = rounds[place]!;
  return [...rounds.toSpliced(place, 1, { ...round, to: time }, { ...round, ...second, from: time })].sort(byTime);
}
