import { groups } from 'd3-array';
import { daysBetween } from '../days.ts';
import type { AgeGroup, Grade } from '../trainee/index.ts';
import { counted, shortDay } from '../words/index.ts';
import { rulesFor } from './rules.ts';

/** A session of a week, as far as a week asks. */
export interface WeekSession {
  id: string;
  traineeId: string;
  traineeName: string;
  day: string;
  /** Hard rounds. */
  impact: number;
}
/** Something about a week that a coach should know. */
export interface WeekProblem {
  /** Sessions that it is about. */
  sessions: string[];
  says: string;
}

/** From so many hard rounds on a day of rest should lie between two sessions: half of what a session may have. */
export const isHard = (impact: number, most: number): boolean => impact * 2 > most;

/**
 * What is too much in a week, in words, trainee by trainee; empty when nothing is.
 * @param whyClosed why nobody trains on a day; undefined where somebody does
 */
export function weekProblems(
  sessions: readonly WeekSession[],
  whoIs: (traineeId: string) => { grade: Grade; ageGroup: AgeGroup | null } | undefined,
  whyClosed: (day: string) => string | undefined = () => undefined,
): WeekProblem[] {
  const closed = sessions.flatMap(({ id, traineeName, day }): WeekProblem[] => {
    const why = whyClosed(day);
    return why === undefined ? [] : [{ sessions: [id], says: `${traineeName}: nobody trains on ${shortDay(day)} (${why}).` }];
  });
  const tooMuch = groups(sessions, ({ traineeId }) => traineeId).flatMap(([traineeId, own]) => {
    const who = whoIs(traineeId);
    if (!who) return [];
    const rules = rulesFor(who);
    const name = own[0]!.traineeName;
    const inOrder = [...own].sort((a, b) => a.day.localeCompare(b.day));
    const problems: WeekProblem[] = [];
    const hits = own.reduce((sum, { impact }) => sum + impact, 0);
    if (hits > rules.impactAWeek)
      problems.push({
        sessions: own.map(({ id }) => id),
        says: `${name}: ${counted(hits, 'hard round')} this week; ${rules.impactAWeek} are the most here.`,
      });
    inOrder.forEach((one, place) => {
      const before = inOrder[place - 1];
      if (!before) return;
      const apart = daysBetween(before.day, one.day);
      const pair = [before.id, one.id];
      if (apart === 0) problems.push({ sessions: pair, says: `${name}: two sessions on one day.` });
      else if (apart === 1 && isHard(before.impact, rules.impactASession) && isHard(one.impact, rules.impactASession))
        problems.push({ sessions: pair, says: `${name}: two hard sessions without a day between.` });
    });
    return problems;
  });
  return [...closed, ...tooMuch];
}
