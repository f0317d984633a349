import type { StepNumbers } from '@wax-fist/contract/corrections';
import { sql, type SQL } from 'drizzle-orm';
import {
  check,
  date,
  doublePrecision,
  index,
  jsonb,
  pgTable,
  smallint,
  text,
  timestamp,
  uniqueIndex,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';
import { correctionEventKinds, correctionStates, frequencies, ladderSteps, usualTopRung } from '@wax-fist/core/correction';
import type { Tally } from '@wax-fist/core/review';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';
import { onLadder, trainingSession } from './sessions.ts';
import { trainee } from './trainees.ts';

/** What has to hold of a correction that is worked on, or looked at again. */
export const isOpenRow = (state: AnyPgColumn): SQL => sql`${state} <> 'closed'`;
const stepsInSql = `(${ladderSteps.map((step) => `'${step}'`).join(', ')})`;

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
    /** How far it has to hold before it is kept. */
    topRung: smallint().notNull().default(usualTopRung),
    /** What its events come to; written together with them. */
    state: listed(correctionStates).notNull().default('spotted'),
    /** Where it is worked on or held. */
    rung: smallint().notNull(),
  },
  (table) => [
    index('correction_of_trainee').on(table.traineeId, table.recheckOn, table.id),
    index('correction_opened_in').on(table.openedIn),
    index('correction_due').on(table.recheckOn, table.id).where(isOpenRow(table.state)),
    uniqueIndex('one_open_correction').on(table.traineeId, table.technique, table.checkpointId).where(isOpenRow(table.state)),
    isListed('correction_state_is_known', table.state, correctionStates),
    check('correction_rung_on_ladder', onLadder(table.rung)),
    check('top_rung_on_ladder', onLadder(table.topRung)),
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
    /** Of a step on the ladder. */
    rung: smallint(),
    /** What made a step on the ladder; without them it was taken by hand. */
    numbers: jsonb().$type<StepNumbers>(),
    sessionId: uuid().references(() => trainingSession.id, { onDelete: 'set null' }),
    note: text().notNull().default(''),
    /** Of a drill: how often it is done. */
    often: listed(frequencies),
    tally: jsonb().$type<Tally>(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    at: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('event_of_correction').on(table.correctionId, table.at),
    index('event_of_session').on(table.sessionId),
    index('event_said_by').on(table.saidBy),
    isListed('correction_event_is_known', table.kind, correctionEventKinds),
    isListed('frequency_is_known', table.often, frequencies),
    check('only_a_drill_is_done_often', sql`${table.often} is null or ${table.kind} = 'drill-given'`),
    check('event_rung_on_ladder', onLadder(table.rung)),
    check('step_has_a_rung', sql`${table.kind} not in ${sql.raw(stepsInSql)} or ${table.rung} is not null`),
    check(
      'step_has_numbers_or_a_reason',
      sql`${table.kind} not in ${sql.raw(stepsInSql)} or ${table.numbers} is not null or ${table.note} <> ''`,
    ),
  ],
);
