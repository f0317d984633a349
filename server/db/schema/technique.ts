import { sql } from 'drizzle-orm';
import { boolean, integer, jsonb, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import type { ClubEdits } from '@wax-fist/core/technique';
import { account } from './accounts.ts';

/** Every version of the club's checklists as a whole; the first is as they ship. Only grows. */
export const checklistVersion = pgTable('checklist_version', {
  version: integer().primaryKey(),
  edits: jsonb().$type<ClubEdits>().notNull(),
  note: text().notNull().default(''),
  savedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
  savedAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
});

export const callBook = pgTable('call_book', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  calls: jsonb().$type<Record<string, string>>().notNull(),
  ready: boolean().notNull().default(false),
});

export const school = pgTable(
  'school',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    choices: jsonb().$type<Record<string, string>>().notNull(),
    bookId: uuid()
      .notNull()
      .references(() => callBook.id),
    ready: boolean().notNull().default(false),
    clubDefault: boolean().notNull().default(false),
  },
  (table) => [uniqueIndex('one_club_default').on(table.clubDefault).where(sql`${table.clubDefault}`)],
); // prettier-ignore

/** Sets of calls that are learned by heart, in words. */
export const callSet = pgTable('call_set', { id: uuid().primaryKey(), name: text().notNull(), recipe: text().notNull() });
