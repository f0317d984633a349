import type { ClassOfDay } from '@wax-fist/contract/reports';
import { asc, eq, gt, lt, max, min, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, observation, strike, trainee, trainingSession } from '../../db/schema/index.ts';

const { heldOn } = trainingSession;

/** Who trained on a day, and how far their reviews are; null where nobody ever trained. @param asked the last such day where none is told */
export async function classOfDay(db: Database, asked?: string): Promise<ClassOfDay | null> {
  const day = asked ?? (await db.select({ last: max(heldOn) }).from(trainingSession))[0]?.last;
  if (!day) return null;
  const [[before], [after], sessions] = await Promise.all([
    db
      .select({ day: max(heldOn) })
      .from(trainingSession)
      .where(lt(heldOn, day)),
    db
      .select({ day: min(heldOn) })
      .from(trainingSession)
      .where(gt(heldOn, day)),
    db
      .select({
        id: trainingSession.id,
        traineeName: trainee.name,
        roundKind: trainingSession.roundKind,
        rung: trainingSession.rung,
        films: sql<number>`(select count(*)::int from ${film} where ${film.sessionId} = ${trainingSession.id})`,
        filmsDone: sql<number>`(select count(*)::int from ${film} where ${film.sessionId} = ${trainingSession.id} and ${film.done})`,
        judged: sql<number>`(select count(*)::int from ${observation} join ${strike} on ${strike.id} = ${observation.strikeId}
          join ${film} on ${film.id} = ${strike.filmId} where ${film.sessionId} = ${trainingSession.id}
          and not ${strike.removed} and not ${observation.superseded} and ${observation.verdict} is not null)`,
      })
      .from(trainingSession)
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(heldOn, day))
      .orderBy(asc(trainee.name), asc(trainingSession.id)),
  ]);
  return { day, before: before?.day ?? null, after: after?.day ?? null, sessions };
}
