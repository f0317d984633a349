import { sql } from 'drizzle-orm';
import { bigint, check, index, integer, json, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { roles } from '@wax-fist/contract/endpoint';
import { clocks, dayOrders, decimalSigns, unitSystems, usualManner } from '@wax-fist/core/words';
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
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** How they read lengths, days, times and numbers. */
    units: listed(unitSystems).notNull().default(usualManner.units),
    days: listed(dayOrders).notNull().default(usualManner.days),
    clock: listed(clocks).notNull().default(usualManner.clock),
    decimals: listed(decimalSigns).notNull().default(usualManner.decimals),
  },
  (table) => [
    isListed('role_is_known', table.role, roles),
    isListed('account_units_are_known', table.units, unitSystems),
    isListed('account_days_are_known', table.days, dayOrders),
    isListed('account_clock_is_known', table.clock, clocks),
    isListed('account_decimals_are_known', table.decimals, decimalSigns),
  ],
);

/** What somebody needs to sign in besides their password: an app that makes a code of a secret and the time (RFC 6238). */
export const secondFactor = pgTable('second_factor', {
  accountId: uuid()
    .primaryKey()
    .references(() => account.id, { onDelete: 'cascade' }),
  /** In base 32, as the app has it. */
  secret: text().notNull(),
  since: timestamp({ withTimezone: true }).notNull().defaultNow(),
  /** The half minute, since 1970, of the last code that was taken: none is taken twice. */
  lastStep: bigint({ mode: 'number' }).notNull().default(0),
  /** Of the codes for when the app is lost, each taken once. */
  codeHashes: text().array().notNull(),
});

/** Of which roles the club demands a second factor. */
export const secondFactorDemand = pgTable('second_factor_demand', { role: listed(roles).primaryKey() }, (table) => [
  isListed('demanded_role_is_known', table.role, roles),
]);

/** For whom a trainee or a guardian signs in: whose own pages they see. */
export const ownTrainee = pgTable(
  'own_trainee',
  {
    accountId: uuid()
      .notNull()
      .references(() => account.id, { onDelete: 'cascade' }),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
  },
  (table) => [primaryKey({ columns: [table.accountId, table.traineeId] }), index('own_trainee_of_trainee').on(table.traineeId)],
);

/** What a link is for: coming into the club, or setting a new password. */
export const linkKinds = ['join', 'reset'] as const;
/** Links by which somebody comes in, once, until they end. What they carry is kept as a hash. */
export const entryLink = pgTable(
  'entry_link',
  {
    id: uuid().primaryKey(),
    kind: listed(linkKinds).notNull(),
    codeHash: text().notNull().unique(),
    /** For whom, and as what; of a reset the account’s. */
    name: text().notNull(),
    role: listed(roles).notNull(),
    accountId: uuid().references(() => account.id, { onDelete: 'cascade' }),
    endsAt: timestamp({ withTimezone: true }).notNull(),
    madeBy: uuid().references(() => account.id, { onDelete: 'set null' }),
  },
  (table) => [
    index('entry_link_of_account').on(table.accountId),
    index('entry_link_made_by').on(table.madeBy),
    isListed('link_kind_is_known', table.kind, linkKinds),
    isListed('link_role_is_known', table.role, roles),
    check('reset_of_somebody', sql`(${table.kind} = 'reset') = (${table.accountId} is not null)`),
  ],
);

/** For whom somebody who was invited will sign in. */
export const invitedFor = pgTable(
  'invited_for',
  {
    linkId: uuid()
      .notNull()
      .references(() => entryLink.id, { onDelete: 'cascade' }),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
  },
  (table) => [primaryKey({ columns: [table.linkId, table.traineeId] }), index('invited_for_trainee').on(table.traineeId)],
);

/** Wrong passwords, counted for a while; the columns are those of rate-limiter-flexible. */
export const signInTry = pgTable('sign_in_try', {
  key: text().primaryKey(),
  points: integer().notNull().default(0),
  /** Milliseconds since 1970. */
  expire: bigint({ mode: 'number' }),
});

/** Requests of whoever asks much, counted for some minutes; the columns are those of rate-limiter-flexible. */
export const requestCount = pgTable('request_count', {
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
