import { pointNames } from '@wax-fist/core/body';
import { pointSides } from '@wax-fist/core/measure';
import { sql } from 'drizzle-orm';
import { check, doublePrecision, index, integer, pgTable, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { film } from './footage.ts';
import { isListed, listed } from './listed.ts';

/** Points that coaches were asked for at random and pointed out, without being shown what was found; and what was found there. */
export const pointCheck = pgTable(
  'point_check',
  {
    id: uuid().primaryKey(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    frame: integer().notNull(),
    point: listed(pointNames).notNull(),
    /** From where the point is seen in this film. */
    seen: listed(pointSides).notNull(),
    /** Pixels of the review copy; null where it cannot be seen. */
    x: doublePrecision(),
    y: doublePrecision(),
    /** What the model had found, and how long the trunk is round that frame. */
    foundX: doublePrecision().notNull(),
    foundY: doublePrecision().notNull(),
    trunk: doublePrecision().notNull(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('point_check_of_film').on(table.filmId),
    index('point_check_said_by').on(table.saidBy),
    isListed('checked_point_is_known', table.point, pointNames),
    isListed('checked_from_somewhere', table.seen, pointSides),
    check('checked_point_in_film', sql`${table.frame} >= 0 and ${table.trunk} > 0`),
    check('checked_place_has_two_numbers', sql`(${table.x} is null) = (${table.y} is null)`),
  ],
);
