import { sql } from 'drizzle-orm';
import { check, index, integer, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { stillRoles } from '@wax-fist/core/card';
import { account } from './accounts.ts';
import { correction } from './corrections.ts';
import { isListed, listed } from './listed.ts';
import { strike } from './review.ts';

/** A still of a card that the coach has chosen. */
export const cardStill = pgTable(
  'card_still',
  {
    correctionId: uuid()
      .notNull()
      .references(() => correction.id, { onDelete: 'cascade' }),
    role: listed(stillRoles).notNull(),
    strikeId: uuid()
      .notNull()
      .references(() => strike.id, { onDelete: 'cascade' }),
    /** Null for the usual one. */
    frame: integer(),
  },
  (table) => [
    primaryKey({ columns: [table.correctionId, table.role] }),
    index('card_still_of_strike').on(table.strikeId),
    isListed('still_role_is_known', table.role, stillRoles),
    check('still_frame_from_first', sql`${table.frame} >= 0`),
  ],
);

/** An address by which whoever has it sees one card, until it ends or is withdrawn. */
export const cardLink = pgTable(
  'card_link',
  {
    correctionId: uuid()
      .primaryKey()
      .references(() => correction.id, { onDelete: 'cascade' }),
    code: text().notNull().unique(),
    madeBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    endsAt: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [index('card_link_made_by').on(table.madeBy)],
);
