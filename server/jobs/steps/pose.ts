import { unpackTimeline } from '@wax-fist/core/film';
import { hitsOf, noHitEdits } from '@wax-fist/core/sound';
import type { Ms } from '@wax-fist/core/units';
import { withPacked } from '@wax-fist/core/body';
import { and, asc, eq, gt, lt, ne, or, sql } from 'drizzle-orm';
import { filmPieces, piecesThere } from '../../db/film-pieces.ts';
import { filmHits, filmPoints, pointedBody } from '../../db/schema/index.ts';
import { poseVersion, watchFilm, type FilmToWatch } from '../../pose/film-points.ts';
import { followPointedOut } from '../../pose/follow-again.ts';
import type { StepWork } from '../import-step.ts';
import { keepPiece } from './keep-piece.ts';

/** When something lands, as far as is known by now: there it is begun. */
async function hitsIn({ db, film }: StepWork): Promise<Ms[]> {
  const [heard] = await db.select({ sound: filmHits.sound }).from(filmHits).where(eq(filmHits.filmId, film.id));
  return heard?.sound ? hitsOf({ sound: heard.sound }, noHitEdits).map(({ time }) => time) : [];
}

/** A film as a body is followed in it. */
export const filmToWatch = async (work: StepWork): Promise<FilmToWatch> => ({
  path: await work.storage.bring(work.film.id, 'film.mp4'),
  timeline: unpackTimeline(work.film.timeline!),
  ...{ firstFrameAt: work.film.firstFrameAt!, width: work.film.width!, height: work.film.height!, size: work.pose! },
  hits: await hitsIn(work),
});

/** Follows the body of whoever strikes, piece by piece; pieces that another worker has finished stay. */
export async function poseStep(work: StepWork): Promise<void> {
  const { db, film, pose: size, progress, signal } = work;
  const [filmId, model] = [film.id, size!];
  // What was found otherwise than it would be now is found anew.
  const other = or(ne(filmPoints.model, model), ne(filmPoints.version, poseVersion));
  const outdated = await db
    .delete(filmPoints)
    .where(and(eq(filmPoints.filmId, filmId), other))
    .returning({ from: filmPoints.fromFrame });
  if (outdated.length > 0) await db.update(pointedBody).set({ followed: false }).where(eq(pointedBody.filmId, filmId));
  const watched = await filmToWatch(work);
  await watchFilm(watched, {
    done: await piecesThere(db, filmId, filmPoints),
    async onPiece(fromFrame, frames, packed) {
      const row = { filmId, fromFrame, frames, model, version: poseVersion, packed: Buffer.from(packed) };
      await keepPiece(work, filmPoints, row);
    },
    progress,
    signal,
  });
  await followPointedBodies(work, watched);
}

/** Writes what a part of a film was found to be over what was found there before. */
async function overwrite({ db, film }: StepWork, from: number, frames: number, packed: Uint8Array): Promise<void> {
  const touched = and(
    eq(filmPoints.filmId, film.id),
    lt(filmPoints.fromFrame, from + frames),
    gt(sql`${filmPoints.fromFrame} + ${filmPoints.frames}`, from),
  );
  await db.transaction(async (tx) => {
    for (const piece of await tx.select().from(filmPoints).where(touched).for('update')) {
      const both = withPacked({ from: piece.fromFrame, packed: new Uint8Array(piece.packed) }, { from, packed });
      await tx
        .update(filmPoints)
        .set({ packed: Buffer.from(both), revision: piece.revision + 1 })
        .where(and(eq(filmPoints.filmId, film.id), eq(filmPoints.fromFrame, piece.fromFrame)));
    }
  });
}

/** Follows whom coaches have pointed out since, one after the other. */
async function followPointedBodies(work: StepWork, watched: FilmToWatch): Promise<void> {
  const { db, film, progress, signal } = work;
  const said = await db.select().from(pointedBody).where(eq(pointedBody.filmId, film.id)).orderBy(asc(pointedBody.saidAt));
  for (const { id, frame, x, y, side } of said.filter(({ followed }) => !followed)) {
    const before = await filmPieces(db, film.id);
    const others = said.map((one) => one.frame).filter((one) => one !== frame);
    const onPiece = (from: number, frames: number, packed: Uint8Array) => overwrite(work, from, frames, packed);
    const body = { frame, round: { x, y, side, turn: 0 } };
    await followPointedOut(watched, body, before, others, { onPiece, progress, signal });
    await db.update(pointedBody).set({ followed: true }).where(eq(pointedBody.id, id));
  }
}
