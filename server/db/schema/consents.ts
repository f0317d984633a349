import { seenByWhom } from '@wax-fist/core/trainee';
import { sql } from 'drizzle-orm';
import { boolean, check, date, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';
import { trainee } from './trainees.ts';

/** Words that somebody may be filmed; only grows, but for when one was withdrawn. */
export const consent = pgTable(
  'consent',
  {
    id: uuid().primaryKey(),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    givenBy: text().notNull(),
    asGuardian: boolean().notNull(),
    seenBy: listed(seenByWhom).notNull(),
    asReference: boolean().notNull(),
    givenOn: date({ mode: 'string' }).notNull(),
    until: date({ mode: 'string' }),
    note: text().notNull().default(''),
    withdrawnAt: timestamp({ withTimezone: true }),
    writtenBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    writtenAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('consent_of_trainee').on(table.traineeId, table.givenOn),
    index('consent_withdrawn').on(table.withdrawnAt),
    index('consent_written_by').on(table.writtenBy),
    isListed('seen_by_is_known', table.seenBy, seenByWhom),
    check('consent_ends_after_it_began', sql`${table.until} >= ${table.givenOn}`),
  ],
);
