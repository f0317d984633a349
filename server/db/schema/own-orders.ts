import { sql } from 'drizzle-orm';
import { check, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { Thing } from '@wax-fist/core/correction';
import { account } from './accounts.ts';
import { trainingSession } from './sessions.ts';

/** In which order a coach would mend what a session showed, against the sum; only grows, the latest counts, an empty one goes back to the sum. */
export const ownOrder = pgTable(
  'own_order',
  {
    id: uuid().primaryKey(),
    sessionId: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    placed: jsonb().$type<Thing[]>().notNull(),
    reason: text().notNull(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    at: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('own_order_of_session').on(table.sessionId, table.at),
    index('own_order_said_by').on(table.saidBy),
    check('own_order_has_a_reason', sql`${table.placed} = '[]'::jsonb or ${table.reason} <> ''`),
  ],
);
