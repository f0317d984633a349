import type { SavedAlignment } from '@wax-fist/contract/alignments';
import { reversed } from '@wax-fist/core/sound';
import { eq, or } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { filmAlignment } from '../../db/schema/index.ts';

/** Ties of a film to others, told from its own side. */
export async function alignmentsOf(db: Database, filmId: string): Promise<SavedAlignment[]> {
  const rows = await db
    .select()
    .from(filmAlignment)
    .where(or(eq(filmAlignment.filmId, filmId), eq(filmAlignment.otherId, filmId)));
  return rows.map((row) => (row.filmId === filmId ? row : { ...reversed(row), filmId, otherId: row.filmId }));
}
