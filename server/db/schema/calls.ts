import { boolean, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';

export const callBook = pgTable('call_book', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  calls: jsonb().$type<Record<string, string>>().notNull(),
  ready: boolean().notNull().default(false),
});

/** Sets of calls that are learned by heart, in words. */
export const callSet = pgTable('call_set', { id: uuid().primaryKey(), name: text().notNull(), recipe: text().notNull() });
