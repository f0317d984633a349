import type { Logger } from 'pino';
import { Stopped } from '../media/program.ts';
import type { Queue } from './queue.ts';
import { rescue } from './rescue.ts';
import { workOnClip, type ImportSurroundings } from './work-on-clip.ts';

/** How often lost work is looked for. */
const rescueEvery = 5000;

/** Takes jobs until the queue is stopped. What follows a review is asked for again, behind films that nobody can review yet. */
export async function takeJobs(surroundings: ImportSurroundings, queue: Queue, log: Logger): Promise<void> {
  await queue.work(async (clipId, part) => {
    log.info({ clipId, part }, 'work begins');
    try {
      const more = await workOnClip(surroundings, clipId, part === 'rest');
      if (more) await queue.importClip(clipId, 'rest');
    } catch (error) {
      if (error instanceof Stopped) return;
      log.error(error);
      throw error;
    }
    log.info({ clipId, part }, 'work ends');
  });
  const look = (): Promise<unknown> => rescue(surroundings.db, queue).catch((error: Error) => log.error(error));
  await look();
  const looking = setInterval(() => void look(), rescueEvery);
  surroundings.ending?.addEventListener('abort', () => clearInterval(looking));
}
