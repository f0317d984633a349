import { bigint, boolean, doublePrecision, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { archiveKinds, type Reading } from '@wax-fist/contract/archives';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';
import { trainee } from './trainees.ts';

const states = ['working', 'ready', 'failed'] as const;

/** An archive that is made, looked through or read. What was under way when the server ended begins again with it. */
export const archive = pgTable(
  'archive',
  {
    id: uuid().primaryKey(),
    kind: listed(archiveKinds).notNull(),
    /** Of whom it is made; null for the whole club, and of one that is read. */
    traineeId: uuid().references(() => trainee.id, { onDelete: 'set null' }),
    name: text().notNull().default(''),
    /** The upload that is read. */
    uploadId: text(),
    archiveWins: boolean().notNull().default(false),
    state: listed(states).notNull().default('working'),
    progress: doublePrecision().notNull().default(0),
    bytes: bigint({ mode: 'number' }),
    reason: text(),
    reading: jsonb().$type<Reading>(),
    askedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    askedAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('archive_of_trainee').on(table.traineeId),
    index('archive_asked_by').on(table.askedBy),
    isListed('archive_kind_is_known', table.kind, archiveKinds),
    isListed('archive_state_is_known', table.state, states),
  ],
);
