import { and, eq, gt, ne, sql } from 'drizzle-orm';
import { film, filmAlignment, filmStep } from '../../db/schema/index.ts';
import { heavily } from '../heavy.ts';
import type { StepWork } from '../import-step.ts';

/** Longer films are tied by hand: what they have in common would take too long to find. Milliseconds. */
const longest = 30 * 60_000;

/** Puts the film on one clock with the others of its session that can be heard. */
export async function viewsStep({ db, storage, film: one, progress, signal }: StepWork): Promise<void> {
  if (one.duration! > longest) return;
  const others = await db
    .select({ id: film.id, duration: film.duration })
    .from(film)
    .innerJoin(filmStep, and(eq(filmStep.filmId, film.id), eq(filmStep.step, 'sound'), eq(filmStep.state, 'done')))
    .where(and(eq(film.sessionId, one.sessionId), ne(film.id, one.id), gt(film.duration, 0)));
  for (const [place, other] of others.entries()) {
    progress(place / others.length);
    if (other.duration! > longest) continue;
    const [filmId, otherId] = [one.id, other.id].sort() as [string, string];
    const [wave, otherWave] = await Promise.all([filmId, otherId].map((id) => storage.bring(id, 'sound.wav')));
    const found = await heavily('align', { wave: wave!, other: otherWave! }, { signal });
    if (!found) continue;
    await db
      .insert(filmAlignment)
      .values({ filmId, otherId, ...found })
      // What a coach has tied by hand stays.
      .onConflictDoUpdate({
        target: [filmAlignment.filmId, filmAlignment.otherId],
        set: found,
        setWhere: sql`${filmAlignment.fit} is not null`,
      });
  }
}
