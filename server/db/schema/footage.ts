import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  customType,
  doublePrecision,
  index,
  integer,
  pgEnum,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { clipStates, importSteps, stepStates } from '@wax-fist/contract/footage';
import { views } from '@wax-fist/core/technique';
import { account } from './accounts.ts';
import { trainingSession } from './sessions.ts';

export const clipState = pgEnum('clip_state', clipStates);
export const importStep = pgEnum('import_step', importSteps);
export const stepState = pgEnum('step_state', stepStates);
export const view = pgEnum('view', views);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** A filmed round from one view. Its bytes lie in storage, its frame times and loudness here as packed columns. */
export const clip = pgTable(
  'clip',
  {
    id: uuid().primaryKey(),
    sessionId: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    view: view().notNull(),
    fileName: text().notNull(),
    bytes: bigint({ mode: 'number' }).notNull(),
    /** Hash of the untouched original, known once the worker has read it. */
    sha256: text(),
    state: clipState().notNull().default('waiting'),
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
    addedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    addedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('clip_of_session').on(table.sessionId),
    check('ready_means_playable', sql`${table.state} <> 'ready' or (${table.timeline} is not null and ${table.frames} > 0)`),
    index('clip_by_hash').on(table.sha256),
  ],
); // prettier-ignore

/** What has to be done with a clip, and how far it is. A worker that works on a step says so again and again. */
export const clipStep = pgTable(
  'clip_step',
  {
    clipId: uuid()
      .notNull()
      .references(() => clip.id, { onDelete: 'cascade' }),
    step: importStep().notNull(),
    state: stepState().notNull().default('waiting'),
    progress: doublePrecision().notNull().default(0),
    attempts: smallint().notNull().default(0),
    worker: text(),
    reason: text(),
    startedAt: timestamp({ withTimezone: true }),
    touchedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.clipId, table.step] }),
    index('step_under_way').on(table.touchedAt).where(sql`${table.state} in ('waiting', 'working')`),
    check('progress_is_a_share', sql`${table.progress} between 0 and 1`),
    check('work_has_a_worker', sql`${table.state} <> 'working' or ${table.worker} is not null`),
  ],
); // prettier-ignore

/** Workers say here that they are alive. */
export const workerSign = pgTable('worker_sign', {
  worker: text().primaryKey(),
  seenAt: timestamp({ withTimezone: true }).notNull(),
});
