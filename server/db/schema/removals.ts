import { removableKinds } from '@wax-fist/contract/removals';
import { index, jsonb, pgTable, primaryKey, smallint, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';

/** Something that was removed and can be put back for a day. */
export const removal = pgTable(
  'removal',
  {
    id: uuid().primaryKey(),
    kind: listed(removableKinds).notNull(),
    thing: uuid().notNull(),
    /** Whose it is, who may be gone with it. */
    traineeId: uuid().notNull(),
    says: text().notNull(),
    removedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    removedAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('removal_by_time').on(table.removedAt),
    index('removal_removed_by').on(table.removedBy),
    isListed('removable_is_known', table.kind, removableKinds),
  ],
);

/**
 * A row that went with something, whole; or, of a row that stayed and lost what it pointed at, its key and the columns that pointed.
 * Rows of a smaller depth come back before those that point at them.
 */
export const removedRow = pgTable(
  'removed_row',
  {
    removalId: uuid()
      .notNull()
      .references(() => removal.id, { onDelete: 'cascade' }),
    ofTable: text().notNull(),
    key: text().notNull(),
    depth: smallint().notNull(),
    says: jsonb().$type<Record<string, unknown>>().notNull(),
    pointed: jsonb().$type<Record<string, unknown>>(),
  },
  (table) => [primaryKey({ columns: [table.removalId, table.ofTable, table.key] })],
);
