import { sql } from 'drizzle-orm';
import { check, doublePrecision, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { voiceTypes } from '@wax-fist/contract/notes';
import { account } from './accounts.ts';
import { bytes } from './bytes.ts';
import { listed } from './listed.ts';
import { strike } from './review.ts';
import { trainingSession } from './sessions.ts';

/** What a coach has typed or spoken about a session, or about one of its strikes. */
export const note = pgTable(
  'note',
  {
    id: uuid().primaryKey(),
    sessionId: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    strikeId: uuid().references(() => strike.id, { onDelete: 'cascade' }),
    text: text().notNull().default(''),
    /** What was spoken, as the browser recorded it. */
    voice: bytes(),
    voiceType: listed(voiceTypes),
    voiceLasts: doublePrecision(),
    saidBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    saidAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('note_of_session').on(table.sessionId, table.saidAt),
    index('note_of_strike').on(table.strikeId),
    index('note_said_by').on(table.saidBy),
    check('note_says_something', sql`${table.text} <> '' or ${table.voice} is not null`),
    check(
      'voice_is_whole',
      sql`(${table.voice} is null) = (${table.voiceType} is null) and (${table.voice} is null) = (${table.voiceLasts} is null)`,
    ),
  ],
);
