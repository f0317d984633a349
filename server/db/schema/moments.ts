import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  doublePrecision,
  integer,
  jsonb,
  pgEnum,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { SavedHitEdits } from '@wax-fist/contract/moments';
import { roundManners, type Candidate, type Ring } from '@wax-fist/core/moments';
import { account } from './accounts.ts';
import { clip } from './footage.ts';
import { roundKind } from './sessions.ts';

export const roundManner = pgEnum('round_manner', roundManners);

/** What was found in a clip by ear and by eye, and what the coach changed about it. */
export const clipMoments = pgTable('clip_moments', {
  clipId: uuid()
    .primaryKey()
    .references(() => clip.id, { onDelete: 'cascade' }),
  sound: jsonb().$type<Candidate[]>(),
  motion: jsonb().$type<Candidate[]>(),
  rings: jsonb().$type<Ring[]>().notNull().default([]),
  /** Null as long as nobody changed anything. */
  edits: jsonb().$type<SavedHitEdits>(),
  version: integer().notNull().default(0),
  changedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
  changedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
}); // prettier-ignore

/** A span of a clip in which somebody works; milliseconds from the first frame. That rounds do not overlap, the migration adds. */
export const round = pgTable(
  'round',
  {
    id: uuid().primaryKey(),
    clipId: uuid()
      .notNull()
      .references(() => clip.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    startsAt: doublePrecision().notNull(),
    endsAt: doublePrecision().notNull(),
    kind: roundKind().notNull(),
    manner: roundManner().notNull(),
    planned: text().notNull().default(''),
    proposed: boolean().notNull(),
  },
  (table) => [check('round_lasts', sql`0 <= ${table.startsAt} and ${table.startsAt} < ${table.endsAt}`), unique('round_begins_once').on(table.clipId, table.startsAt)],
); // prettier-ignore

/** How the clocks of two clips stand to each other, once for each pair. */
export const clipAlignment = pgTable(
  'clip_alignment',
  {
    clipId: uuid()
      .notNull()
      .references(() => clip.id, { onDelete: 'cascade' }),
    otherId: uuid()
      .notNull()
      .references(() => clip.id, { onDelete: 'cascade' }),
    offset: doublePrecision().notNull(),
    drift: doublePrecision().notNull(),
    /** Null when a coach tied them by hand; what was heard never replaces that. */
    fit: doublePrecision(),
  },
  (table) => [
    primaryKey({ columns: [table.clipId, table.otherId] }),
    check('pair_once', sql`${table.clipId} < ${table.otherId}`),
  ],
); // prettier-ignore
