import { index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { ClubEdits } from '@wax-fist/core/technique';
import { account } from './accounts.ts';

/** Every version of the club's checklists as a whole; the first is as they ship. Only grows. */
export const checklistVersion = pgTable(
  'checklist_version',
  {
    version: integer().primaryKey(),
    edits: jsonb().$type<ClubEdits>().notNull(),
    note: text().notNull().default(''),
    savedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    savedAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [index('checklists_saved_by').on(table.savedBy)],
);
