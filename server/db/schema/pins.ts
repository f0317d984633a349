import { sql } from 'drizzle-orm';
import { boolean, check, index, integer, pgTable, doublePrecision, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { pinWords, pointNames } from '@wax-fist/core/body';
import { account } from './accounts.ts';
import { film } from './footage.ts';
import { isListed, listed } from './listed.ts';

/** Every point that was ever put right by hand; only grows. The one that counts is the one not superseded, and there is never a second. */
export const pointPin = pgTable(
  'point_pin',
  {
    id: uuid().primaryKey(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    frame: integer().notNull(),
    point: listed(pointNames).notNull(),
    said: listed(pinWords).notNull(),
    /** Pixels of the review copy. */
    x: doublePrecision(),
    y: doublePrecision(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull(),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    superseded: boolean().notNull().default(false),
  },
  (table) => [
    uniqueIndex('one_pin_counts')
      .on(table.filmId, table.frame, table.point)
      .where(sql`not ${table.superseded}`),
    index('pin_said_by').on(table.saidBy),
    index('pin_of_film').on(table.filmId),
    isListed('pinned_point_is_known', table.point, pointNames),
    isListed('pin_word_is_known', table.said, pinWords),
    check('pin_in_film', sql`${table.frame} >= 0`),
    check(
      'pin_has_a_place_when_here',
      sql`(${table.said} = 'here') = (${table.x} is not null) and (${table.x} is null) = (${table.y} is null)`,
    ),
  ],
);
