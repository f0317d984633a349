import type { EffortWeek } from '@wax-fist/contract/reviewing';
import { sum } from 'd3-array';
import type { CoachAgreement, Wording } from '@wax-fist/core/review';
import { decimal, percent } from '@wax-fist/core/words';

/** What a week, or several, of reviewing came to; undefined where there is nothing to divide by. */
export interface Cost {
  minutesARound: number | undefined;
  pressesAStrike: number | undefined;
  accepted: number | undefined;
}

const divided = (all: number, by: number): number | undefined => (by > 0 ? all / by : undefined);
type Counted = Omit<EffortWeek, 'monday'>;
/** What a round and a strike cost, and how often a proposed verdict was the given one. Work of which nothing was counted costs nothing. */
export function costOf({ worked, presses, rounds, strikes, proposed, accepted }: Counted): Cost {
  return {
    minutesARound: worked > 0 ? divided(worked / 60_000, rounds) : undefined,
    pressesAStrike: presses > 0 ? divided(presses, strikes) : undefined,
    accepted: divided(accepted, proposed),
  };
}
/** Several weeks together. Weeks in which work was not counted yet would make it look cheap. */
export function costOfWeeks(weeks: readonly EffortWeek[]): Cost {
  const all = (list: readonly EffortWeek[], what: keyof Counted): number => sum(list, (week) => week[what]);
  const worked = weeks.filter(({ worked: time }) => time > 0);
  return costOf({
    worked: all(worked, 'worked'),
    presses: all(worked, 'presses'),
    rounds: all(worked, 'rounds'),
    strikes: all(worked, 'strikes'),
    proposed: all(weeks, 'proposed'),
    accepted: all(weeks, 'accepted'),
  });
}

const oneDecimal = (value: number): string => (value < 10 ? decimal(value, 1) : String(Math.round(value)));
/** The three figures, how each is read, and how it is written. */
export const costFigures: readonly {
  id: keyof Cost;
  name: string;
  says: string;
  written: (value: number) => string;
  most?: number;
}[] = [
  { id: 'minutesARound', name: 'Minutes a round', says: 'at the bench, breaks left out', written: oneDecimal },
  { id: 'pressesAStrike', name: 'Presses a strike', says: 'keys and mouse, for every strike judged', written: oneDecimal },
  { id: 'accepted', name: 'Proposals taken', says: 'of verdicts that a measure proposed', written: percent, most: 1 },
];

/** What agreement says of how a row is worded. */
export const wordingNames: Readonly<Record<Wording, string>> = {
  'too-few': 'too few to say',
  clear: 'read alike',
  unclear: 'unclear: say what to look at',
  open: 'not settled yet',
};
const wordingOrder: readonly Wording[] = ['unclear', 'open', 'clear', 'too-few'];
/** What needs words first; among equals where they agree least. */
export const inNeedOfWords = (
  one: { wording: Wording; agreement: CoachAgreement },
  other: { wording: Wording; agreement: CoachAgreement },
): number =>
  wordingOrder.indexOf(one.wording) - wordingOrder.indexOf(other.wording) ||
  one.agreement.same.value - other.agreement.same.value;
