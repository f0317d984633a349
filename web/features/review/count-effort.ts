import type { Ms } from '@wax-fist/core/units';

/** Whoever does nothing for longer than this is not at it any more; watching a film at a quarter of its speed takes as long. */
export const stillAtIt: Ms = 60_000;

/** What somebody did at the bench since it was last told. */
export interface Stretch {
  worked: Ms;
  presses: number;
}

/** Counts for how long somebody is at work, by when they do anything, and how often they press something. */
export function countEffort(most: Ms) {
  let stretch: Stretch = { worked: 0, presses: 0 };
  let last: Ms | undefined;
  const add = ({ worked, presses }: Stretch): void => {
    stretch = { worked: Math.min(most, stretch.worked + worked), presses: stretch.presses + presses };
  };
  return {
    /** @param at on a clock that only goes forward @param presses none where a hand only moved */
    did(at: Ms, presses: 0 | 1): void {
      const since = last === undefined ? Infinity : at - last;
      add({ worked: since <= stillAtIt ? since : 0, presses });
      last = at;
    },
    /** What there is to tell; undefined where there is nothing. From here on it is counted anew. */
    take(): Stretch | undefined {
      const taken = stretch;
      stretch = { worked: 0, presses: 0 };
      return taken.worked > 0 || taken.presses > 0 ? taken : undefined;
    },
    /** It could not be told: it is told with what comes. */
    putBack: add,
  };
}
