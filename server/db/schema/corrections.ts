import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, index, jsonb, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { correctionEventKinds, correctionStates } from '@wax-fist/core/correction';
import type { Tally } from '@wax-fist/core/review';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';
import { trainingSession } from './sessions.ts';
import { trainee } from './trainees.ts';

/** One checkpoint of one technique that a trainee works on. What became of it is told by its events. */
export const correction = pgTable(
  'correction',
  {
    id: uuid().primaryKey(),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    checkpointId: text().notNull(),
    technique: text().notNull(),
    cue: text().notNull(),
    target: doublePrecision().notNull(),
    openedIn: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    recheckOn: date({ mode: 'string' }),
    /** What its events come to; written together with them. */
    state: listed(correctionStates).notNull().default('open'),
  },
  (table) => [
    index('correction_of_trainee').on(table.traineeId, table.recheckOn, table.id),
    index('correction_opened_in').on(table.openedIn),
    index('correction_due')
      .on(table.recheckOn, table.id)
      .where(sql`${table.state} = 'open'`),
    uniqueIndex('one_open_correction')
      .on(table.traineeId, table.technique, table.checkpointId)
      .where(sql`${table.state} = 'open'`),
    isListed('correction_state_is_known', table.state, correctionStates),
    check('target_is_a_share', sql`${table.target} between 0 and 1`),
  ],
);

/** A correction's history; only grows. */
export const correctionEvent = pgTable(
  'correction_event',
  {
    id: uuid().primaryKey(),
    correctionId: uuid()
      .notNull()
      .references(() => correction.id, { onDelete: 'cascade' }),
    kind: listed(correctionEventKinds).notNull(),
    sessionId: uuid().references(() => trainingSession.id, { onDelete: 'set null' }),
    note: text().notNull().default(''),
    tally: jsonb().$type<Tally>(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    at: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('event_of_correction').on(table.correctionId, table.at),
    index('event_of_session').on(table.sessionId),
    index('event_said_by').on(table.saidBy),
    isListed('correction_event_is_known', table.kind, correctionEventKinds),
  ],
);
