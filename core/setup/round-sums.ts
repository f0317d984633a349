import type { Seconds } from '../units.ts';

/** Rounds by the clock, with what goes before. */
export interface RoundsAsked {
  rounds: number;
  work: Seconds;
  rest: Seconds;
  warmUp: Seconds;
  /** Strikes a minute. */
  pace: number;
}
/** What they come to. */
export interface RoundSums {
  total: Seconds;
  worked: Seconds;
  hits: number;
  /** When each round begins, from the start. */
  begins: Seconds[];
}

/** After the last round there is no rest. */
export function roundSums({ rounds, work, rest, warmUp, pace }: RoundsAsked): RoundSums {
  const begins = Array.from({ length: rounds }, (_, place) => warmUp + place * (work + rest));
  const worked = rounds * work;
  return { total: warmUp + worked + Math.max(0, rounds - 1) * rest, worked, hits: Math.round((worked / 60) * pace), begins };
}
