import { join } from 'node:path';
import { appOf } from './app.ts';
import { connect } from './db/connection.ts';
import { migrateDatabase } from './db/migrate.ts';
import { endOldRemovals } from './features/removals/removals.ts';
import { forgetAgain } from './features/consents/forget-films.ts';
import { endJournal } from './features/journal/queries.ts';
import { openQueue } from './jobs/queue.ts';
import { openLog } from './log.ts';
import { registryOf, serveMetrics } from './metrics/serve-metrics.ts';
import { watchClub, watchRequests } from './metrics/watch-server.ts';
import { settingsFrom } from './settings.ts';
import { storageFrom } from './storage/open.ts';

// Films, sound and logs are for the account that runs this, and for nobody else on the machine.
process.umask(0o077);
const settings = settingsFrom(process.env);
const log = openLog(settings.logLevel, 'server');
const connection = connect(settings.databaseUrl);
await migrateDatabase(connection);
const storage = storageFrom(settings);
await storage.check();
const queue = await openQueue(settings.databaseUrl, connection.pool, (error) => log.error(error));
const registry = registryOf('server');
const app = appOf(
  { ...connection, settings, storage, queue, log },
  join(import.meta.dirname, '../web/dist'),
  watchRequests(registry),
);
watchClub(registry, connection, () => app.locals.kept.counts);

const { host, port, metricsPort } = settings;
const metrics = metricsPort === undefined ? undefined : serveMetrics(registry, { port: metricsPort, host }, log);
const server = app.listen(port, host, (error) => {
  if (!error) return log.info({ port }, 'serving');
  log.fatal(error);
  process.exit(1);
});

/** What somebody has withdrawn is gone within a minute, whatever was in the middle of being made of it; what was removed after a day. */
const forgetEvery = 60_000;
const forget = (): void => {
  const services = { ...connection, storage, settings };
  void forgetAgain(services)
    .then(() => endOldRemovals(services))
    .catch((error: unknown) => log.error(error));
};
forget();
const forgetting = setInterval(forget, forgetEvery);

const endOld = (): void => void endJournal(connection.db, settings.journalDays).catch((error: unknown) => log.error(error));
endOld();
const ending = setInterval(endOld, 24 * 3_600_000);

const stop = (): void => {
  clearInterval(forgetting);
  clearInterval(ending);
  metrics?.close();
  server.close(() => void Promise.allSettled([queue.stop(), connection.close()]).then(() => process.exit(0)));
  server.closeAllConnections();
};
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
