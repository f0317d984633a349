import { sql } from 'drizzle-orm';
import { boolean, check, doublePrecision, index, integer, pgTable, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { film } from './footage.ts';

/** Bodies that coaches have pointed out, so that they are followed and nobody else; only grows. */
export const pointedBody = pgTable(
  'pointed_body',
  {
    id: uuid().primaryKey(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    frame: integer().notNull(),
    /** The middle and the side of the square round it, in pixels of the review copy. */
    x: doublePrecision().notNull(),
    y: doublePrecision().notNull(),
    side: doublePrecision().notNull(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
    /** A worker has followed it. */
    followed: boolean().notNull().default(false),
  },
  (table) => [
    index('pointed_body_of_film').on(table.filmId),
    index('pointed_body_said_by').on(table.saidBy),
    check('pointed_body_in_film', sql`${table.frame} >= 0 and ${table.side} > 0`),
  ],
);
