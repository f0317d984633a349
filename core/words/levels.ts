import {
  correctionStateNames,
  frequencyNames,
  rungName,
  sureEnough,
  type CorrectionEventKind,
  type CorrectionState,
  type FaultRate,
  type Frequency,
  type LadderStep,
} from '../correction/index.ts';
import { seen, weightedFaults, type Tally } from '../review/index.ts';
import type { Ratio } from '../units.ts';
import { counted, percent } from './counts.ts';
import { localDay, shortDay } from './days.ts';

/** A level with its 90% interval. */
export interface ToldLevel {
  level: Ratio;
  low: Ratio;
  high: Ratio;
}
interface LevelAt extends ToldLevel {
  sessionId: string;
  tally: Tally;
}
/** A line of a correction’s history, as far as words need it. */
interface ToldEvent {
  often?: Frequency | null;
  kind: CorrectionEventKind;
  rung: number | null;
  note: string;
}
/** Where a correction stands. */
interface Standing {
  state: CorrectionState;
  rung: number;
  topRung: number;
}
/** One thing in two conditions. */
interface ToldCondition {
  condition: 'tired' | 'lead' | 'rung';
  rungs: readonly number[];
  first: ToldLevel;
  second: ToldLevel;
  higher: Ratio;
  lower: Ratio;
}

/** The level at the opening, where there is something to hold it against, and that of now. */
export const thenAndNow = <Level extends LevelAt>({
  levels,
  since,
}: {
  levels: readonly Level[];
  since?: { sessionId: string } | null | undefined;
}): { then: Level | undefined; now: Level } => ({
  then: levels.find(({ sessionId }) => sessionId === since?.sessionId),
  now: levels.at(-1)!,
});
/** A level with its doubt, as a rate is drawn. */
export const levelAsRate = ({ tally, level, low, high }: LevelAt): FaultRate => ({
  faults: weightedFaults(tally),
  seen: seen(tally),
  rate: level,
  low,
  high,
  enough: true,
});
/** “9% (2–21%)” */
export const levelInWords = ({ level, low, high }: ToldLevel): string => `${percent(level)} (${percent(low)}–${percent(high)})`;

/** What would settle an open question. */
export const settlingInWords = ({ sessions, strikes }: { sessions: number; strikes: number }): string =>
  `${counted(sessions, 'more session')} of about ${strikes} strikes would likely settle it`;

/** When an aim is likely met, if it is on a way there. */
export const wayInWords = (weeks: number): string =>
  `At this pace it is likely at its aim in ${counted(weeks, 'week')}, about ${shortDay(localDay(weeks * 7))}.`;

/** “holding at bag, single strikes” */
export const stepInWords = ({ kind, rung }: { kind: LadderStep; rung: number }): string =>
  `${correctionStateNames[kind].toLowerCase()} at “${rungName(rung).toLowerCase()}”`;

/** Where a correction stands and, when it is locked below its top, what comes next. */
export function standingInWords({ state, rung, topRung }: Standing): string {
  if (state === 'closed') return 'Closed';
  const here = `${correctionStateNames[state]} at “${rungName(rung).toLowerCase()}”`;
  return state === 'locked' && rung < topRung ? `${here}; next: ${rungName(rung + 1).toLowerCase()}` : here;
}

/** Why a step is proposed. @param aim highest share of faults that is good enough */
export function reasonInWords(kind: LadderStep, { atAim, sessions }: { atAim: Ratio; sessions: number }, aim: number): string {
  const of = `after ${counted(sessions, 'session')} at this rung`;
  return kind === 'relapsed'
    ? `${percent(1 - atAim)} sure, ${of}, that more than ${percent(aim)} are faults again`
    : `${percent(atAim)} sure, ${of}, that at most ${percent(aim)} are faults`;
}

/** What is drilled for it, as it was last said; undefined where nothing is. */
export const drillOf = ({ history }: { history: readonly Pick<ToldEvent, 'kind' | 'note'>[] }): string | undefined =>
  history.findLast(({ kind }) => kind === 'drill-given')?.note || undefined;

/** How often that drill is done; undefined where nobody said. */
export const oftenOf = ({ history }: { history: readonly Pick<ToldEvent, 'kind' | 'often'>[] }): Frequency | undefined =>
  history.findLast(({ kind }) => kind === 'drill-given')?.often ?? undefined;
/** Both in one. */
export function drillInWords(one: { history: readonly Pick<ToldEvent, 'kind' | 'note' | 'often'>[] }): string | undefined {
  const [drill, often] = [drillOf(one), oftenOf(one)];
  return drill && (often ? `${drill}, ${frequencyNames[often]}` : drill);
}

const kindNames: Record<CorrectionEventKind, string> = {
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
export const eventInWords = ({ kind, rung }: Pick<ToldEvent, 'kind' | 'rung'>): string =>
  rung !== null && kind !== 'opened' ? `${kindNames[kind]}: ${rungName(rung).toLowerCase()}` : kindNames[kind];
/** The numbers behind it. */
export const numbersInWords = (numbers: ToldLevel & { atAim: Ratio; sessions: number }): string =>
  `level ${levelInWords(numbers)}, ${percent(numbers.atAim)} sure it is at the aim, ${counted(numbers.sessions, 'session')}`;

const lowerRung = (rung: number | undefined): string => rungName(rung!).toLowerCase();
/** Where the first and where the second was counted, and when the second is. */
const conditionWords: Readonly<
  Record<ToldCondition['condition'], (rungs: readonly number[]) => readonly [here: string, there: string, when: string]>
> = {
  tired: () => ['in the first thirds of rounds', 'in the last', 'when tired'],
  lead: () => ['with the usual foot in front', 'with the other', 'with the other foot in front'],
  rung: ([easier, harder]) => [`at “${lowerRung(easier)}”`, `at “${lowerRung(harder)}”`, `at “${lowerRung(harder)}”`],
};
/** What becomes of a correction when tired, with the other foot in front, or at a harder rung. */
export function conditionInWords({ condition, rungs, first, second, higher, lower }: ToldCondition): string {
  const [here, there, when] = conditionWords[condition](rungs);
  const figures = `${percent(first.level)} ${here}, ${percent(second.level)} ${there}`;
  if (higher >= sureEnough) return `Worse ${when}: ${figures} (${percent(higher)} sure).`;
  if (lower >= sureEnough) return `Better ${when}: ${figures} (${percent(lower)} sure).`;
  const holds = higher <= 1 - sureEnough ? `No worse ${when}` : `Whether it is worse ${when} is not clear yet`;
  return `${holds}: ${figures}.`;
}
