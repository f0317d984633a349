import { unpackTrack, type Track } from '@wax-fist/core/body';
import { and, asc, eq, gt, lte, sql } from 'drizzle-orm';
import type { Database } from './connection.ts';
import { filmPoints, type holderPoints } from './schema/index.ts';

/** What was followed in a film until now, piece by piece in their order, each packed (see `packTrack`). @param of whoever strikes, or holds */
export const filmPieces = (db: Database, filmId: string, of: typeof filmPoints | typeof holderPoints = filmPoints) =>
  db.select({ from: of.fromFrame, packed: of.packed }).from(of).where(eq(of.filmId, filmId)).orderBy(asc(of.fromFrame));

/** The piece of a track that holds a frame; undefined where that was not followed. */
export async function pieceWith(db: Database, filmId: string, frame: number): Promise<Track | undefined> {
  const [piece] = await db
    .select({ from: filmPoints.fromFrame, packed: filmPoints.packed })
    .from(filmPoints)
    .where(
      and(
        eq(filmPoints.filmId, filmId),
        lte(filmPoints.fromFrame, frame),
        gt(sql`${filmPoints.fromFrame} + ${filmPoints.frames}`, frame),
      ),
    );
  return piece && unpackTrack(piece.from, piece.packed);
}
