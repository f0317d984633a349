import { sql } from 'drizzle-orm';
import { check, doublePrecision, index, integer, pgTable, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { film } from './footage.ts';

/** A stretch of work at the bench: how long somebody was at it, and how often they pressed something. */
export const reviewEffort = pgTable(
  'review_effort',
  {
    id: uuid().primaryKey(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    saidBy: uuid()
      .notNull()
      .references(() => account.id, { onDelete: 'cascade' }),
    at: timestamp({ withTimezone: true, precision: 3 }).notNull(),
    /** Milliseconds in which something was done again and again. */
    worked: doublePrecision().notNull(),
    /** Keys, and presses of the mouse. */
    presses: integer().notNull(),
  },
  (table) => [
    index('effort_of_film').on(table.filmId),
    index('effort_by_time').on(table.at),
    index('effort_said_by').on(table.saidBy),
    check('effort_is_some', sql`${table.worked} >= 0 and ${table.presses} >= 0`),
  ],
);
