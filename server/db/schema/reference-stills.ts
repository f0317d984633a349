import { sql } from 'drizzle-orm';
import { check, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { stillKinds } from '@wax-fist/contract/technique';
import { clip } from './footage.ts';

/** A frame of the club's own footage in the place of a still that ships. */
export const referenceStill = pgTable(
  'reference_still',
  {
    technique: text().notNull(),
    checkpoint: text().notNull(),
    kind: text({ enum: stillKinds }).notNull(),
    clipId: uuid()
      .notNull()
      .references(() => clip.id, { onDelete: 'cascade' }),
    frame: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.technique, table.checkpoint, table.kind] }),
    check('kind_of_still', sql`${table.kind} in ('clean', 'fault')`),
  ],
);
