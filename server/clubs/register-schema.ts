import { sql } from 'drizzle-orm';
import { boolean, check, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';

/** The tables of an installation of many clubs. Whoever can read them can open every club: they are the installation’s alone. */
export { workerSign } from '../db/schema/footage.ts';

/** A host name as browsers send it: small letters, digits, points and hyphens. */
export const hostPattern = '^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$';

export const club = pgTable(
  'club',
  {
    /** Its database, its owner there and its folder are named after it. */
    id: uuid().primaryKey(),
    name: text().notNull(),
    /** The host name by which browsers reach it. */
    host: text().notNull().unique(),
    /** Of the account of PostgreSQL that owns its database. */
    password: text().notNull(),
    /** Nobody gets in, and no worker works for it. */
    closed: boolean().notNull().default(false),
    addedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [check('host_is_a_host', sql`${table.host} ~ ${sql.raw(`'${hostPattern}'`)}`)],
);
