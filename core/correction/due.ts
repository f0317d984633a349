import { daysBetween } from '../days.ts';
import type { Severity } from '../technique/index.ts';
import type { CorrectionState } from './state.ts';

/** Why a correction is looked at again, what matters most first. */
export const dueReasons = ['relapsed', 'hurts', 'late', 'due', 'kept'] as const;
export type DueReason = (typeof dueReasons)[number];

/** So many days after its day something is late. */
const daysUntilLate = 4;

/** A correction whose day has come. */
export interface Due {
  state: CorrectionState;
  /** YYYY-MM-DD; null when nobody set one. */
  recheckOn: string | null;
}

export function dueReason({ state, recheckOn }: Due, severity: Severity | undefined, today: string): DueReason {
  if (state === 'relapsed') return 'relapsed';
  if (severity === 'injury') return 'hurts';
  const late = recheckOn !== null && daysBetween(recheckOn, today) > daysUntilLate;
  if (late) return 'late';
  return state === 'kept' ? 'kept' : 'due';
}

/** Those that are due in the order in which they should be looked at, each with why; of one reason the one that waits longest first. */
export const inDueOrder = <One extends Due>(
  due: readonly One[],
  severityOf: (one: One) => Severity | undefined,
  today: string,
): { one: One; reason: DueReason }[] =>
  due
    .map((one) => ({ one, reason: dueReason(one, severityOf(one), today) }))
    .sort(
      (a, b) =>
        dueReasons.indexOf(a.reason) - dueReasons.indexOf(b.reason) ||
        (a.one.recheckOn ?? '9').localeCompare(b.one.recheckOn ?? '9'),
    );
