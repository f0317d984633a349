import type { Page } from '@wax-fist/contract/page';
import type { WaitingFilm } from '@wax-fist/contract/today';
import { and, asc, desc, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';
import { asWaiting, filmsThatWait } from '../footage/queries.ts';

const filmsOnPage = 50;

/** Films that no coach has called done, newest session first, in one round trip. @throws Refusal for a place in the list that there is not */
export async function filmsToReview(db: Database, after?: string): Promise<Page<WaitingFilm>> {
  const keys = keysAfter(after, 2);
  const isBehind =
    keys &&
    sql`(${trainingSession.heldOn} < ${keys[0]}::date or (${trainingSession.heldOn} = ${keys[0]}::date and ${film.id} > ${keys[1]}::uuid))`;
  const rows = await filmsThatWait(db)
    .where(and(sql`not ${film.done}`, isBehind))
    .orderBy(desc(trainingSession.heldOn), asc(film.id))
    .limit(filmsOnPage + 1);
  return asPage(rows.map(asWaiting), filmsOnPage, (row) => [row.heldOn, row.film.id]);
}
