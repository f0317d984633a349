import type { Page } from '@wax-fist/contract/page';
import type { WaitingFilm } from '@wax-fist/contract/today';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';
import { asFilm, filmColumns } from '../footage/queries.ts';

const filmsOnPage = 50;

/** Films that no coach has called done, newest session first, in one round trip. @throws Refusal for a place in the list that there is not */
export async function filmsToReview(db: Database, after?: string): Promise<Page<WaitingFilm>> {
  const keys = keysAfter(after, 2);
  const isBehind =
    keys &&
    sql`(${trainingSession.heldOn} < ${keys[0]}::date or (${trainingSession.heldOn} = ${keys[0]}::date and ${film.id} > ${keys[1]}::uuid))`;
  const rows = await db
    .select({ film: filmColumns, traineeId: trainee.id, traineeName: trainee.name, heldOn: trainingSession.heldOn })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(and(sql`not ${film.done}`, isBehind))
    .orderBy(desc(trainingSession.heldOn), asc(film.id))
    .limit(filmsOnPage + 1);
  const waiting = rows.map((row) => ({ ...row, film: asFilm(row.film) }));
  return asPage(waiting, filmsOnPage, (row) => [row.heldOn, row.film.id]);
}
