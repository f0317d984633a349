import { sql } from 'drizzle-orm';
import { roundKinds } from '@wax-fist/core/moments';
import { check, date, index, pgEnum, pgTable, smallint, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { trainee } from './trainees.ts';

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
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('training_session_of_trainee').on(table.traineeId, table.heldOn),
    check('rung_on_ladder', sql`${table.rung} between 1 and 7`),
  ],
);
