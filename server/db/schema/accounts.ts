import { index, json, pgEnum, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { roles } from '@wax-fist/contract/endpoint';
import { trainee } from './trainees.ts';

export const role = pgEnum('role', roles);

export const account = pgTable('account', {
  id: uuid().primaryKey(),
  email: text().notNull().unique(),
  name: text().notNull(),
  passwordHash: text().notNull(),
  role: role().notNull(),
  /** Whose own pages a trainee may see. */
  traineeId: uuid().references(() => trainee.id, { onDelete: 'cascade' }),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});

/** Signed-in browsers; the columns are those of connect-pg-simple. */
export const signIn = pgTable(
  'sign_in',
  {
    sid: text().primaryKey(),
    sess: json().notNull(),
    expire: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [index('sign_in_expire').on(table.expire)],
);
