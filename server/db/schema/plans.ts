import { longestSession, type PlanDraft, type PlanLog } from '@wax-fist/contract/plans';
import { sql } from 'drizzle-orm';
import { check, date, index, integer, jsonb, pgTable, smallint, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { trainingSession } from './sessions.ts';
import { trainee } from './trainees.ts';

/** A planned session of a trainee, and what was done of it. */
export const plan = pgTable(
  'plan',
  {
    id: uuid().primaryKey(),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    plannedOn: date({ mode: 'string' }).notNull(),
    /** Seconds. */
    length: integer().notNull(),
    /** Rises with every change: a calendar that has it already changes it. */
    revision: integer().notNull().default(0),
    /** Hard rounds: what a week is summed by. */
    impact: smallint().notNull(),
    /** Its parts, what it was planned from and what it left out: read and written as a whole. */
    says: jsonb().$type<Omit<PlanDraft, 'id' | 'traineeId' | 'plannedOn' | 'length'>>().notNull(),
    doneOn: date({ mode: 'string' }),
    done: jsonb().$type<PlanLog['done']>(),
    madeBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    madeAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('plan_of_trainee').on(table.traineeId, table.plannedOn, table.id),
    index('plan_of_day').on(table.plannedOn),
    index('plan_made_by').on(table.madeBy),
    check('plan_has_minutes', sql`${table.length} between 300 and ${sql.raw(String(longestSession))}`),
    check('impact_is_a_count', sql`${table.impact} >= 0`),
    check('done_with_its_day', sql`(${table.doneOn} is null) = (${table.done} is null)`),
  ],
);

/** A session in which what was filmed of a plan stands. */
export const planSession = pgTable(
  'plan_session',
  {
    sessionId: uuid()
      .primaryKey()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    planId: uuid()
      .notNull()
      .references(() => plan.id, { onDelete: 'cascade' }),
  },
  (table) => [index('session_of_plan').on(table.planId)],
);
