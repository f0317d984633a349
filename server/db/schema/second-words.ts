import { sql } from 'drizzle-orm';
import { boolean, index, integer, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { verdicts } from '@wax-fist/core/review';
import { views } from '@wax-fist/core/technique';
import { account } from './accounts.ts';
import { checklistVersion } from './checklists.ts';
import { film } from './footage.ts';
import { isListed, listed } from './listed.ts';
import { strike } from './review.ts';

/** A film that a second coach marks without seeing what the first one said. */
export const secondMarking = pgTable(
  'second_marking',
  {
    filmId: uuid()
      .primaryKey()
      .references(() => film.id, { onDelete: 'cascade' }),
    coachId: uuid()
      .notNull()
      .references(() => account.id, { onDelete: 'cascade' }),
    askedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    askedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** From then on the second coach sees what the first one said, and says no more. */
    doneAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    index('second_marking_of_coach').on(table.coachId, table.doneAt),
    index('second_marking_asked_by').on(table.askedBy),
  ],
);

/** What a second coach said of a checkpoint of a strike; only grows, and counts for agreement alone. */
export const secondWord = pgTable(
  'second_word',
  {
    id: uuid().primaryKey(),
    strikeId: uuid()
      .notNull()
      .references(() => strike.id, { onDelete: 'cascade' }),
    checkpointId: text().notNull(),
    /** Null takes an earlier verdict back. */
    verdict: listed(verdicts),
    note: text(),
    view: listed(views).notNull(),
    anyway: boolean().notNull().default(false),
    checklistVersion: integer()
      .notNull()
      .references(() => checklistVersion.version),
    saidBy: uuid()
      .notNull()
      .references(() => account.id, { onDelete: 'cascade' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull(),
    receivedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    superseded: boolean().notNull().default(false),
  },
  (table) => [
    uniqueIndex('one_second_word_counts')
      .on(table.strikeId, table.checkpointId, table.saidBy)
      .where(sql`not ${table.superseded}`),
    index('second_word_of_version').on(table.checklistVersion),
    index('second_word_said_by').on(table.saidBy),
    isListed('second_verdict_is_known', table.verdict, verdicts),
    isListed('second_view_is_known', table.view, views),
  ],
);
