import { sql, type SQL } from 'drizzle-orm';
import type { JudgedBy } from '@wax-fist/contract/schools';
import { highestRung, lowestRung } from '@wax-fist/core/correction';
import { roundKinds } from '@wax-fist/core/rounds';
import { stances } from '@wax-fist/core/technique';
import {
  boolean,
  check,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  smallint,
  text,
  timestamp,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';
import { checklistVersion } from './checklists.ts';
import { isListed, listed } from './listed.ts';
import { trainee } from './trainees.ts';

/** That a rung is one. */
export const onLadder = (rung: AnyPgColumn): SQL =>
  sql`${rung} between ${sql.raw(String(lowestRung))} and ${sql.raw(String(highestRung))}`;

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
    roundKind: listed(roundKinds).notNull(),
    rung: smallint().notNull(),
    schoolNote: text().notNull().default(''),
    holderId: uuid().references(() => trainee.id, { onDelete: 'set null' }),
    holderStance: listed(stances),
    checklistVersion: integer()
      .notNull()
      .references(() => checklistVersion.version),
    /** The school as it was when it was chosen: what became of it later does not change an old review. */
    judgedBy: jsonb().$type<JudgedBy>().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Since when whoever signs in for the trainee sees its review. */
    releasedAt: timestamp({ withTimezone: true }),
    /** Whether everybody who signs in here sees its films, as long as those in them have agreed to it. */
    shownToClub: boolean().notNull().default(false),
  },
  (table) => [
    index('training_session_of_trainee').on(table.traineeId, table.heldOn, table.id),
    index('training_session_of_holder').on(table.holderId, table.heldOn, table.id),
    index('training_session_of_version').on(table.checklistVersion),
    check('nobody_holds_for_themselves', sql`${table.holderId} <> ${table.traineeId}`),
    check('shown_once_released', sql`not ${table.shownToClub} or ${table.releasedAt} is not null`),
    index('training_session_shown')
      .on(table.heldOn, table.id)
      .where(sql`${table.shownToClub}`),
    check('rung_on_ladder', onLadder(table.rung)),
    isListed('round_kind_is_known', table.roundKind, roundKinds),
    isListed('holder_stance_is_known', table.holderStance, stances),
  ],
);
