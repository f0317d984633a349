import type { DoorAct, JournalLine } from '@wax-fist/contract/journal';
import type { Page } from '@wax-fist/contract/page';
import type { Sight } from '@wax-fist/contract/endpoint';
import { and, desc, eq, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { account, archive, correction, film, journal, montage, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';

/** What of the journal is asked for; a day is one of the club’s calendar in UTC. */
export interface Wanted {
  accountId?: string;
  traineeId?: string;
  act?: JournalLine['act'];
  from?: string;
  to?: string;
}

const matching = ({ accountId, traineeId, act, from, to }: Wanted): SQL | undefined =>
  and(
    accountId ? eq(journal.accountId, accountId) : undefined,
    traineeId ? eq(journal.traineeId, traineeId) : undefined,
    act ? eq(journal.act, act) : undefined,
    from ? sql`${journal.at} >= ${from}::date` : undefined,
    to ? sql`${journal.at} < ${to}::date + 1` : undefined,
  );

/** Names are looked up when it is read: whoever is gone is told by an id that leads to nobody. */
const lines = (db: Database) =>
  db
    .select({
      id: sql<string>`${journal.id}::text`,
      at: sql<string>`to_char(${journal.at} at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`,
      accountId: journal.accountId,
      accountName: account.name,
      act: journal.act,
      kind: journal.kind,
      thing: journal.thing,
      traineeId: journal.traineeId,
      traineeName: trainee.name,
      fields: journal.fields,
      values: journal.values,
    })
    .from(journal)
    .leftJoin(account, eq(account.id, journal.accountId))
    .leftJoin(trainee, eq(trainee.id, journal.traineeId))
    .$dynamic();

const asLine = ({
  accountId,
  accountName,
  traineeId,
  traineeName,
  ...row
}: Awaited<ReturnType<typeof lines>>[number]): JournalLine => ({
  ...row,
  account: accountId === null ? null : { id: accountId, name: accountName },
  trainee: traineeId === null ? null : { id: traineeId, name: traineeName },
});

const linesOnPage = 100;

/** The newest first, in one round trip. @throws Refusal for a place in the journal that there is not */
export async function journalPage(db: Database, { after, ...wanted }: Wanted & { after?: string }): Promise<Page<JournalLine>> {
  const keys = keysAfter(after, 2);
  const isBehind = keys && sql`(${journal.at}, ${journal.id}) < (${keys[0]}::timestamptz, ${keys[1]}::bigint)`;
  const rows = await lines(db)
    .where(and(matching(wanted), isBehind))
    .orderBy(desc(journal.at), desc(journal.id))
    .limit(linesOnPage + 1);
  return asPage(rows.map(asLine), linesOnPage, ({ at, id }) => [at, id]);
}

/** All of it, a page at a time: it may be long. */
export async function* wholeJournal(db: Database, wanted: Wanted): AsyncGenerator<JournalLine[]> {
  for (let after: string | undefined; ;) {
    const { rows, next } = await journalPage(db, { ...wanted, after });
    yield rows;
    if (next === null) return;
    after = next;
  }
}

/** Which trainee something that can be seen is about. */
const aboutWhom: Record<Sight['kind'], (id: string) => SQL> = {
  trainee: (id) => sql`${id}::uuid`,
  training_session: (id) => sql`(select trainee_id from ${trainingSession} where id = ${id})`,
  film: (id) => sql`(select s.trainee_id from ${film} f join ${trainingSession} s on s.id = f.session_id where f.id = ${id})`,
  correction: (id) => sql`(select trainee_id from ${correction} where id = ${id})`,
  montage: (id) =>
    sql`(select s.trainee_id from ${montage} m join ${trainingSession} s on s.id = m.session_id where m.id = ${id})`,
  archive: (id) => sql`(select trainee_id from ${archive} where id = ${id})`,
};

/** Writes that something was seen; within the hour it is written once. @param accountId null for whoever had only a link */
export async function writeSeen(db: Database, accountId: string | null, kind: Sight['kind'], thing: string): Promise<void> {
  await db.execute(sql`insert into ${journal} (at, account_id, act, kind, thing, trainee_id)
    values (clock_timestamp(), ${accountId}, 'saw', ${kind}, ${thing}, ${aboutWhom[kind](thing)}) on conflict do nothing`);
}

/** Writes that an account came in, left, or was tried with a wrong password. */
export async function writeAtDoor(db: Database, accountId: string, act: DoorAct): Promise<void> {
  await db.insert(journal).values({ at: sql`clock_timestamp()`, accountId, act, kind: 'account', thing: accountId });
}

/** Takes away what is older than the club keeps it; what is younger than thirty days stays whatever is asked. */
export async function endJournal(db: Database, keptDays: number): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql`select set_config('wax.journal_ends', 'on', true)`);
    await tx.delete(journal).where(sql`${journal.at} < now() - make_interval(days => ${keptDays})`);
  });
}
