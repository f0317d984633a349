import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { verdicts } from '@wax-fist/core/review';
import { momentOrigins } from '@wax-fist/core/strikes';
import { subjects, views } from '@wax-fist/core/technique';
import { account } from './accounts.ts';
import { checklistVersion } from './checklists.ts';
import { film } from './footage.ts';
import { isListed, listed } from './listed.ts';

const moments = {
  /** Of the catalogue, or a club’s own. */
  technique: text().notNull(),
  /** Place in the series that the technique is, from 0; null for one strike. */
  part: smallint(),
  launchFrame: integer().notNull(),
  contactFrame: integer().notNull(),
  homeFrame: integer().notNull(),
  /** Marks from the time before this was asked do not tell; what may be a guess counts as one. */
  launchOrigin: listed(momentOrigins).notNull().default('guessed'),
  contactOrigin: listed(momentOrigins).notNull().default('set'),
  homeOrigin: listed(momentOrigins).notNull().default('guessed'),
  removed: boolean().notNull(),
  saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull(),
};

/** A strike as it stands: the latest of its revisions. */
export const strike = pgTable(
  'strike',
  {
    id: uuid().primaryKey(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    ...moments,
    revisionId: uuid().notNull(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
  },
  (table) => [
    index('strike_of_film').on(table.filmId, table.contactFrame),
    index('strike_of_technique')
      .on(table.technique, table.id)
      .where(sql`not ${table.removed}`),
    index('strike_said_by').on(table.saidBy),
    isListed('launch_origin_is_known', table.launchOrigin, momentOrigins),
    isListed('contact_origin_is_known', table.contactOrigin, momentOrigins),
    isListed('home_origin_is_known', table.homeOrigin, momentOrigins),
    check('part_from_first', sql`${table.part} >= 0`),
    check(
      'moments_in_order',
      sql`0 <= ${table.launchFrame} and ${table.launchFrame} <= ${table.contactFrame} and ${table.contactFrame} <= ${table.homeFrame}`,
    ),
  ],
);

/** Every statement ever made about a strike's moments; only grows. */
export const strikeRevision = pgTable(
  'strike_revision',
  {
    id: uuid().primaryKey(),
    strikeId: uuid()
      .notNull()
      .references(() => strike.id, { onDelete: 'cascade' }),
    ...moments,
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('revision_of_strike').on(table.strikeId), index('revision_said_by').on(table.saidBy)],
);

/** Every verdict ever given; only grows. The one that counts is the one not superseded, and there is never a second. */
export const observation = pgTable(
  'observation',
  {
    id: uuid().primaryKey(),
    strikeId: uuid()
      .notNull()
      .references(() => strike.id, { onDelete: 'cascade' }),
    checkpointId: text().notNull(),
    /** Whom the checkpoint is about, as the checklist had it when it was judged. */
    subject: listed(subjects).notNull(),
    /** Null takes an earlier verdict back. */
    verdict: listed(verdicts),
    note: text(),
    view: listed(views).notNull(),
    /** Judged although this view or rate cannot show it. */
    anyway: boolean().notNull().default(false),
    /** The verdict that a measure proposed when it was judged; null where none did. */
    proposed: listed(verdicts),
    checklistVersion: integer()
      .notNull()
      .references(() => checklistVersion.version),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull(),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    superseded: boolean().notNull().default(false),
  },
  (table) => [
    uniqueIndex('one_observation_counts')
      .on(table.strikeId, table.checkpointId)
      .where(sql`not ${table.superseded}`),
    index('observation_of_strike').on(table.strikeId, table.checkpointId),
    index('observation_of_version').on(table.checklistVersion),
    index('observation_said_by').on(table.saidBy, table.saidAt),
    isListed('proposed_is_known', table.proposed, verdicts),
    isListed('verdict_is_known', table.verdict, verdicts),
    isListed('observation_view_is_known', table.view, views),
    isListed('subject_is_known', table.subject, subjects),
  ],
);

/** What the verdicts of a film that count come to; counted anew when it is asked for and something was said since: see `film.tallied`. */
export const filmTally = pgTable(
  'film_tally',
  {
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    /** What was thrown; what is said of a holder belongs to holding. */
    technique: text().notNull(),
    checkpointId: text().notNull(),
    view: listed(views).notNull(),
    clean: integer().notNull(),
    watch: integer().notNull(),
    fault: integer().notNull(),
    cantSee: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.filmId, table.technique, table.checkpointId, table.view] }),
    isListed('tally_view_is_known', table.view, views),
  ],
);
