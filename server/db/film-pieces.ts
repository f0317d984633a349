import { asc, eq } from 'drizzle-orm';
import type { Database } from './connection.ts';
import { filmPoints } from './schema/index.ts';

/** What was followed in a film until now, piece by piece in their order, each packed (see `packTrack`). */
export const filmPieces = (db: Database, filmId: string) =>
  db
    .select({ from: filmPoints.fromFrame, packed: filmPoints.packed })
    .from(filmPoints)
    .where(eq(filmPoints.filmId, filmId))
    .orderBy(asc(filmPoints.fromFrame));
