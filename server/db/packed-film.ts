import { and, eq } from 'drizzle-orm';
import type { PackedFilm } from '../jobs/heavy-work.ts';
import type { Database } from './connection.ts';
import { filmPieces } from './film-pieces.ts';
import { isCountingPin, pinColumns } from './pins.ts';
import { film, holderPoints, pointPin, secondPassPoints } from './schema/index.ts';

/** A film with all that was followed and pinned in it, as heavy work takes it. It has been read already. */
export async function packedFilm(db: Database, filmId: string): Promise<Omit<PackedFilm, 'view' | 'stance'>> {
  const [known] = await db
    .select({ timeline: film.timeline, frames: film.frames, width: film.width, height: film.height })
    .from(film)
    .where(eq(film.id, filmId));
  const pieces = await filmPieces(db, filmId);
  const holder = await filmPieces(db, filmId, holderPoints);
  const again = await filmPieces(db, filmId, secondPassPoints);
  const pins = await db
    .select(pinColumns)
    .from(pointPin)
    .where(and(eq(pointPin.filmId, filmId), isCountingPin));
  return {
    ...{ timeline: known!.timeline!, frames: known!.frames ?? 0, pieces, holder, again, pins },
    picture: { width: known!.width ?? 0, height: known!.height ?? 0 },
  };
}
