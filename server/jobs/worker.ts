import { hostname } from 'node:os';
import { openHouse } from '../clubs/house.ts';
import { openClubs } from '../clubs/open-clubs.ts';
import { learnSpread } from '../features/answers/learned-spread.ts';
import { protectedBy } from '../media/cage.ts';
import { openLog } from '../log.ts';
import { registryOf, serveMetrics } from '../metrics/serve-metrics.ts';
import { watchSteps } from '../metrics/watch-worker.ts';
import { settingsFrom } from '../settings.ts';
import { lookAtNewStrikes } from './look-at-new-strikes.ts';
import { openJobs } from './queue.ts';
import { takeJobs } from './take-jobs.ts';
import { tidyDrafts } from './tidy-drafts.ts';
import { giveSign } from './worker-signs.ts';

/** How often a worker says that it is alive. */
const signEvery = 4000;

// Films, sound and logs are for the account that runs this, and for nobody else on the machine.
process.umask(0o077);
const settings = settingsFrom(process.env);
const log = openLog(settings.logLevel, 'worker');
const house = await openHouse(settings);
const jobs = await openJobs(settings.databaseUrl, house.pool, (error) => log.error(error));
const worker = `${hostname()}-${process.pid}`;
const ending = new AbortController();

const sign = (): Promise<unknown> => giveSign(house.db, worker).catch((error: unknown) => log.error(error));
await sign();
const signing = setInterval(() => void sign(), signEvery);

const { host, workerMetricsPort } = settings;
const registry = registryOf('worker');
const metrics = workerMetricsPort === undefined ? undefined : serveMetrics(registry, { port: workerMetricsPort, host }, log);

const ended = watchSteps(registry);
const clubs = await openClubs(house, settings, log, async ({ db, storage, settings: { home, pose, encoding } }) => {
  await tidyDrafts(house.db, home);
  return { db, storage, home, pose, encoding, worker, ending: ending.signal, ended };
});
await takeJobs(clubs.open, jobs, log, ending.signal);
await jobs.everyNight(async () => {
  for (const [clubId, { db }] of clubs.open) {
    await learnSpread(db);
    await lookAtNewStrikes(db, jobs.queueOf(clubId));
  }
});
log.info({ cage: protectedBy(), clubs: clubs.open.size }, 'worker is ready');

const stop = async (): Promise<void> => {
  clearInterval(signing);
  metrics?.close();
  ending.abort();
  await jobs.stop().catch(() => undefined);
  await clubs.close();
  await house.close();
  process.exit(0);
};
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
