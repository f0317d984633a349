import { doublePrecision, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { montageKinds } from '@wax-fist/contract/montages';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';
import { trainingSession } from './sessions.ts';

const states = ['working', 'ready', 'failed'] as const;

/** A montage that is written as a film. It is made again from its session whenever it is wanted, and kept for a while only. */
export const montage = pgTable(
  'montage',
  {
    id: uuid().primaryKey(),
    sessionId: uuid()
      .notNull()
      .references(() => trainingSession.id, { onDelete: 'cascade' }),
    technique: text().notNull(),
    checkpointId: text().notNull(),
    which: listed(montageKinds).notNull(),
    state: listed(states).notNull().default('working'),
    progress: doublePrecision().notNull().default(0),
    reason: text(),
    askedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    askedAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('montage_of_session').on(table.sessionId),
    index('montage_asked_by').on(table.askedBy),
    isListed('montage_kind_is_known', table.which, montageKinds),
    isListed('montage_state_is_known', table.state, states),
  ],
);
