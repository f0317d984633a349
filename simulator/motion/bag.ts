import type { Metres, Seconds } from '@wax-fist/core/units';
import type { Station } from './station.ts';

/** Something hit at a moment, seconds, and how hard: metres of first swing. */
export interface BagHit {
  at: number;
  push: number;
}

/**
 * How what is hit moves, as a damped pendulum answered in closed form. A heavy bag on 2.1 m of chain swings in about 2.9 s, with
 * a coach's hand on it now and then; a pad gives and is back before the next strike; a speed bag beats the board three times
 * between two hits.
 */
const answers = {
  hangs: { turns: (2 * Math.PI) / 2.9, damping: 1.1, size: 1 },
  gives: { turns: (2 * Math.PI) / 0.6, damping: 9, size: 1.6 },
  rebounds: { turns: (2 * Math.PI) / 0.307, damping: 3.5, size: 2.2 },
  none: { turns: 0, damping: 1, size: 0 },
} as const;

/** Metres that the face has moved away from the trainee. */
export function bagTravel(hits: readonly BagHit[], seconds: Seconds, swing: Station['swing'] = 'hangs'): Metres {
  const { turns, damping, size } = answers[swing];
  let travel = 0;
  for (const { at, push } of hits) {
    const since = seconds - at;
    if (since > 0 && since < 12) travel += size * push * Math.exp(-damping * since) * Math.sin(turns * since);
  }
  return travel;
}
