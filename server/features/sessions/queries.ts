import type { Page } from '@wax-fist/contract/page';
import type { SessionRow } from '@wax-fist/contract/sessions';
import { and, desc, eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';

export const sessionColumns = {
  id: trainingSession.id,
  traineeId: trainingSession.traineeId,
  heldOn: trainingSession.heldOn,
  place: trainingSession.place,
  kit: trainingSession.kit,
  roundKind: trainingSession.roundKind,
  rung: trainingSession.rung,
  schoolNote: trainingSession.schoolNote,
  holderId: trainingSession.holderId,
  holderStance: trainingSession.holderStance,
  checklistVersion: trainingSession.checklistVersion,
  judgedBy: trainingSession.judgedBy,
  shownToClub: trainingSession.shownToClub,
  releasedAt: sql<string | null>`${trainingSession.releasedAt}`.mapWith((at: string) => new Date(at).toISOString()),
};

const sessionsOnPage = 50;

/** A trainee's sessions, newest first, in one round trip. @throws Refusal for a place in the list that there is not */
export async function sessionRows(db: Database, traineeId: string, after?: string): Promise<Page<SessionRow>> {
  const keys = keysAfter(after, 2);
  const rows = await db
    .select({
      ...sessionColumns,
      traineeName: trainee.name,
      films: sql<number>`(select count(*)::int from ${film} where ${film.sessionId} = ${trainingSession.id})`,
      strikes: sql<number>`(select count(*)::int from ${strike} join ${film} on ${film.id} = ${strike.filmId}
        where ${film.sessionId} = ${trainingSession.id} and not ${strike.removed})`,
    })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(
      and(
        eq(trainingSession.traineeId, traineeId),
        keys && sql`(${trainingSession.heldOn}, ${trainingSession.id}) < (${keys[0]}::date, ${keys[1]}::uuid)`,
      ),
    )
    .orderBy(desc(trainingSession.heldOn), desc(trainingSession.id))
    .limit(sessionsOnPage + 1);
  return asPage(rows, sessionsOnPage, ({ heldOn, id }) => [heldOn, id]);
}
