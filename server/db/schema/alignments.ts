import { sql } from 'drizzle-orm';
import { check, doublePrecision, index, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import { film } from './footage.ts';

/** How the clocks of two films stand to each other, once for each pair. */
export const filmAlignment = pgTable(
  'film_alignment',
  {
    filmId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    otherId: uuid()
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    offset: doublePrecision().notNull(),
    drift: doublePrecision().notNull(),
    /** Null when a coach tied them by hand; what was heard never replaces that. */
    fit: doublePrecision(),
  },
  (table) => [
    primaryKey({ columns: [table.filmId, table.otherId] }),
    index('alignment_of_other').on(table.otherId),
    check('pair_once', sql`${table.filmId} < ${table.otherId}`),
  ],
);
