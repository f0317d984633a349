import { sql } from 'drizzle-orm';
import { check, date, doublePrecision, index, jsonb, pgEnum, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { correctionEventKinds } from '@wax-fist/contract/corrections';
import type { Tally } from '@wax-fist/core/review';
import { account } from './accounts.ts';
import { trainingSession } from './sessions.ts';
import { trainee } from './trainees.ts';

export const correctionEventKind = pgEnum('correction_event_kind', correctionEventKinds);

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
  },
  (table) => [
    index('correction_of_trainee').on(table.traineeId),
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
    kind: correctionEventKind().notNull(),
    sessionId: uuid().references(() => trainingSession.id, { onDelete: 'set null' }),
    note: text().notNull().default(''),
    tally: jsonb().$type<Tally>(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    at: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [index('event_of_correction').on(table.correctionId, table.at)],
);
