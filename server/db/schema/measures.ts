import { usualTail, type Degrees } from '@wax-fist/core/measure';
import { sql } from 'drizzle-orm';
import { check, doublePrecision, index, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { strike } from './review.ts';

/** A strike that was measured, and of what: when its moments, its points or its view are others, it is measured again. */
export const measuredStrike = pgTable('measured_strike', {
  strikeId: uuid()
    .primaryKey()
    .references(() => strike.id, { onDelete: 'cascade' }),
  madeOf: text().notNull(),
});

/** What was measured of a strike by one checkpoint, in the unit of its measure. */
export const strikeMeasure = pgTable(
  'strike_measure',
  {
    strikeId: uuid()
      .notNull()
      .references(() => measuredStrike.strikeId, { onDelete: 'cascade' }),
    checkpointId: text().notNull(),
    value: doublePrecision().notNull(),
    doubt: doublePrecision().notNull(),
    shared: doublePrecision().notNull(),
    /** Of freedom, of the spread round it. */
    degrees: doublePrecision().$type<Degrees>().notNull().default(usualTail),
  },
  (table) => [
    primaryKey({ columns: [table.strikeId, table.checkpointId] }),
    index('measures_of_checkpoint').on(table.checkpointId),
    check('shared_is_part_of_doubt', sql`0 <= ${table.shared} and ${table.shared} <= ${table.doubt}`),
    check('tail_is_known', sql`${table.degrees} in (3, 2, 1.5, 1)`),
  ],
);

/** Measures that the club lets count where no coach has judged. */
export const countedMeasure = pgTable(
  'counted_measure',
  {
    checkpointId: text().primaryKey(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('counted_said_by').on(table.saidBy)],
);
