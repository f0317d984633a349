import { bigint, index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';

/** Backups that came to their end: when, what they hold, and when that was read back. */
export const backup = pgTable(
  'backup',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    madeAt: timestamp({ withTimezone: true }).notNull(),
    verifiedAt: timestamp({ withTimezone: true }).notNull(),
    films: integer().notNull(),
    /** Of all films, and of those that no backup before held. */
    bytes: bigint({ mode: 'number' }).notNull(),
    added: bigint({ mode: 'number' }).notNull(),
  },
  (table) => [index('backup_by_time').on(table.madeAt)],
);
