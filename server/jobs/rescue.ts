import { group } from 'd3-array';
import { and, eq, lt, notInArray, sql } from 'drizzle-orm';
import type { Database } from '../db/connection.ts';
import { filmStep } from '../db/schema/index.ts';
import type { Queue } from './queue.ts';
import { firstPart, giveUp, mostAttempts } from './work-on-film.ts';

/** A worker that has not touched its step for so long is dead; it does every second. */
const deadAfter = sql`interval '15 seconds'`;
/** A step that waits for longer may have lost its job; asking again does no harm. */
const forgottenAfter = sql`interval '30 seconds'`;

/**
 * Gives steps of dead workers back, and asks again for films whose job was lost, as after a crash between two statements.
 * @returns how many films were asked for
 */
export async function rescue(db: Database, queue: Queue): Promise<number> {
  const broken = await db
    .update(filmStep)
    .set({ state: 'waiting', reason: 'The worker went away; the step begins again.', touchedAt: sql`now()` })
    .where(and(eq(filmStep.state, 'working'), lt(filmStep.touchedAt, sql`now() - ${deadAfter}`)))
    .returning({ filmId: filmStep.filmId, step: filmStep.step, attempts: filmStep.attempts });
  for (const { filmId, step, attempts } of broken) {
    if (attempts >= mostAttempts)
      await giveUp(
        db,
        filmId,
        step,
        `It broke off ${mostAttempts} times, each time with its worker. The original is safe; try again.`,
      );
  }
  const working = db.select({ id: filmStep.filmId }).from(filmStep).where(eq(filmStep.state, 'working'));
  const forgotten = await db
    .update(filmStep)
    .set({ touchedAt: sql`now()` })
    .where(
      and(
        ...[eq(filmStep.state, 'waiting'), lt(filmStep.touchedAt, sql`now() - ${forgottenAfter}`)],
        notInArray(filmStep.filmId, working),
      ),
    )
    .returning({ filmId: filmStep.filmId, step: filmStep.step });
  const films = group([...broken, ...forgotten], ({ filmId }) => filmId);
  // Whoever waits behind others is not forgotten: asked for anew it would go before them.
  for (const filmId of await queue.areAskedFor([...films.keys()])) films.delete(filmId);
  // Each behind what it waits behind anyway: otherwise every rescue would put all of them in front again.
  for (const [filmId, steps] of films) await queue.importFilm(filmId, firstPart(steps.map(({ step }) => step)));
  return films.size;
}
