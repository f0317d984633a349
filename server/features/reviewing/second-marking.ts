import { staffRoles } from '@wax-fist/contract/endpoint';
import type { WaitingFilm } from '@wax-fist/contract/today';
import { and, asc, desc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { account, film, observation, secondMarking, strike, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { asWaiting, filmsThatWait } from '../footage/queries.ts';

/** Whoever can be asked to mark a film a second time. */
export const coachesOf = (db: Database) =>
  db
    .select({ id: account.id, name: account.name })
    .from(account)
    .where(inArray(account.role, [...staffRoles]))
    .orderBy(asc(account.name));

/** Of a film in a query: whether somebody marks it blind at present, so that what others said of it is kept from them. */
export const marksBlind = (accountId: string): SQL<boolean> =>
  sql<boolean>`exists (select 1 from ${secondMarking} as marking
    where marking.film_id = ${film}.id and marking.coach_id = ${accountId} and marking.done_at is null)`;

/**
 * Asks a coach to mark a film blind; nobody takes it back. What a second coach has said stays in the log either way.
 * @throws Refusal where the coach has seen the film already, is none, or another one is done with it
 */
export async function askSecondCoach(db: Database, filmId: string, coachId: string | null, askedBy: string): Promise<void> {
  await db.transaction(async (transaction) => {
    found(await transaction.select({ id: film.id }).from(film).where(eq(film.id, filmId)).for('update'), 'film');
    const [asked] = await transaction.select().from(secondMarking).where(eq(secondMarking.filmId, filmId));
    if (asked?.doneAt) throw new Refusal(409, 'This film has been marked twice already.');
    if (coachId === null) {
      await transaction.delete(secondMarking).where(eq(secondMarking.filmId, filmId));
      return;
    }
    const coaches = await coachesOf(transaction);
    const coach = coaches.find(({ id }) => id === coachId);
    if (!coach) throw new Refusal(422, 'This coach is not here.');
    const [seen] = await transaction
      .select({ id: observation.id })
      .from(observation)
      .innerJoin(strike, eq(strike.id, observation.strikeId))
      .where(and(eq(strike.filmId, filmId), eq(observation.saidBy, coachId)))
      .limit(1);
    if (seen) throw new Refusal(409, `${coach.name} has marked this film already, and cannot be the second.`);
    await transaction
      .insert(secondMarking)
      .values({ filmId, coachId, askedBy })
      .onConflictDoUpdate({ target: secondMarking.filmId, set: { coachId, askedBy, askedAt: sql`now()` } });
  });
}

/** @throws Refusal where whoever asks is not marking it blind */
export async function secondCoachDone(db: Database, filmId: string, accountId: string): Promise<void> {
  const done = await db
    .update(secondMarking)
    .set({ doneAt: sql`now()` })
    .where(and(eq(secondMarking.filmId, filmId), eq(secondMarking.coachId, accountId), isNull(secondMarking.doneAt)))
    .returning({ filmId: secondMarking.filmId });
  if (done.length === 0) throw new Refusal(409, 'You are not marking this film a second time.');
}

const waiting = (db: Database) => filmsThatWait(db).leftJoin(secondMarking, eq(secondMarking.filmId, film.id));

/** Films that a coach is asked to mark blind, those asked for first. */
export async function filmsToMarkBlind(db: Database, accountId: string): Promise<WaitingFilm[]> {
  const rows = await waiting(db)
    .where(and(eq(secondMarking.coachId, accountId), isNull(secondMarking.doneAt)))
    .orderBy(asc(secondMarking.askedAt));
  return rows.map(asWaiting);
}

/** So many are shown: those below wait their turn. */
const mostByAssistants = 50;

/** Films that only assistants have marked, and nobody is asked to mark a second time; newest session first. */
export async function markedByAssistants(db: Database): Promise<WaitingFilm[]> {
  const words = sql`from ${observation} as said join ${strike} as of_film on of_film.id = said.strike_id and not of_film.removed
    left join ${account} as who on who.id = said.said_by
    where of_film.film_id = ${film.id} and not said.superseded and said.verdict is not null`;
  const rows = await waiting(db)
    .where(
      and(
        isNull(secondMarking.filmId),
        sql`exists (select 1 ${words} and who.role = 'assistant')`,
        sql`not exists (select 1 ${words} and who.role is distinct from 'assistant')`,
      ),
    )
    .orderBy(desc(trainingSession.heldOn), asc(film.id))
    .limit(mostByAssistants);
  return rows.map(asWaiting);
}
