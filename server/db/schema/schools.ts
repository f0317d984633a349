import { sql } from 'drizzle-orm';
import { boolean, index, jsonb, pgTable, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { callBook } from './calls.ts';

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
  (table) => [
    uniqueIndex('one_club_default')
      .on(table.clubDefault)
      .where(sql`${table.clubDefault}`),
    index('school_of_book').on(table.bookId),
  ],
);
