import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  doublePrecision,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { filmStates, importSteps, stepStates } from '@wax-fist/contract/footage';
import { stances, views } from '@wax-fist/core/technique';
import { account } from './accounts.ts';
import { bytes } from './bytes.ts';
import { isListed, listed } from './listed.ts';
import { trainingSession } from './sessions.ts';

/** A filmed round from one view. Its bytes lie in storage, its frame times and loudness here as packed columns. */
export const film = pgTable(
  'film',
  {
    id: uuid().primaryKey(),
    sessionId: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    view: listed(views).notNull(),
    /** Which foot leads in it, where it is not the trainee’s usual one. */
    stance: listed(stances),
    fileName: text().notNull(),
    bytes: bigint({ mode: 'number' }).notNull(),
    /** Hash of the untouched original, known once the worker has read it. */
    sha256: text(),
    state: listed(filmStates).notNull().default('waiting'),
    remark: text(),
    duration: doublePrecision(),
    frames: integer(),
    firstFrameAt: doublePrecision(),
    width: integer(),
    height: integer(),
    hasSound: boolean().notNull().default(false),
    stripPictures: integer(),
    stripWidth: integer(),
    stripHeight: integer(),
    timeline: bytes(),
    loudness: bytes(),
    done: boolean().notNull().default(false),
    /** Whether its tallies count everything that was said. */
    tallied: boolean().notNull().default(false),
    addedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    addedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('film_of_session').on(table.sessionId),
    check('ready_means_playable', sql`${table.state} <> 'ready' or (${table.timeline} is not null and ${table.frames} > 0)`),
    index('film_by_hash').on(table.sha256),
    index('film_added_by').on(table.addedBy),
    index('film_to_review')
      .on(table.sessionId)
      .where(sql`not ${table.done}`),
    index('film_to_tally')
      .on(table.sessionId)
      .where(sql`not ${table.tallied}`),
    isListed('view_is_known', table.view, views),
    isListed('film_stance_is_known', table.stance, stances),
    isListed('film_state_is_known', table.state, filmStates),
  ],
);

/** What has to be done with a film, and how far it is. A worker that works on a step says so again and again. */
export const filmStep = pgTable(
  'film_step',
  {
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    /** An open list: steps that a newer worker knows are added to films that are there already. */
    step: listed(importSteps).notNull(),
    state: listed(stepStates).notNull().default('waiting'),
    progress: doublePrecision().notNull().default(0),
    attempts: smallint().notNull().default(0),
    worker: text(),
    reason: text(),
    startedAt: timestamp({ withTimezone: true }),
    touchedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.filmId, table.step] }),
    index('step_under_way')
      .on(table.touchedAt)
      .where(sql`${table.state} in ('waiting', 'working')`),
    isListed('step_state_is_known', table.state, stepStates),
    check('progress_is_a_share', sql`${table.progress} between 0 and 1`),
    check('work_has_a_worker', sql`${table.state} <> 'working' or ${table.worker} is not null`),
  ],
);

/** A piece of a film in which a body was followed, packed: see `packTrack`. */
const pieceColumns = () => ({
  filmId: uuid()
    .notNull()
    .references(() => film.id, { onDelete: 'cascade' }),
  fromFrame: integer().notNull(),
  frames: integer().notNull(),
  /** By which model they were found, and by which version of what is done with its answers. */
  model: text().notNull(),
  version: smallint().notNull(),
  packed: bytes().notNull(),
  /** How often a part of it was followed again. */
  revision: integer().notNull().default(0),
});

/** Where the body was, a piece of a film at a time, so that a worker goes on where another one stopped. */
export const filmPoints = pgTable('film_points', pieceColumns(), (table) => [
  primaryKey({ columns: [table.filmId, table.fromFrame] }),
  check('points_of_frames', sql`${table.frames} > 0`),
]);

/** The same of whoever holds: piece by piece beside whoever strikes, of the revision that each of those had then. */
export const holderPoints = pgTable('holder_points', pieceColumns(), (table) => [
  primaryKey({ columns: [table.filmId, table.fromFrame] }),
  check('holder_of_frames', sql`${table.frames} > 0`),
]);

/** What a second pass has found, with the largest model, in the frames round strikes: of the revision that the first one had then. */
export const secondPassPoints = pgTable('second_pass_points', pieceColumns(), (table) => [
  primaryKey({ columns: [table.filmId, table.fromFrame] }),
  check('second_pass_of_frames', sql`${table.frames} > 0`),
]);

/** Workers say here that they are alive. */
export const workerSign = pgTable('worker_sign', {
  worker: text().primaryKey(),
  seenAt: timestamp({ withTimezone: true }).notNull(),
});
