import { sql } from 'drizzle-orm';
import { check, index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { stillKinds } from '@wax-fist/contract/stills';
import { film } from './footage.ts';
import { isListed, listed } from './listed.ts';

/** A frame of the club's own footage in the place of a still that ships. */
export const referenceStill = pgTable(
  'reference_still',
  {
    technique: text().notNull(),
    checkpoint: text().notNull(),
    kind: listed(stillKinds).notNull(),
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    frame: integer().notNull(),
    /** The strike that the frame is of, to be played; null for a still alone. */
    fromFrame: integer(),
    toFrame: integer(),
  },
  (table) => [
    primaryKey({ columns: [table.technique, table.checkpoint, table.kind] }),
    index('still_of_film').on(table.filmId),
    isListed('kind_of_still', table.kind, stillKinds),
    check(
      'still_lies_in_its_strike',
      sql`(${table.fromFrame} is null) = (${table.toFrame} is null) and (${table.fromFrame} is null or 0 <= ${table.fromFrame} and ${table.fromFrame} <= ${table.frame} and ${table.frame} <= ${table.toFrame})`,
    ),
  ],
);
