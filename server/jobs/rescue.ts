import { and, eq, inArray, lt, sql } from 'drizzle-orm';
import type { Database } from '../db/connection.ts';
import { clipStep } from '../db/schema/index.ts';
import type { Queue } from './queue.ts';
import { giveUp, mostAttempts } from './work-on-clip.ts';

/** A worker that has not touched its step for so long is dead; it does every second. */
const deadAfter = sql`interval '15 seconds'`;
/** A step that waits for longer may have lost its job; asking again does no harm. */
const forgottenAfter = sql`interval '30 seconds'`;

/**
 * Gives steps of dead workers back, and asks again for clips whose job was lost, as after a crash between two statements.
 * @returns how many clips were asked for
 */
export async function rescue(db: Database, queue: Queue): Promise<number> {
  const broken = await db
    .update(clipStep)
    .set({ state: 'waiting', reason: 'The worker went away; the step begins again.', touchedAt: sql`now()` })
    .where(and(eq(clipStep.state, 'working'), lt(clipStep.touchedAt, sql`now() - ${deadAfter}`)))
    .returning({ clipId: clipStep.clipId, step: clipStep.step, attempts: clipStep.attempts });
  for (const { clipId, step, attempts } of broken) {
    if (attempts >= mostAttempts) await giveUp(db, clipId, step, `It broke off ${mostAttempts} times, each time with its worker. The original is safe; try again.`); // prettier-ignore
  }
  const forgotten = await db
    .update(clipStep)
    .set({ touchedAt: sql`now()` })
    .where(and(inArray(clipStep.state, ['waiting']), lt(clipStep.touchedAt, sql`now() - ${forgottenAfter}`)))
    .returning({ clipId: clipStep.clipId });
  const clips = new Set([...broken, ...forgotten].map(({ clipId }) => clipId));
  for (const clipId of clips) await queue.importClip(clipId);
  return clips.size;
}
