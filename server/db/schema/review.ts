import { sql } from 'drizzle-orm';
import { boolean, check, index, integer, pgEnum, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { verdicts } from '@wax-fist/core/review';
import { account } from './accounts.ts';
import { checklistVersion } from './technique.ts';
import { clip, view } from './footage.ts';

export const verdict = pgEnum('verdict', verdicts);

const moments = {
  /** Of the catalogue, or a club’s own. */
  technique: text().notNull(),
  launchFrame: integer().notNull(),
  contactFrame: integer().notNull(),
  homeFrame: integer().notNull(),
  removed: boolean().notNull(),
  saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull(),
};

/** A strike as it stands: the latest of its revisions. */
export const strike = pgTable(
  'strike',
  {
    id: uuid().primaryKey(),
    clipId: uuid()
      .notNull()
      .references(() => clip.id, { onDelete: 'cascade' }),
    ...moments,
    revisionId: uuid().notNull(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
  },
  (table) => [
    index('strike_of_clip').on(table.clipId, table.contactFrame),
    check('moments_in_order', sql`0 <= ${table.launchFrame} and ${table.launchFrame} <= ${table.contactFrame} and ${table.contactFrame} <= ${table.homeFrame}`),
  ],
); // prettier-ignore

/** Every statement ever made about a strike's moments; only grows. */
export const strikeRevision = pgTable(
  'strike_revision',
  {
    id: uuid().primaryKey(),
    strikeId: uuid()
      .notNull()
      .references(() => strike.id, { onDelete: 'cascade', }),
    ...moments,
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('revision_of_strike').on(table.strikeId)],
); // prettier-ignore

/** Every verdict ever given; only grows. The one that counts is the one not superseded, and there is never a second. */
export const observation = pgTable(
  'observation',
  {
    id: uuid().primaryKey(),
    strikeId: uuid()
      .notNull()
      .references(() => strike.id, { onDelete: 'cascade' }),
    checkpointId: text().notNull(),
    /** Null takes an earlier verdict back. */
    verdict: verdict(),
    note: text(),
    view: view().notNull(),
    /** Judged although this view or rate cannot show it. */
    anyway: boolean().notNull().default(false),
    checklistVersion: integer()
      .notNull()
      .references(() => checklistVersion.version),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull(),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    superseded: boolean().notNull().default(false),
  },
  (table) => [
    uniqueIndex('one_observation_counts').on(table.strikeId, table.checkpointId).where(sql`not ${table.superseded}`),
    index('observation_of_strike').on(table.strikeId, table.checkpointId),
  ],
); // prettier-ignore
