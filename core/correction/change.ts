import { seen, type Tally } from '../review/index.ts';
import type { Ratio } from '../units.ts';
import type { Moved } from './level/index.ts';
import { fewestSeen } from './fewest-seen.ts';

/** The four things that can be said of a level since the opening. */
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
/** How sure one has to be before saying so: after each session it is asked anew, and each time is another chance to be fooled. */
export const sureEnough: Ratio = 0.85;
/** What is less likely than this is ruled out. */
const ruledOut: Ratio = 0.1;

const strikes = (tallies: readonly Tally[]): number => tallies.reduce((sum, tally) => sum + seen(tally), 0);

/** What is said of a change. @param before what was counted up to the opening @param since what was counted after it */
export function changeOf({ fell, rose }: Moved, before: readonly Tally[], since: readonly Tally[]): Change {
  if (strikes(before) < fewestSeen || strikes(since) < fewestSeen) return 'too-few';
  if (fell >= sureEnough) return 'better';
  return rose >= sureEnough ? 'worse' : 'no-clear-change';
}

/** Whether the question is settled: it has moved, or it surely has not. */
export const isSettled = ({ fell, rose }: Moved): boolean =>
  fell >= sureEnough || rose >= sureEnough || (fell <= ruledOut && rose <= ruledOut);
