import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { SavedHitEdits } from '@wax-fist/contract/rounds';
import { roundKinds, roundManners } from '@wax-fist/core/rounds';
import type { Candidate, Ring } from '@wax-fist/core/sound';
import type { FoundStrike } from '@wax-fist/core/strikes';
import type { TimeSpan } from '@wax-fist/core/units';
import { account } from './accounts.ts';
import { film } from './footage.ts';
import { isListed, listed } from './listed.ts';

/** What was found in a film by ear and by eye, and what the coach changed about it. */
export const filmHits = pgTable(
  'film_hits',
  {
    filmId: uuid()
      .primaryKey()
      .references(() => film.id, { onDelete: 'cascade' }),
    sound: jsonb().$type<Candidate[]>(),
    motion: jsonb().$type<Candidate[]>(),
    both: jsonb().$type<FoundStrike[]>(),
    rings: jsonb().$type<Ring[]>().notNull().default([]),
    /** When somebody talks, and when nobody is in the picture. */
    talk: jsonb().$type<TimeSpan[]>().notNull().default([]),
    away: jsonb().$type<TimeSpan[]>().notNull().default([]),
    /** Null as long as nobody changed anything. */
    edits: jsonb().$type<SavedHitEdits>(),
    version: integer().notNull().default(0),
    changedBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    changedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('hits_changed_by').on(table.changedBy)],
);

/** A span of a film in which somebody works; milliseconds from the first frame. That rounds do not overlap, the migration adds. */
export const round = pgTable(
  'round',
  {
    id: uuid().primaryKey(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    startsAt: doublePrecision().notNull(),
    endsAt: doublePrecision().notNull(),
    kind: listed(roundKinds).notNull(),
    manner: listed(roundManners).notNull(),
    planned: text().notNull().default(''),
    proposed: boolean().notNull(),
  },
  (table) => [
    check('round_lasts', sql`0 <= ${table.startsAt} and ${table.startsAt} < ${table.endsAt}`),
    unique('round_begins_once').on(table.filmId, table.startsAt),
    isListed('round_is_of_known_kind', table.kind, roundKinds),
    isListed('round_manner_is_known', table.manner, roundManners),
  ],
);
