import { eq } from 'drizzle-orm';
import { filmPieces } from '../../db/film-pieces.ts';
import { filmHits, trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { heavily } from '../heavy.ts';
import type { StepWork } from '../import-step.ts';

/** Finds and names the strikes of whoever was followed, by ear and eye; where nobody was, by ear alone. */
export async function strikesStep({ db, film, signal }: StepWork): Promise<void> {
  const [heard] = await db.select({ sound: filmHits.sound }).from(filmHits).where(eq(filmHits.filmId, film.id));
  const { stance } = found(
    await db
      .select({ stance: trainee.stance })
      .from(trainingSession)
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(trainingSession.id, film.sessionId)),
    'session',
  );
  const pieces = await filmPieces(db, film.id);
  const searched = {
    timeline: film.timeline!,
    frames: film.frames!,
    pieces,
    view: film.view,
    stance: film.stance ?? stance,
    heard: heard?.sound ?? [],
  };
  const both = await heavily('strikesIn', searched, { signal });
  await db.insert(filmHits).values({ filmId: film.id, both }).onConflictDoUpdate({ target: filmHits.filmId, set: { both } });
}
