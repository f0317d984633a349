import { bodyParts, type ReachedStep } from '@wax-fist/core/trainee';
import { sql } from 'drizzle-orm';
import { check, date, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { isListed, listed } from './listed.ts';
import { trainee } from './trainees.ts';

/** Where a trainee is hurt, from when to when. */
export const bodyLimit = pgTable(
  'body_limit',
  {
    id: uuid().primaryKey(),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    part: listed(bodyParts).notNull(),
    since: date({ mode: 'string' }).notNull(),
    until: date({ mode: 'string' }),
    note: text().notNull().default(''),
    clearedBy: text().notNull().default(''),
    /** The way back after a blow to the head: steps with their days, in their order. */
    steps: jsonb().$type<ReachedStep[]>().notNull().default([]),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('body_limit_of_trainee').on(table.traineeId, table.since),
    isListed('body_part_is_known', table.part, bodyParts),
    check('limit_ends_after_it_began', sql`${table.until} >= ${table.since}`),
    check('steps_of_head_only', sql`${table.part} = 'head' or ${table.steps} = '[]'::jsonb`),
    check('head_is_cleared', sql`${table.part} <> 'head' or ${table.until} is null or ${table.clearedBy} <> ''`),
  ],
);
