import { joinPacked, unpackTrack } from '@wax-fist/core/body';
import { frameAt, unpackTimeline } from '@wax-fist/core/film';
import { secondPassTellsOf } from '@wax-fist/core/measure';
import { noHitEdits } from '@wax-fist/core/sound';
import { believedStrikes, guessedMoments, type StrikeMoments } from '@wax-fist/core/strikes';
import { isOneStrike, shippedCatalogue, thrownAs } from '@wax-fist/core/technique';
import { and, asc, eq } from 'drizzle-orm';
import { forgetOutdated, piecesThere } from '../../db/film-pieces.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { filmHits, filmPoints, secondPassPoints, strike } from '../../db/schema/index.ts';
import { catalogueAt } from '../../features/checklists/versions.ts';
import { framesIn } from '../../pose/film-points.ts';
import { lookAgain, notYetIn, piecesRound } from '../../pose/second-pass.ts';
import type { StepWork } from '../import-step.ts';
import { keepPiece } from './keep-piece.ts';
import { filmToWatch } from './pose.ts';
import { sessionOfFilm } from './session-of-film.ts';

/** Strikes of which a second pass tells more than the first: those of coaches, and those that were found by ear and eye. */
async function strikesToLookAt({ db, film }: StepWork): Promise<Pick<StrikeMoments, 'launchFrame' | 'homeFrame'>[]> {
  const { stance, checklistVersion } = await sessionOfFilm({ db, film });
  const catalogue = (await catalogueAt(db, checklistVersion)) ?? shippedCatalogue;
  const technique = (id: string) => {
    const known = catalogue.techniques.get(id);
    return known && secondPassTellsOf({ view: film.view, stance }, known) ? known : undefined;
  };
  const marked = await db
    .select({ technique: strike.technique, part: strike.part, ...momentColumns })
    .from(strike)
    .where(and(eq(strike.filmId, film.id), eq(strike.removed, false)));
  const [heard] = await db.select({ both: filmHits.both }).from(filmHits).where(eq(filmHits.filmId, film.id));
  const timeline = unpackTimeline(film.timeline!);
  return [
    ...marked.filter((one) => isOneStrike(catalogue, one) && technique(thrownAs(catalogue, one))),
    ...believedStrikes(heard?.both ?? [], noHitEdits).flatMap(({ time, names: [likeliest] }) => {
      const thrown = likeliest && technique(likeliest.technique);
      return thrown ? [guessedMoments(timeline, thrown, frameAt(timeline, time), 'found')] : [];
    }),
  ];
}

/**
 * Goes over strikes once more with the largest model, where that tells more of them, and where the first pass was made with the one
 * that its trials go by. It takes four times as long as the film, so every other film goes first.
 */
export async function secondPassStep(work: StepWork): Promise<void> {
  const { db, film, pose, progress, signal } = work;
  const filmId = film.id;
  if (pose !== 'full') return;
  await forgetOutdated(db, filmId, secondPassPoints, ['version', 'revision']);
  const first = await db.select().from(filmPoints).where(eq(filmPoints.filmId, filmId)).orderBy(asc(filmPoints.fromFrame));
  const strikes = await strikesToLookAt(work);
  if (first.length === 0 || strikes.length === 0) return;
  const track = joinPacked(
    first.map(({ fromFrame, packed }) => ({ from: fromFrame, packed })),
    film.frames!,
  );
  const watched = await filmToWatch(work);
  const followed = first.map(({ fromFrame, frames }) => ({ from: fromFrame, frames }));
  const wanted = piecesRound(watched.timeline, strikes, followed);
  const left = notYetIn(wanted, await piecesThere(db, filmId, secondPassPoints));
  await lookAgain(watched, unpackTrack(0, track), left, {
    before: framesIn(wanted) - framesIn(left),
    async onPiece(fromFrame, frames, packed) {
      const { version, revision } = first.findLast((piece) => fromFrame >= piece.fromFrame)!;
      const row = { filmId, fromFrame, frames, model: 'heavy', version, revision, packed: Buffer.from(packed) };
      await keepPiece(work, secondPassPoints, row);
    },
    progress,
    signal,
  });
}
