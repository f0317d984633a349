import type { Page } from '@wax-fist/contract/page';
import type { TraineeRow } from '@wax-fist/contract/trainees';
import { and, asc, ilike, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, film, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';
import { isOpen } from '../corrections/queries.ts';

/** A club is rarely larger than this. */
export const traineesOnPage = 100;

const literally = (text: string): string => text.replace(/[\\%_]/g, '\\$&');

/** Trainees by name with what is going on with them, in one round trip. @throws Refusal for a place in the list that there is not */
export async function traineeRows(
  db: Database,
  { find, after }: { find?: string; after?: string } = {},
): Promise<Page<TraineeRow>> {
  // Each condition is an expression of its own: in a select from one table the builder drops the table names of the outermost one.
  const held = sql`from ${trainingSession} where ${trainingSession.traineeId} = ${trainee.id}`;
  const open = sql`from ${correction} where ${correction.traineeId} = ${trainee.id} and ${isOpen}`;
  const waiting = sql`from ${film} join ${trainingSession} on ${trainingSession.id} = ${film.sessionId}
    where ${trainingSession.traineeId} = ${trainee.id} and not ${film.done}`;
  const keys = keysAfter(after, 2);
  const rows = await db
    .select({
      id: trainee.id,
      name: trainee.name,
      stance: trainee.stance,
      grade: trainee.grade,
      note: trainee.note,
      stature: trainee.stature,
      reach: trainee.reach,
      ageGroup: trainee.ageGroup,
      schoolId: trainee.schoolId,
      sessions: sql<number>`(select count(*)::int ${held})`,
      lastSession: sql<string | null>`(select max(${trainingSession.heldOn})::text ${held})`,
      openCorrections: sql<number>`(select count(*)::int ${open})`,
      filmsToReview: sql<number>`(select count(*)::int ${waiting})`,
    })
    .from(trainee)
    .where(
      and(
        find ? ilike(trainee.name, `%${literally(find)}%`) : undefined,
        keys && sql`(${trainee.name}, ${trainee.id}) > (${keys[0]}::text, ${keys[1]}::uuid)`,
      ),
    )
    .orderBy(asc(trainee.name), asc(trainee.id))
    .limit(traineesOnPage + 1);
  return asPage(rows, traineesOnPage, ({ name, id }) => [name, id]);
}
