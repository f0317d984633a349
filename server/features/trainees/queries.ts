import type { TraineeRow } from '@wax-fist/contract/trainees';
import { asc, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, correction, trainee, trainingSession } from '../../db/schema/index.ts';
import { isOpen } from '../corrections/queries.ts';

/** All trainees with what is going on with them, in one round trip. */
export function traineeRows(db: Database): Promise<TraineeRow[]> {
  // Each condition is an expression of its own: in a select from one table the builder drops the table names of the outermost one.
  const held = sql`from ${trainingSession} where ${trainingSession.traineeId} = ${trainee.id}`;
  const open = sql`from ${correction} where ${correction.traineeId} = ${trainee.id} and ${isOpen}`;
  const waiting = sql`from ${film} join ${trainingSession} on ${trainingSession.id} = ${film.sessionId}
    where ${trainingSession.traineeId} = ${trainee.id} and not ${film.done}`;
  return db
    .select({
      id: trainee.id,
      name: trainee.name,
      stance: trainee.stance,
      grade: trainee.grade,
      note: trainee.note,
      schoolId: trainee.schoolId,
      sessions: sql<number>`(select count(*)::int ${held})`,
      lastSession: sql<string | null>`(select max(${trainingSession.heldOn})::text ${held})`,
      openCorrections: sql<number>`(select count(*)::int ${open})`,
      filmsToReview: sql<number>`(select count(*)::int ${waiting})`,
    })
    .from(trainee)
    .orderBy(asc(trainee.name));
}
