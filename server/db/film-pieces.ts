import { unpackTrack, type Track } from '@wax-fist/core/body';
import { and, asc, eq, gt, lte, notExists, sql } from 'drizzle-orm';
import type { Database } from './connection.ts';
import { filmPoints, type holderPoints, type secondPassPoints } from './schema/index.ts';

/** Where pieces are kept: of whoever strikes, of whoever holds, or of a second pass. */
export type PieceTable = typeof filmPoints | typeof holderPoints | typeof secondPassPoints;

/** Which pieces of a film are kept. */
export const piecesThere = (db: Database, filmId: string, of: PieceTable) =>
  db.select({ from: of.fromFrame, frames: of.frames }).from(of).where(eq(of.filmId, filmId));

/** What has to be alike where one thing was followed beside another. */
type Alike = 'model' | 'version' | 'revision';
/** Forgets pieces that were followed beside what was followed otherwise since. @param alike with what they were followed beside */
export async function forgetOutdated(
  db: Database,
  filmId: string,
  of: Exclude<PieceTable, typeof filmPoints>,
  alike: readonly Alike[],
): Promise<void> {
  const begins = sql`${of.fromFrame} >= ${filmPoints.fromFrame} and ${of.fromFrame} < ${filmPoints.fromFrame} + ${filmPoints.frames}`;
  const beside = db
    .select({ one: sql`1` })
    .from(filmPoints)
    .where(and(eq(filmPoints.filmId, of.filmId), ...alike.map((column) => eq(filmPoints[column], of[column])), begins));
  await db.delete(of).where(and(eq(of.filmId, filmId), notExists(beside)));
}

/** What was followed in a film until now, piece by piece in their order, each packed (see `packTrack`). @param of see `PieceTable` */
export const filmPieces = (db: Database, filmId: string, of: PieceTable = filmPoints) =>
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
