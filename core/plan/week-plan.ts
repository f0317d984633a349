import { daysBetween } from '../days.ts';
import { shortDay } from '../words/index.ts';
import { isHard } from './week.ts';
import type { LeftOut } from './candidates.ts';
import { makePlan, type MadePlan } from './make-plan.ts';
import { impactRounds } from './part.ts';
import { rulesFor } from './rules.ts';
import type { PlannedCorrection, PlanWish } from './wish.ts';

/** A correction of somebody whose week is planned, and from which day on it is looked at again. */
export interface WeekCorrection extends Omit<PlannedCorrection, 'due'> {
  /** YYYY-MM-DD; null while nobody set one. */
  recheckOn: string | null;
  relapsed: boolean;
}
/** Somebody whose week is planned. */
export interface WeekPerson extends Pick<PlanWish, 'length' | 'who' | 'leads' | 'drills'> {
  id: string;
  name: string;
  /** Days of the week on which they come and nothing is planned yet, in order. */
  days: readonly string[];
  /** Sessions of theirs that stand already, from the day before the week on. */
  standing: readonly { day: string; impact: number }[];
  /** What matters most first. */
  corrections: readonly WeekCorrection[];
  /** What the syllabus has this week. */
  techniques: readonly { id: string; name: string }[];
}
/** A session of a planned week. */
export interface WeekPlan {
  traineeId: string;
  day: string;
  made: MadePlan;
  technique: string | null;
}
export interface PlannedWeek {
  plans: WeekPlan[];
  /** What no session of the week takes, of whom. */
  leftOut: (LeftOut & { traineeId: string })[];
}

/** So many questions are settled in a session: for more there is no time. */
const mostRechecks = 2;

/**
 * For each day what is looked at again on it: everything once, on the first day from its own on that has room; what relapsed as soon as
 * can be.
 */
function spread(
  corrections: readonly WeekCorrection[],
  days: readonly string[],
): { onDay: Map<string, string[]>; late: WeekCorrection[] } {
  const onDay = new Map(days.map((day) => [day, [] as string[]]));
  const last = days.at(-1) ?? '';
  const due = corrections.filter(({ recheckOn, relapsed }) => relapsed || (recheckOn !== null && recheckOn <= last));
  const late = due.filter(({ id, recheckOn, relapsed }) => {
    const day = days.find((one) => (relapsed || one >= recheckOn!) && onDay.get(one)!.length < mostRechecks);
    if (day) onDay.get(day)!.push(id);
    return !day;
  });
  return { onDay, late };
}

/**
 * The sessions of a week for some people, each planned as one alone would be: hard rounds are shared among the days, fewer on the day
 * after a hard one; what is to be looked at again is looked at once; each session takes another technique of the week.
 * @param isOpen whether somebody trains on a day
 */
export function planWeek(people: readonly WeekPerson[], isOpen: (day: string) => boolean): PlannedWeek {
  const all: PlannedWeek = { plans: [], leftOut: [] };
  for (const person of people) {
    const { id: traineeId, days: wanted, standing, corrections, techniques, length, who, leads, drills } = person;
    const rules = rulesFor(who);
    const days = wanted.filter(isOpen);
    const { onDay, late } = spread(corrections, days);
    const sessions = standing.map(({ day, impact }) => ({ day, impact }));
    for (const [place, day] of days.entries()) {
      const impactThisWeek = sessions.filter((one) => one.day >= wanted[0]!).reduce((sum, { impact }) => sum + impact, 0);
      const share = Math.ceil(Math.max(0, rules.impactAWeek - impactThisWeek) / (days.length - place));
      const isNextTo = ({ day: other, impact }: { day: string; impact: number }): boolean =>
        Math.abs(daysBetween(other, day)) === 1 && isHard(impact, rules.impactASession);
      const rested = sessions.some(isNextTo) ? Math.floor(rules.impactASession / 2) : rules.impactASession;
      const looked = onDay.get(day)!;
      const technique = techniques[place % Math.max(1, techniques.length)] ?? null;
      const made = makePlan({
        ...{ length, who, leads, drills, technique, impactThisWeek, impactAtMost: Math.min(share, rested) },
        corrections: corrections.map(({ recheckOn: _, relapsed: _relapsed, ...one }) => ({
          ...one,
          due: looked.includes(one.id),
        })),
        lookedAtElsewhere: corrections.filter(({ id }) => !looked.includes(id)).map(({ id }) => id),
      });
      sessions.push({ day, impact: impactRounds(made.parts) });
      all.plans.push({ traineeId, day, made, technique: technique?.id ?? null });
      all.leftOut.push(...made.leftOut.filter(isOwn).map((one) => ({ ...one, traineeId })));
    }
    for (const day of wanted.filter((one) => !isOpen(one)))
      all.leftOut.push({ traineeId, what: `${person.name}, ${shortDay(day)}`, why: 'Nobody trains on that day.' });
    for (const { techniqueName, checkpointName } of late)
      all.leftOut.push({
        traineeId,
        what: `${techniqueName}: ${checkpointName}, re-check`,
        why:
          days.length === 0
            ? 'No session of the week is on its day.'
            : `No session has room: ${mostRechecks} a session are the most.`,
      });
  }
  return all;
}

/** What a coach of forty wants to know of each: what is not looked at again. */
const isOwn = ({ what }: LeftOut): boolean => what.includes('re-check');
