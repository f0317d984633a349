import { sql } from 'drizzle-orm';
import { bigint, index, jsonb, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { journalActs } from '@wax-fist/contract/journal';
import { isListed, listed } from './listed.ts';

/**
 * Who saw and changed what. The database writes changes itself, by triggers, in the transaction that makes them; nothing here is
 * changed or taken away before its time. It holds no names of trainees and nothing that was said: what is gone stays gone.
 */
export const journal = pgTable(
  'journal',
  {
    id: bigint({ mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    at: timestamp({ withTimezone: true }).notNull(),
    /** Null for whoever had only a link, and no foreign key: an account that is gone has still done what it did. */
    accountId: uuid(),
    act: listed(journalActs).notNull(),
    /** Of which table. */
    kind: text().notNull(),
    thing: text().notNull(),
    /** About whom, where it is about one trainee. */
    traineeId: uuid(),
    /** Names of what was changed of it. */
    fields: text()
      .array()
      .notNull()
      .default(sql`'{}'`),
    /** What it was before and is now, of the few things where that is no secret: roles, days, states. */
    values: jsonb().$type<Record<string, [before: unknown, now: unknown]>>(),
  },
  (table) => [
    index('journal_by_time').on(table.at, table.id),
    index('journal_of_account').on(table.accountId, table.at),
    index('journal_of_trainee').on(table.traineeId, table.at),
    // What is looked at again within the hour is written once.
    uniqueIndex('journal_seen_once')
      .on(
        sql`date_trunc('hour', at at time zone 'utc')`,
        sql`coalesce(account_id, '00000000-0000-0000-0000-000000000000')`,
        table.kind,
        table.thing,
      )
      .where(sql`act = 'saw'`),
    isListed('journal_act_is_known', table.act, journalActs),
  ],
);
