import { and, eq, inArray } from 'drizzle-orm';
import { filmStep } from '../../db/schema/index.ts';
import { begunAnew } from '../../jobs/import-step.ts';
import { stepsFrom } from '../../jobs/import-steps.ts';
import type { Services } from '../../services.ts';

/** Has strikes found and named anew, and what follows from them, where it was told otherwise since from where a film was taken. */
export async function nameStrikesAnew({ db, queue }: Pick<Services, 'db' | 'queue'>, filmId: string): Promise<void> {
  const anew = await db
    .update(filmStep)
    .set(begunAnew)
    .where(and(eq(filmStep.filmId, filmId), inArray(filmStep.step, stepsFrom('strikes')), eq(filmStep.state, 'done')))
    .returning({ step: filmStep.step });
  if (anew.length > 0) await queue.importFilm(filmId, 'rest');
}
