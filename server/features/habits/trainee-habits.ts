import type { TraineeHabits } from '@wax-fist/contract/habits';
import { usualSpread } from '@wax-fist/core/correction';
import { fewestStrikes, filmsOfOneSide, habitsOf, habitsOverSessions } from '@wax-fist/core/habits';
import { group, sum } from 'd3-array';
import { and, desc, eq, exists, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, round, strike, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { newestCatalogue } from '../checklists/versions.ts';
import { taggedStrikes } from '../measures/tagged-strikes.ts';
import { givenAway } from './given-away.ts';

/** So many sessions have room beside each other; what is older says little of what somebody does now. */
const mostSessions = 8;

/** What a trainee does again and again in the last sessions in which enough is tagged, and whether that has changed. */
export async function traineeHabits(db: Database, traineeId: string): Promise<TraineeHabits> {
  const struck = db
    .select({ id: strike.id })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .where(and(eq(film.sessionId, trainingSession.id), eq(strike.removed, false)));
  const newest = await db
    .select({
      sessionId: trainingSession.id,
      heldOn: trainingSession.heldOn,
      roundKind: trainingSession.roundKind,
      rung: trainingSession.rung,
    })
    .from(trainingSession)
    .where(and(eq(trainingSession.traineeId, traineeId), exists(struck)))
    .orderBy(desc(trainingSession.heldOn), desc(trainingSession.id))
    .limit(mostSessions);
  const ids = newest.map(({ sessionId }) => sessionId);
  const [tagged, calledRounds, catalogue] = await Promise.all([
    taggedStrikes(db, inArray(film.sessionId, ids)),
    db
      .select({ filmId: round.filmId, from: round.startsAt, to: round.endsAt })
      .from(round)
      .innerJoin(film, eq(film.id, round.filmId))
      .where(and(inArray(film.sessionId, ids), eq(round.manner, 'called'))),
    newestCatalogue(db),
  ]);
  const called = group(calledRounds, ({ filmId }) => filmId);
  const isCalled = ({ filmId, at }: { filmId: string; at: number }): boolean =>
    called.get(filmId)?.some(({ from, to }) => at >= from && at <= to) ?? false;
  const bySession = group(tagged, ({ sessionId }) => sessionId);
  const sessions = newest.reverse().map((session) => {
    const all = bySession.get(session.sessionId) ?? [];
    const free = all.filter((one) => !isCalled(one));
    const films = filmsOfOneSide(free);
    return { ...session, films, strikes: sum(films, ({ length }) => length), called: all.length - free.length };
  });
  const enough = sessions.filter(({ strikes }) => strikes >= fewestStrikes);
  const given = await givenAway(db, new Map(enough.map(({ sessionId }) => [sessionId, bySession.get(sessionId)!])), catalogue);
  const followed = habitsOverSessions(
    enough.map(({ films, ...session }) => ({
      ...session,
      habits: habitsOf(films, (id) => catalogue.techniques.get(id)),
      givenAway: given.get(session.sessionId) ?? [],
    })),
  );
  const answers = await heavily('levelAnswers', { spread: usualSpread, asked: followed.map(({ looks }) => ({ looks })) });
  const filmOf = new Map(tagged.map(({ strikeId, filmId }) => [strikeId, filmId]));
  return {
    sessions,
    fewest: fewestStrikes,
    habits: followed.map(({ habit, looks }, place) => ({
      kind: habit.kind,
      technique: 'technique' in habit ? habit.technique : null,
      what: habit.share.what ?? null,
      looks: looks.map(
        ({
          sessionId,
          share: {
            times,
            of,
            low,
            high,
            proof: [strikeId],
          },
        }) => ({
          ...{ sessionId, times, of, low, high },
          proof: strikeId === undefined ? null : { strikeId, filmId: filmOf.get(strikeId)! },
        }),
      ),
      change: answers[place]!.change ?? null,
      since: answers[place]!.since?.heldOn ?? null,
    })),
  };
}
