import type { ComparedLevels, LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction, CorrectionEvent, StepNumbers } from '@wax-fist/contract/corrections';
import {
  correctionStateNames,
  faultRate,
  rungName,
  sureEnough,
  type FaultRate,
  type LadderStep,
} from '@wax-fist/core/correction';
import { counted, localDay, percent, shortDay } from '../../app/format.ts';

type LevelAt = LevelAnswer['levels'][number];

/** The level at the opening, where there is something to hold it against, and that of now. */
export const thenAndNow = ({ levels, since }: LevelAnswer) => ({
  then: levels.find(({ sessionId }) => sessionId === since?.sessionId),
  now: levels.at(-1)!,
});
/** A level with its doubt, as a rate is drawn. */
export const levelAsRate = ({ tally, level, low, high }: LevelAt): FaultRate => ({
  ...faultRate(tally),
  rate: level,
  low,
  high,
  enough: true,
});
/** “9% (2–21%)” */
export const levelInWords = ({ level, low, high }: Pick<LevelAt, 'level' | 'low' | 'high'>): string =>
  `${percent(level)} (${percent(low)}–${percent(high)})`;

/** What would settle an open question. */
export const settlingInWords = ({ sessions, strikes }: NonNullable<LevelAnswer['settling']>): string =>
  `${counted(sessions, 'more session')} of about ${strikes} strikes would likely settle it`;

/** When an aim is likely met, if it is on a way there. */
export const wayInWords = (weeks: number): string =>
  `At this pace it is likely at its aim in ${counted(weeks, 'week')}, about ${shortDay(localDay(weeks * 7))}.`;

/** “holding at bag, single strikes” */
export const stepInWords = ({ kind, rung }: { kind: LadderStep; rung: number }): string =>
  `${correctionStateNames[kind].toLowerCase()} at “${rungName(rung).toLowerCase()}”`;

/** Where a correction stands and, when it is locked below its top, what comes next. */
export function standingInWords({ state, rung, topRung }: Pick<Correction, 'state' | 'rung' | 'topRung'>): string {
  if (state === 'closed') return 'Closed';
  const here = `${correctionStateNames[state]} at “${rungName(rung).toLowerCase()}”`;
  return state === 'locked' && rung < topRung ? `${here}; next: ${rungName(rung + 1).toLowerCase()}` : here;
}

/** Why a step is proposed. @param aim highest share of faults that is good enough */
export function reasonInWords(
  kind: LadderStep,
  { atAim, sessions }: Pick<StepNumbers, 'atAim' | 'sessions'>,
  aim: number,
): string {
  const of = `after ${counted(sessions, 'session')} at this rung`;
  return kind === 'relapsed'
    ? `${percent(1 - atAim)} sure, ${of}, that more than ${percent(aim)} are faults again`
    : `${percent(atAim)} sure, ${of}, that at most ${percent(aim)} are faults`;
}

/** What is drilled for it, as it was last said; undefined where nothing is. */
export const drillOf = ({ history }: Pick<Correction, 'history'>): string | undefined =>
  history.findLast(({ kind }) => kind === 'drill-given')?.note || undefined;

const kindNames: Record<CorrectionEvent['kind'], string> = {
  opened: 'Opened',
  'cue-given': 'Cue given',
  'drill-given': 'Drill',
  're-checked': 'Re-checked',
  holding: 'Holding',
  locked: 'Locked',
  kept: 'Kept',
  relapsed: 'Relapsed',
  rescheduled: 'Another day to look again',
  closed: 'Closed',
  're-opened': 'Opened again',
};
/** A line of a history in words. */
export const eventInWords = ({ kind, rung }: Pick<CorrectionEvent, 'kind' | 'rung'>): string =>
  rung !== null && kind !== 'opened' ? `${kindNames[kind]}: ${rungName(rung).toLowerCase()}` : kindNames[kind];
/** The numbers behind it. */
export const numbersInWords = (numbers: StepNumbers): string =>
  `level ${levelInWords(numbers)}, ${percent(numbers.atAim)} sure it is at the aim, ${counted(numbers.sessions, 'session')}`;

const lowerRung = (rung: number | undefined): string => rungName(rung!).toLowerCase();
/** Where the first and where the second was counted, and when the second is. */
const conditionWords: Readonly<
  Record<ComparedLevels['condition'], (rungs: readonly number[]) => readonly [here: string, there: string, when: string]>
> = {
  tired: () => ['in the first thirds of rounds', 'in the last', 'when tired'],
  lead: () => ['with the usual foot in front', 'with the other', 'with the other foot in front'],
  rung: ([easier, harder]) => [`at “${lowerRung(easier)}”`, `at “${lowerRung(harder)}”`, `at “${lowerRung(harder)}”`],
};
/** What becomes of a correction when tired, with the other foot in front, or at a harder rung. */
export function conditionInWords({ condition, rungs, first, second, higher, lower }: ComparedLevels): string {
  const [here, there, when] = conditionWords[condition](rungs);
  const figures = `${percent(first.level)} ${here}, ${percent(second.level)} ${there}`;
  if (higher >= sureEnough) return `Worse ${when}: ${figures} (${percent(higher)} sure).`;
  if (lower >= sureEnough) return `Better ${when}: ${figures} (${percent(lower)} sure).`;
  const holds = higher <= 1 - sureEnough ? `No worse ${when}` : `Whether it is worse ${when} is not clear yet`;
  return `${holds}: ${figures}.`;
}
