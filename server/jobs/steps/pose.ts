import { unpackTimeline } from '@wax-fist/core/film';
import { hitsOf, noHitEdits } from '@wax-fist/core/sound';
import type { Ms } from '@wax-fist/core/units';
import { and, eq, ne, or } from 'drizzle-orm';
import { filmHits, filmPoints } from '../../db/schema/index.ts';
import { poseVersion, watchFilm } from '../../pose/film-points.ts';
import type { StepWork } from '../import-step.ts';

/** When something lands, as far as is known by now: there it is begun. */
async function hitsIn({ db, film }: StepWork): Promise<Ms[]> {
  const [heard] = await db.select({ sound: filmHits.sound }).from(filmHits).where(eq(filmHits.filmId, film.id));
  return heard?.sound ? hitsOf({ sound: heard.sound }, noHitEdits).map(({ time }) => time) : [];
}

/** Follows the body of whoever strikes, piece by piece; pieces that another worker has finished stay. */
export async function poseStep(work: StepWork): Promise<void> {
  const { db, storage, film, pose: size, progress, signal } = work;
  const [filmId, model] = [film.id, size!];
  // What was found otherwise than it would be now is found anew.
  const other = or(ne(filmPoints.model, model), ne(filmPoints.version, poseVersion));
  await db.delete(filmPoints).where(and(eq(filmPoints.filmId, filmId), other));
  const kept = await db.select({ from: filmPoints.fromFrame }).from(filmPoints).where(eq(filmPoints.filmId, filmId));
  const watched = {
    path: await storage.bring(filmId, 'film.mp4'),
    timeline: unpackTimeline(film.timeline!),
    ...{ firstFrameAt: film.firstFrameAt!, width: film.width!, height: film.height!, size: model },
    hits: await hitsIn(work),
  };
  await watchFilm(watched, {
    done: new Set(kept.map(({ from }) => from)),
    async onPiece(fromFrame, frames, packed) {
      const row = { filmId, fromFrame, frames, model, version: poseVersion, packed: Buffer.from(packed) };
      await db
        .insert(filmPoints)
        .values(row)
        .onConflictDoUpdate({ target: [filmPoints.filmId, filmPoints.fromFrame], set: row });
    },
    progress,
    signal,
  });
}
