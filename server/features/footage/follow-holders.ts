import { padKinds } from '@wax-fist/core/rounds';
import { and, eq, exists, inArray, notExists } from 'drizzle-orm';
import { film, filmPoints, filmStep, holderPoints, trainingSession } from '../../db/schema/index.ts';
import { begunAnew } from '../../jobs/import-step.ts';
import type { Services } from '../../services.ts';

/** Has whoever holds followed in the films of a session that is said to be on pads, where that was not known when they were worked in. */
export async function followHolders({ db, queue }: Pick<Services, 'db' | 'queue'>, sessionId: string): Promise<void> {
  const onPads = db
    .select({ id: film.id })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(eq(film.sessionId, sessionId), inArray(trainingSession.roundKind, [...padKinds])));
  const followed = db.select({ id: holderPoints.filmId }).from(holderPoints).where(eq(holderPoints.filmId, filmStep.filmId));
  const beside = db.select({ id: filmPoints.filmId }).from(filmPoints).where(eq(filmPoints.filmId, filmStep.filmId));
  const anew = await db
    .update(filmStep)
    .set(begunAnew)
    .where(
      and(
        ...[eq(filmStep.step, 'holder'), eq(filmStep.state, 'done'), inArray(filmStep.filmId, onPads)],
        ...[exists(beside), notExists(followed)],
      ),
    )
    .returning({ filmId: filmStep.filmId });
  for (const { filmId } of anew) await queue.importFilm(filmId);
}
