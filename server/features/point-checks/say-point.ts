import type { SaidPoint } from '@wax-fist/contract/point-checks';
import { bodySizeOf, pointAt, pointIn } from '@wax-fist/core/body';
import { pointSeen } from '@wax-fist/core/measure';
import { eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { pieceWith } from '../../db/film-pieces.ts';
import { leads } from '../../db/of-film.ts';
import { film, pointCheck, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';

/**
 * Writes down where a coach sees a point, together with where the model had found it. Whoever says it again under the same id puts
 * themselves right.
 * @throws Refusal when nobody was found in that frame, or somebody else has said this
 */
export async function sayPoint(
  db: Database,
  id: string,
  { filmId, frame, point, x, y }: SaidPoint,
  saidBy: string,
): Promise<void> {
  const { view, stance } = found(
    await db
      .select({ view: film.view, stance: leads })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(film.id, filmId)),
    'film',
  );
  const track = await pieceWith(db, filmId, frame);
  const there = track && pointIn(track, frame, pointAt[point]);
  const size = track && bodySizeOf(track);
  if (!there || !size) throw new Refusal(409, 'Nobody was found in this frame, so there is nothing to check.');
  const said = { x, y, foundX: there.x, foundY: there.y, trunk: size.torso, seen: pointSeen({ view, stance }, point) };
  const [written] = await db
    .insert(pointCheck)
    .values({ id, filmId, frame, point, ...said, saidBy })
    .onConflictDoUpdate({
      target: pointCheck.id,
      set: said,
      setWhere: sql`${pointCheck.saidBy} = ${saidBy} and ${pointCheck.filmId} = ${filmId} and ${pointCheck.frame} = ${frame} and ${pointCheck.point} = ${point}`,
    })
    .returning({ id: pointCheck.id });
  if (!written) throw new Refusal(409, 'This was said of another point.');
}
