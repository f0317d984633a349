import { group, max } from 'd3-array';
import type { SessionLook } from '../correction/index.ts';
import { emptyTally } from '../review/index.ts';
import type { View } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import { eachHabit, isReadable, shareOf, tellsOf, type Habit, type Habits, type Share, type ThrownInTime } from './habits.ts';

/** A strike as it stands in a film. */
export interface TaggedStrike {
  strikeId: string;
  filmId: string;
  view: View;
  technique: string;
  /** When it landed, in its film. */
  at: Ms;
}

/** Fewer strikes than this are no habit. */
export const fewestStrikes = 16;

/**
 * Films of a session, each with its strikes in order of time. Two films of one round from two sides show the same strikes: those of
 * the side on which most are tagged are counted.
 */
export function filmsOfOneSide(strikes: readonly TaggedStrike[]): ThrownInTime[][] {
  const views = [...group(strikes, ({ view }) => view).values()];
  const most = max(views, ({ length }) => length);
  const view = views.find(({ length }) => length === most) ?? [];
  return [...group(view, ({ filmId }) => filmId).values()].map((film) =>
    film.map(({ strikeId: id, technique, at: time }) => ({ id, technique, time })).sort((one, other) => one.time - other.time),
  );
}

/** Habits of one session. */
export interface SessionHabits {
  sessionId: string;
  heldOn: string;
  habits: Habits;
  /** What moves before a strike and what falls with it, also where it never does. */
  givenAway: readonly Habit[];
}

/** One habit in the sessions in which it could have been seen, as often as it was. */
export interface HabitOverSessions {
  habit: Habit;
  looks: (SessionLook & { share: Share<unknown> })[];
}

/** What stands in one list with it: whatever else could have been done. */
const listOf = (habit: Habit): string => `${habit.kind} ${'technique' in habit ? habit.technique : ''}`;
const keyOf = (habit: Habit): string => `${listOf(habit)} ${habit.share.what ?? ''}`;

/**
 * What a partner could read in any session, followed through all of them: done counts as what a fault counts in a rate, so that whether
 * it has changed is asked the same way.
 * @param sessions the oldest first
 * @returns the likeliest to be read in the newest session first; each `habit` is that of the newest in which it was done
 */
export function habitsOverSessions(sessions: readonly SessionHabits[]): HabitOverSessions[] {
  const inSessions = sessions.map(({ habits, givenAway, ...session }) => ({
    ...session,
    each: [...eachHabit(habits), ...givenAway],
    tells: [...tellsOf(habits), ...givenAway.filter(isReadable)],
  }));
  const newest = new Map<string, Habit>();
  for (const { tells } of inSessions) for (const tell of tells) newest.set(keyOf(tell), tell);
  for (const { each } of inSessions) for (const habit of each) if (newest.has(keyOf(habit))) newest.set(keyOf(habit), habit);
  const followed = [...newest.values()].map((habit) => ({
    habit,
    looks: inSessions.flatMap(({ sessionId, heldOn, each }) => {
      const list = each.filter((one) => listOf(one) === listOf(habit));
      if (list.length === 0) return [];
      const share = list.find((one) => keyOf(one) === keyOf(habit))?.share ?? shareOf(habit.share.what, [], list[0]!.share.of);
      return [{ sessionId, heldOn, tally: { ...emptyTally, fault: share.times, clean: share.of - share.times }, share }];
    }),
  }));
  return followed.sort((one, other) => other.habit.share.low - one.habit.share.low);
}
