import type { Page } from '@wax-fist/contract/page';
import type { TraineeColumn, TraineeOrder, TraineeRow } from '@wax-fist/contract/trainees';
import { and, asc, desc, ilike, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, film, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';
import { isOpen } from '../corrections/queries.ts';

/** A club is rarely larger than this. */
export const traineesOnPage = 100;

const literally = (text: string): string => text.replace(/[\\%_]/g, '\\$&');

/** Trainees with what is going on with them, in one round trip. @throws Refusal for a place in the list that there is not */
export async function traineeRows(
  db: Database,
  { find, after, order = 'name' }: { find?: string; after?: string; order?: TraineeOrder } = {},
): Promise<Page<TraineeRow>> {
  // Each condition is an expression of its own: in a select from one table the builder drops the table names of the outermost one.
  const held = sql`from ${trainingSession} where ${trainingSession.traineeId} = ${trainee.id}`;
  const open = sql`from ${correction} where ${correction.traineeId} = ${trainee.id} and ${isOpen}`;
  const waiting = sql`from ${film} join ${trainingSession} on ${trainingSession.id} = ${film.sessionId}
    where ${trainingSession.traineeId} = ${trainee.id} and not ${film.done}`;
  const count = (of: SQL): SQL<number> => sql<number>`(select count(*)::int ${of})`;
  const counts = { sessions: count(held), openCorrections: count(open), filmsToReview: count(waiting) };
  const lastSession = sql<string | null>`(select max(${trainingSession.heldOn})::text ${held})`;
  // Whoever was never filmed comes before all others.
  const texts = { stance: trainee.stance, grade: trainee.grade, lastSession: sql`coalesce(${lastSession}, '')` };
  const downwards = order.startsWith('-');
  const column = order.replace('-', '') as TraineeColumn;
  const byName = sql`(${trainee.name}, ${trainee.id})`;
  /** What the list is ordered by before the name, and a value of it as it was told. */
  const first =
    column === 'name'
      ? undefined
      : column in counts
        ? { key: sql`${counts[column as keyof typeof counts]}`, told: (text: string) => sql`${Number(text)}::int` }
        : { key: sql`${texts[column as keyof typeof texts]}`, told: (text: string) => sql`${text}::text` };
  const keys = keysAfter(after, first ? 3 : 2)?.map((key) => key ?? '');
  const [name, id] = keys?.slice(-2) ?? [];
  const before = downwards ? sql`<` : sql`>`;
  const nameFollows = sql`${byName} ${first ? sql`>` : before} (${name}::text, ${id}::uuid)`;
  const follows = (): SQL =>
    first
      ? sql`(${first.key} ${before} ${first.told(keys![0]!)} or (${first.key} = ${first.told(keys![0]!)} and ${nameFollows}))`
      : nameFollows;
  const way = downwards ? desc : asc;
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
      ...counts,
      lastSession,
    })
    .from(trainee)
    .where(and(find ? ilike(trainee.name, `%${literally(find)}%`) : undefined, keys && follows()))
    .orderBy(...(first ? [way(first.key), asc(trainee.name), asc(trainee.id)] : [way(trainee.name), way(trainee.id)]))
    .limit(traineesOnPage + 1);
  return asPage(rows, traineesOnPage, (row) => [...(first ? [String(row[column] ?? '')] : []), row.name, row.id]);
}
