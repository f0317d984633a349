import { and, eq, exists, gt, sql } from 'drizzle-orm';
import type { Database } from '../db/connection.ts';
import { filmStep, strike, strikeRevision } from '../db/schema/index.ts';
import { begunAnew } from './import-step.ts';
import type { Queue } from './queue.ts';

/** Asks for a second pass over strikes that were marked, or moved, since the one of their film. What was looked at stays. */
export async function lookAtNewStrikes(db: Database, queue: Queue): Promise<void> {
  const since = db
    .select({ one: sql`1` })
    .from(strike)
    .innerJoin(strikeRevision, eq(strikeRevision.id, strike.revisionId))
    .where(and(eq(strike.filmId, filmStep.filmId), eq(strike.removed, false), gt(strikeRevision.receivedAt, filmStep.touchedAt)));
  const films = await db
    .update(filmStep)
    .set(begunAnew)
    .where(and(eq(filmStep.step, 'second-pass'), eq(filmStep.state, 'done'), exists(since)))
    .returning({ filmId: filmStep.filmId });
  for (const { filmId } of films) await queue.importFilm(filmId, 'later');
}
