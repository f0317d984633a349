import { hostname } from 'node:os';
import { sql } from 'drizzle-orm';
import { connect } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { workerSign } from '../db/schema/index.ts';
import { learnSpread } from '../features/answers/learned-spread.ts';
import { protectedBy } from '../media/cage.ts';
import { openLog } from '../log.ts';
import { registryOf, serveMetrics } from '../metrics/serve-metrics.ts';
import { watchSteps } from '../metrics/watch-worker.ts';
import { settingsFrom } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import { openQueue } from './queue.ts';
import { takeJobs } from './take-jobs.ts';
import { tidyDrafts } from './tidy-drafts.ts';

/** How often a worker says that it is alive. */
const signEvery = 4000;

// Films, sound and logs are for the account that runs this, and for nobody else on the machine.
process.umask(0o077);
const settings = settingsFrom(process.env);
const log = openLog(settings.logLevel, 'worker');
const connection = connect(settings.databaseUrl);
const { db, pool, close } = connection;
await migrateDatabase(connection);
const queue = await openQueue(settings.databaseUrl, pool, (error) => log.error(error));
const worker = `${hostname()}-${process.pid}`;
const ending = new AbortController();

const sign = async (): Promise<void> => {
  await db
    .insert(workerSign)
    .values({ worker, seenAt: sql`now()` })
    .onConflictDoUpdate({ target: workerSign.worker, set: { seenAt: sql`now()` } })
    .catch((error: unknown) => log.error(error));
};
await sign();
const signing = setInterval(() => void sign(), signEvery);

const { host, workerMetricsPort } = settings;
const registry = registryOf('worker');
const metrics = workerMetricsPort === undefined ? undefined : serveMetrics(registry, { port: workerMetricsPort, host }, log);

await tidyDrafts(db, settings.home);
await takeJobs(
  {
    ...{ db, storage: storageFrom(settings), home: settings.home, pose: settings.pose, worker },
    ...{ ending: ending.signal, ended: watchSteps(registry) },
  },
  queue,
  log,
);
await queue.everyNight(() => learnSpread(db));
log.info({ cage: protectedBy() }, 'worker is ready');

const stop = async (): Promise<void> => {
  clearInterval(signing);
  metrics?.close();
  ending.abort();
  await queue.stop().catch(() => undefined);
  await close();
  process.exit(0);
};
process.once('SIGTERM', () => void stop());
process.once('SIGINT', () => void stop());
