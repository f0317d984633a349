import type { Page } from '@wax-fist/contract/page';
import type { TraineeColumn, TraineeOrder, TraineeRow } from '@wax-fist/contract/trainees';
import { and, asc, desc, ilike, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, film, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter, type PageKeys } from '../../http/page.ts';
import { isOpen } from '../corrections/queries.ts';

/** A club is rarely larger than this. */
export const traineesOnPage = 100;

const literally = (text: string): string => text.replace(/[\\%_]/g, '\\$&');

// Each condition is an expression of its own: in a select from one table the builder drops the table names of the outermost one.
const held = sql`from ${trainingSession} where ${trainingSession.traineeId} = ${trainee.id}`;
const open = sql`from ${correction} where ${correction.traineeId} = ${trainee.id} and ${isOpen}`;
const waiting = sql`from ${film} join ${trainingSession} on ${trainingSession.id} = ${film.sessionId}
  where ${trainingSession.traineeId} = ${trainee.id} and not ${film.done}`;
const count = (of: SQL): SQL<number> => sql<number>`(select count(*)::int ${of})`;
const counts = { sessions: count(held), openCorrections: count(open), filmsToReview: count(waiting) };
const lastSession = sql<string | null>`(select max(${trainingSession.heldOn})::text ${held})`;

/** What a list can be ordered by before the name, and how a value of it is read that a page has told. */
interface Leading {
  key: SQL;
  told: (text: string) => SQL;
}
const byText = (key: SQL): Leading => ({ key, told: (text) => sql`${text}::text` });
const byNumber = (key: SQL): Leading => ({ key, told: (text) => sql`${Number(text)}::int` });
const leading: Readonly<Record<Exclude<TraineeColumn, 'name'>, Leading>> = {
  stance: byText(sql`${trainee.stance}`),
  grade: byText(sql`${trainee.grade}`),
  // Whoever was never filmed comes before all others.
  lastSession: byText(sql`coalesce(${lastSession}, '')`),
  sessions: byNumber(counts.sessions),
  openCorrections: byNumber(counts.openCorrections),
  filmsToReview: byNumber(counts.filmsToReview),
};

/** How a list is ordered, and what of it follows on a page. @throws Refusal for a place in the list that there is not */
function ordered(order: TraineeOrder, after: string | undefined) {
  const [way, beyond] = order.startsWith('-') ? ([desc, sql`<`] as const) : ([asc, sql`>`] as const);
  const column = order.replace('-', '') as TraineeColumn;
  const names = sql`(${trainee.name}, ${trainee.id})`;
  if (column === 'name') {
    const keys = keysAfter(after, 2);
    return {
      by: [way(trainee.name), way(trainee.id)],
      follows: keys && sql`${names} ${beyond} (${keys[0]}::text, ${keys[1]}::uuid)`,
      keysOf: ({ name, id }: TraineeRow): PageKeys => [name, id],
    };
  }
  const { key, told } = leading[column];
  const keys = keysAfter(after, 3);
  const last = told(keys?.[0] ?? '');
  return {
    by: [way(key), asc(trainee.name), asc(trainee.id)],
    follows: keys && sql`(${key} ${beyond} ${last} or (${key} = ${last} and ${names} > (${keys[1]}::text, ${keys[2]}::uuid)))`,
    keysOf: (row: TraineeRow): PageKeys => [String(row[column] ?? ''), row.name, row.id],
  };
}

/** Trainees with what is going on with them, in one round trip. @throws Refusal for a place in the list that there is not */
export async function traineeRows(
  db: Database,
  { find, after, order = 'name' }: { find?: string; after?: string; order?: TraineeOrder } = {},
): Promise<Page<TraineeRow>> {
  const { by, follows, keysOf } = ordered(order, after);
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
    .where(and(find ? ilike(trainee.name, `%${literally(find)}%`) : undefined, follows))
    .orderBy(...by)
    .limit(traineesOnPage + 1);
  return asPage(rows, traineesOnPage, keysOf);
}
