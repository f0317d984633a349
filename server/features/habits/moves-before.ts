import { filmsOfOneSide, type MovedBefore } from '@wax-fist/core/habits';
import { momentsOf } from '@wax-fist/core/strikes';
import { isOneStrike, thrownAs, type Catalogue } from '@wax-fist/core/technique';
import { eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { leads } from '../../db/of-film.ts';
import { packedFilm } from '../../db/packed-film.ts';
import { film, trainee, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import type { taggedStrikes } from '../measures/tagged-strikes.ts';

/** What moves before each of some strikes of one session, as far as bodies were followed. */
export async function movesBeforeStrikes(
  db: Database,
  tagged: Awaited<ReturnType<typeof taggedStrikes>>,
  catalogue: Catalogue,
): Promise<MovedBefore[]> {
  const known = new Map(tagged.map((one) => [one.strikeId, one]));
  const before: MovedBefore[] = [];
  for (const strikes of filmsOfOneSide(tagged)) {
    const { filmId } = known.get(strikes[0]!.id)!;
    const [seen] = await db
      .select({ view: film.view, stance: leads })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(film.id, filmId));
    const timed = strikes.flatMap(({ id }) => {
      const row = known.get(id)!;
      const technique = thrownAs(catalogue, row);
      const thrown = isOneStrike(catalogue, row) ? catalogue.techniques.get(technique) : undefined;
      if (!thrown) return [];
      const { side, kind, checkpoints } = thrown;
      return [{ id, technique, moments: momentsOf(row), thrown: { side, kind, checkpoints } }];
    });
    before.push(...(await heavily('movesBeforeStrikes', { ...(await packedFilm(db, filmId)), ...seen!, strikes: timed })));
  }
  return before;
}
