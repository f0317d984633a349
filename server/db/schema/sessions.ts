import { sql } from 'drizzle-orm';
import type { JudgedBy } from '@wax-fist/contract/technique';
import { roundKinds } from '@wax-fist/core/moments';
import { check, date, index, integer, jsonb, pgEnum, pgTable, smallint, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { checklistVersion } from './technique.ts';
import { stance, trainee } from './trainees.ts';

export const roundKind = pgEnum('round_kind', roundKinds);

/** A day on which a trainee was filmed. */
export const trainingSession = pgTable(
  'training_session',
  {
    id: uuid().primaryKey(),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    heldOn: date({ mode: 'string' }).notNull(),
    place: text().notNull().default(''),
    kit: text().notNull().default(''),
    roundKind: roundKind().notNull(),
    rung: smallint().notNull(),
    schoolNote: text().notNull().default(''),
    holderId: uuid().references(() => trainee.id, { onDelete: 'set null' }),
    holderStance: stance(),
    checklistVersion: integer()
      .notNull()
      .references(() => checklistVersion.version),
    /** The school as it was when it was chosen: what became of it later does not change an old review. */
    judgedBy: jsonb().$type<JudgedBy>().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('training_session_of_trainee').on(table.traineeId, table.heldOn),
    index('training_session_of_holder').on(table.holderId),
    check('nobody_holds_for_themselves', sql`${table.holderId} <> ${table.traineeId}`),
    check('rung_on_ladder', sql`${table.rung} between 1 and 7`),
  ],
);
