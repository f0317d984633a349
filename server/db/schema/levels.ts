import { conditions } from '@wax-fist/contract/answers';
import type { Answer, ClubSpread, Compared } from '@wax-fist/core/correction';
import { sql } from 'drizzle-orm';
import { boolean, check, index, integer, jsonb, pgTable, primaryKey, smallint, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { correction } from './corrections.ts';
import { isListed, listed } from './listed.ts';
import { onLadder, trainingSession } from './sessions.ts';
import { trainee } from './trainees.ts';

/** What the club's own series tell of how alike the strikes of a day are and how levels move; one row, learned anew every night. */
export const learnedSpread = pgTable(
  'learned_spread',
  {
    only: boolean().primaryKey().default(true),
    spread: jsonb().$type<ClubSpread>().notNull(),
    /** How many series it was learned from. */
    series: integer().notNull(),
    learnedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [check('one_spread', sql`${table.only}`)],
);

/** What a series said after one of its sessions, kept so that it is worked out again only when it was made of something else. */
export const levelAnswer = pgTable(
  'level_answer',
  {
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    technique: text().notNull(),
    checkpointId: text().notNull(),
    rung: smallint().notNull(),
    /** The last session that was asked. */
    sessionId: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    /** Of all that went into it. */
    madeOf: text().notNull(),
    answer: jsonb().$type<Answer>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.traineeId, table.technique, table.checkpointId, table.rung, table.sessionId] }),
    index('level_answer_of_session').on(table.sessionId),
    check('answer_rung_on_ladder', onLadder(table.rung)),
  ],
);

/** What two levels of a correction said when they were held against each other, kept as answers are. */
export const comparedLevel = pgTable(
  'compared_level',
  {
    correctionId: uuid()
      .notNull()
      .references(() => correction.id, { onDelete: 'cascade' }),
    condition: listed(conditions).notNull(),
    firstRung: smallint().notNull(),
    secondRung: smallint().notNull(),
    /** Of all that went into it. */
    madeOf: text().notNull(),
    compared: jsonb().$type<Compared>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.correctionId, table.condition, table.firstRung, table.secondRung] }),
    isListed('condition_is_known', table.condition, conditions),
    check('compared_rungs_on_ladder', sql`${onLadder(table.firstRung)} and ${onLadder(table.secondRung)}`),
  ],
);
