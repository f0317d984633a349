import type { Pool } from 'pg';
import PgBoss from 'pg-boss';
import { alone } from '../db/connection.ts';

const importQueue = 'import-film';
const nightQueue = 'every-night';
/** When nobody trains. */
const atNight = '30 3 * * *';
/** What leads to a review goes before what only adds to one, and both before what makes good numbers better. */
const priorities = { review: 10, rest: 0, later: -10 } as const;
export type ImportPart = keyof typeof priorities;
/** What is made up for in films that were there before goes behind the same part of what somebody waits for. */
const behindOthers = 5;
/** The higher, the sooner. */
const priorityOf = ({ part, madeUpFor = false }: Pick<Job, 'part' | 'madeUpFor'>): number =>
  priorities[part] - (madeUpFor ? behindOthers : 0);

export interface Job {
  /** The club of the film; empty, or absent in jobs of before, where the installation is one club. */
  clubId?: string;
  filmId: string;
  part: ImportPart;
  /** Nobody waits for it: it is made up for in a film that was there before. */
  madeUpFor?: boolean;
}

/** What a club asks for. */
export interface Queue {
  /** Asks any worker to work on this film. Asking twice before one has begun is asking once. */
  importFilm: (filmId: string, part?: ImportPart, madeUpFor?: boolean) => Promise<void>;
  /** Of these films, those for which a worker is still to be found. */
  areAskedFor: (filmIds: readonly string[]) => Promise<ReadonlySet<string>>;
}

/** The jobs of an installation, of all its clubs. */
export interface Jobs {
  queueOf: (clubId: string) => Queue;
  /** Takes jobs one at a time until stopped. */
  work: (onImport: (job: Job) => Promise<void>) => Promise<void>;
  /** Whether a film waits for a worker, of any club, for whose sake a job gives way. */
  isAskedForSooner: (than: Pick<Job, 'part' | 'madeUpFor'>) => Promise<boolean>;
  /** Does something every night, on one worker of all. */
  everyNight: (onNight: () => Promise<void>) => Promise<void>;
  stop: () => Promise<void>;
}

/** Jobs in the PostgreSQL of the installation. They only wake a worker; what is to be done stands in the steps of the film. */
export async function openJobs(databaseUrl: string, pool: Pool, onError: (error: Error) => void): Promise<Jobs> {
  const boss = new PgBoss({ connectionString: databaseUrl, max: 4 });
  boss.on('error', onError);
  await alone(pool, async () => {
    await boss.start();
    await boss.createQueue(importQueue, {
      name: importQueue,
      policy: 'short',
      retryLimit: 2,
      retryDelay: 2,
      retryBackoff: true,
      expireInHours: 12,
    });
    await boss.createQueue(nightQueue, { name: nightQueue, policy: 'short', retryLimit: 2, expireInHours: 2 });
    await boss.schedule(nightQueue, atNight);
  });
  return {
    queueOf: (clubId) => ({
      async importFilm(filmId, part = 'review', madeUpFor = false) {
        const job: Job = { clubId, filmId, part, madeUpFor };
        const priority = priorityOf(job);
        await boss.send(importQueue, job, { priority, singletonKey: `${filmId} ${priority}` });
      },
      async areAskedFor(filmIds) {
        const { rows } = await pool.query<{ film_id: string }>(
          `select data ->> 'filmId' film_id from pgboss.job where name = $1 and state < 'active' and data ->> 'filmId' = any($2)`,
          [importQueue, filmIds],
        );
        return new Set(rows.map((row) => row.film_id));
      },
    }),
    async work(onImport) {
      const options = { pollingIntervalSeconds: 0.5, batchSize: 1, priority: true };
      const worker: string = await boss.work<Job>(importQueue, options, async ([job]) => {
        // Where one was, there may be more: the next is looked for at once, and not when the interval is over.
        boss.notifyWorker(worker);
        if (job) await onImport(job.data);
      });
    },
    async isAskedForSooner(than) {
      const { rows } = await pool.query<{ waits: boolean }>(
        `select exists (select from pgboss.job where name = $1 and state < 'active' and priority > $2 and start_after <= now()) waits`,
        [importQueue, priorityOf(than)],
      );
      return rows[0]!.waits;
    },
    async everyNight(onNight) {
      await boss.work(nightQueue, { pollingIntervalSeconds: 60 }, onNight);
    },
    stop: () => boss.stop({ graceful: true, timeout: 3000, wait: true }),
  };
}
