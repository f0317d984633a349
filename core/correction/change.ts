import { seen, type Tally } from '../review/index.ts';
import type { Ratio } from '../units.ts';
import { chanceFell, fewestSeen, firstSettled } from './rate.ts';

/** The four things that can be said of two rates. */
export const changes = ['better', 'worse', 'no-clear-change', 'too-few'] as const;
export type Change = (typeof changes)[number];

/** In words. */
export const changeNames: Record<Change, string> = {
  better: 'Better',
  worse: 'Worse',
  'no-clear-change': 'No clear change',
  'too-few': 'Too few to say',
};

/** A change smaller than this is not worth a coach's word. */
export const worthwhile: Ratio = 0.1;
/** How sure one has to be before saying so. */
export const sureEnough: Ratio = 0.8;

/** What is said of a change, the interval of the difference in share of strikes, and how sure it is, 0 to 1. */
export interface ChangeVerdict {
  change: Change;
  /** Probability that the rate fell by at least ten points. */
  fell: Ratio;
  /** Probability that it rose by at least ten points. */
  rose: Ratio;
}

/** Better, worse, or noise: compares two sessions' tallies of one checkpoint at the same rung. */
export function changeBetween(before: Tally, after: Tally): ChangeVerdict {
  const fell = chanceFell(before, after, worthwhile);
  const rose = chanceFell(after, before, worthwhile);
  if (seen(before) < fewestSeen || seen(after) < fewestSeen) return { change: 'too-few', fell, rose };
  if (fell >= sureEnough) return { change: 'better', fell, rose };
  if (rose >= sureEnough) return { change: 'worse', fell, rose };
  return { change: 'no-clear-change', fell, rose };
}

/** More than this nobody marks in a session. */
const mostWanted = 400;

/**
 * How many strikes like those of `after` would have to be seen, at its present rate, before the comparison comes out clear.
 * Null when even `mostWanted` would not settle it, or when too few were seen before.
 */
export function wouldSettleAt(before: Tally, after: Tally): number | null {
  const count = seen(after);
  if (count === 0 || seen(before) < fewestSeen) return null;
  const settled = firstSettled(before, grown(after), worthwhile, sureEnough);
  return settled ? Math.round(seen(settled)) : null;
}

/** More and more strikes that are judged like those seen. */
function* grown(tally: Tally): Iterable<Tally> {
  const count = seen(tally);
  for (let wanted = Math.max(fewestSeen, count + 4); wanted <= mostWanted; wanted = Math.ceil(wanted * 1.15)) {
    const scale = wanted / count;
    yield { ...tally, clean: tally.clean * scale, watch: tally.watch * scale, fault: tally.fault * scale };
  }
}
