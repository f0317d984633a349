import { alignSounds, soundOfWave, type Sound } from '@wax-fist/core/sound';
import { and, eq, gt, ne, sql } from 'drizzle-orm';
import { readFile } from 'node:fs/promises';
import { film, filmAlignment, filmStep } from '../../db/schema/index.ts';
import type { StepWork } from '../import-step.ts';

/** Longer films are tied by hand: what they have in common would take too long to find. Milliseconds. */
const longest = 30 * 60_000;

/** Puts the film on one clock with the others of its session that can be heard. */
export async function viewsStep({ db, storage, film: one, progress }: StepWork): Promise<void> {
  if (one.duration! > longest) return;
  const heard = async (filmId: string): Promise<Sound> => soundOfWave(await readFile(await storage.bring(filmId, 'sound.wav')));
  const others = await db
    .select({ id: film.id, duration: film.duration })
    .from(film)
    .innerJoin(filmStep, and(eq(filmStep.filmId, film.id), eq(filmStep.step, 'sound'), eq(filmStep.state, 'done')))
    .where(and(eq(film.sessionId, one.sessionId), ne(film.id, one.id), gt(film.duration, 0)));
  const own = others.length > 0 ? await heard(one.id) : undefined;
  for (const [place, other] of others.entries()) {
    progress(place / others.length);
    if (!own || other.duration! > longest) continue;
    const theirs = await heard(other.id);
    const [filmId, otherId] = [one.id, other.id].sort() as [string, string];
    const [first, second] = filmId === one.id ? [own, theirs] : [theirs, own];
    const found = alignSounds(first.samples, second.samples, first.sampleRate);
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
