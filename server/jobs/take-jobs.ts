import type { Logger } from 'pino';
import { Stopped } from '../media/program.ts';
import type { Queue } from './queue.ts';
import { rescue } from './rescue.ts';
import { addMissingSteps, workOnFilm, type ImportServices } from './work-on-film.ts';

/** How often lost work is looked for. */
const rescueEvery = 5000;

/** Takes jobs until the queue is stopped. What follows a review is asked for again, behind films that nobody can review yet. */
export async function takeJobs(services: ImportServices, queue: Queue, log: Logger): Promise<void> {
  await queue.work(async (filmId, part) => {
    log.info({ filmId, part }, 'work begins');
    try {
      const more = await workOnFilm(services, filmId, part === 'rest');
      if (more) await queue.importFilm(filmId, 'rest');
    } catch (error) {
      if (error instanceof Stopped) return;
      log.error(error);
      throw error;
    }
    log.info({ filmId, part }, 'work ends');
  });
  for (const filmId of await addMissingSteps(services)) await queue.importFilm(filmId, 'rest');
  const look = (): Promise<unknown> => rescue(services.db, queue).catch((error: unknown) => log.error(error));
  await look();
  const looking = setInterval(() => void look(), rescueEvery);
  services.ending?.addEventListener('abort', () => clearInterval(looking));
}
