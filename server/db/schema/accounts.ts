import { bigint, index, integer, json, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { roles } from '@wax-fist/contract/endpoint';
import { isListed, listed } from './listed.ts';
import { trainee } from './trainees.ts';

export const account = pgTable(
  'account',
  {
    id: uuid().primaryKey(),
    email: text().notNull().unique(),
    name: text().notNull(),
    passwordHash: text().notNull(),
    role: listed(roles).notNull(),
    /** Whose own pages a trainee may see. */
    traineeId: uuid().references(() => trainee.id, { onDelete: 'cascade' }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('account_of_trainee').on(table.traineeId), isListed('role_is_known', table.role, roles)],
);

/** Wrong passwords, counted for a while; the columns are those of rate-limiter-flexible. */
export const signInTry = pgTable('sign_in_try', {
  key: text().primaryKey(),
  points: integer().notNull().default(0),
  /** Milliseconds since 1970. */
  expire: bigint({ mode: 'number' }),
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
