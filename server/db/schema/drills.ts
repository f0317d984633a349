import type { OwnDrill } from '@wax-fist/contract/drills';
import { check, index, jsonb, pgTable, smallint, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { onLadder } from './sessions.ts';

/** A drill of the club’s own. */
export const drill = pgTable(
  'drill',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    rung: smallint().notNull(),
    /** Everything else of it: read and written as a whole. */
    says: jsonb().$type<Omit<OwnDrill, 'id' | 'name' | 'rung'>>().notNull(),
    addedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    addedAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('drill_by_name').on(table.name, table.id),
    index('drill_added_by').on(table.addedBy),
    check('drill_rung_on_ladder', onLadder(table.rung)),
  ],
);
