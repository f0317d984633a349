import { joinPacked, unpackTrack } from '@wax-fist/core/body';
import { padKinds } from '@wax-fist/core/rounds';
import { and, eq, inArray } from 'drizzle-orm';
import { forgetOutdated, piecesThere } from '../../db/film-pieces.ts';
import { filmPoints, holderPoints, trainingSession } from '../../db/schema/index.ts';
import { besides, watchFilm } from '../../pose/film-points.ts';
import type { StepWork } from '../import-step.ts';
import { keepPiece } from './keep-piece.ts';
import { filmToWatch } from './pose.ts';

const isOnPads = async ({ db, film }: StepWork): Promise<boolean> =>
  (await db.$count(
    trainingSession,
    and(eq(trainingSession.id, film.sessionId), inArray(trainingSession.roundKind, [...padKinds])),
  )) > 0;

/** In rounds on pads, follows whoever holds: the one beside whoever strikes, piece by piece as that was followed. */
export async function holderStep(work: StepWork): Promise<void> {
  const { db, film, progress, signal } = work;
  const filmId = film.id;
  if (!(await isOnPads(work))) return;
  await forgetOutdated(db, filmId, holderPoints, ['model', 'version', 'revision']);
  const pieces = await db.select().from(filmPoints).where(eq(filmPoints.filmId, filmId));
  const striker = joinPacked(
    pieces.map(({ fromFrame, packed }) => ({ from: fromFrame, packed })),
    film.frames!,
  );
  await watchFilm(await filmToWatch(work), {
    done: await piecesThere(db, filmId, holderPoints),
    butNot: besides(unpackTrack(0, striker)),
    async onPiece(fromFrame, frames, packed) {
      const beside = pieces.find((piece) => fromFrame >= piece.fromFrame && fromFrame < piece.fromFrame + piece.frames);
      if (!beside) return;
      const { model, version, revision } = beside;
      const row = { filmId, fromFrame, frames, model, version, revision, packed: Buffer.from(packed) };
      await keepPiece(work, holderPoints, row);
    },
    progress,
    signal,
  });
}
