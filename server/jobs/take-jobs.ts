import { setTimeout as pause } from 'node:timers/promises';
import type { Logger } from 'pino';
import { onlyClubId } from '../clubs/open-clubs.ts';
import { Stopped } from '../media/program.ts';
import type { Jobs } from './queue.ts';
import { rescue } from './rescue.ts';
import { addMissingSteps, workOnFilm, type ImportServices } from './work-on-film.ts';

/** How often lost work is looked for. Milliseconds. */
const rescueEvery = 5000;
/** Between two clubs, where there are so many that one round takes longer. Milliseconds. */
const betweenClubs = 100;

/** Clubs for which a worker works, by their ids; they come and go. */
export type WorkedClubs = Pick<ReadonlyMap<string, ImportServices>, 'keys' | 'get'>;

/** Takes jobs until the queue is stopped. What follows a review is asked for again, behind films that nobody can review yet. */
export async function takeJobs(clubs: WorkedClubs, jobs: Jobs, log: Logger, ending?: AbortSignal): Promise<void> {
  await jobs.work(async ({ clubId = onlyClubId, filmId, part, madeUpFor }) => {
    const services = clubs.get(clubId);
    // Closed since: what is to be done stands in its database, and is asked for again when it is opened.
    if (!services) return;
    log.info({ clubId, filmId, part }, 'work begins');
    try {
      const more = await workOnFilm({ ...services, othersWait: () => jobs.isAskedForSooner({ part, madeUpFor }) }, filmId, part);
      if (more) await jobs.queueOf(clubId).importFilm(filmId, more, madeUpFor);
    } catch (error) {
      if (error instanceof Stopped) return;
      log.error(error);
      throw error;
    }
    log.info({ clubId, filmId, part }, 'work ends');
  });
  const lookedAt = new Set<string>();
  const look = async (clubId: string): Promise<void> => {
    const services = clubs.get(clubId);
    if (!services) return;
    const queue = jobs.queueOf(clubId);
    if (!lookedAt.has(clubId)) for (const filmId of await addMissingSteps(services)) await queue.importFilm(filmId, 'rest', true);
    lookedAt.add(clubId);
    await rescue(services.db, queue);
  };
  /** Looks at one club after the other. */
  const lookAtAll = async (): Promise<void> => {
    const ids = [...clubs.keys()];
    for (const id of ids) {
      await look(id).catch((error: unknown) => log.error(error));
      if (ids.length > 1) await pause(betweenClubs);
      if (ending?.aborted) break;
    }
  };
  await lookAtAll();
  void (async () => {
    while (!ending?.aborted) {
      await pause(rescueEvery, undefined, { signal: ending, ref: false }).catch(() => undefined);
      if (!ending?.aborted) await lookAtAll();
    }
  })();
}
