import { createServer } from 'node:http';
import { join } from 'node:path';
import { appOf } from './app.ts';
import { openHouse } from './clubs/house.ts';
import { noClub } from './clubs/no-club.ts';
import { openClubs } from './clubs/open-clubs.ts';
import { tendClubs } from './clubs/tend-clubs.ts';
import { openJobs } from './jobs/queue.ts';
import { workersAlive } from './jobs/worker-signs.ts';
import { openLog } from './log.ts';
import { registryOf, serveMetrics } from './metrics/serve-metrics.ts';
import { watchClubs, watchRequests } from './metrics/watch-server.ts';
import { settingsFrom } from './settings.ts';
import { storageFrom } from './storage/open.ts';

// Films, sound and logs are for the account that runs this, and for nobody else on the machine.
process.umask(0o077);
const settings = settingsFrom(process.env);
const log = openLog(settings.logLevel, 'server');
const house = await openHouse(settings);
const jobs = await openJobs(settings.databaseUrl, house.pool, (error) => log.error(error));
const registry = registryOf('server');
const watching = watchRequests(registry);
const workers = (): Promise<number> => workersAlive(house.db);
const clubs = await openClubs(house, settings, log, (club) => {
  const services = { ...club, queue: jobs.queueOf(club.id), workersAlive: workers, log };
  return { club, app: appOf(services, join(import.meta.dirname, '../web/dist'), watching) };
});
watchClubs(registry, () => [...clubs.open.values()].map(({ club, app }) => ({ ...club, answers: app.locals.kept.counts })));
const stopTending = tendClubs(() => [...clubs.open.values()].map(({ club }) => club), log);

const { host, port, metricsPort } = settings;
const metrics = metricsPort === undefined ? undefined : serveMetrics(registry, { port: metricsPort, host }, log);
const elsewhere = noClub({ db: house.db, storage: storageFrom(settings), workersAlive: workers });
const server = createServer((request, response) => (clubs.at(request.headers.host)?.app ?? elsewhere)(request, response));
// Longer than proxies keep a connection on which nothing is asked, which is a minute: when the server closes it first, what is asked
// at that moment is lost.
server.keepAliveTimeout = 75_000;
server.once('error', (error) => {
  log.fatal(error);
  process.exit(1);
});
server.listen(port, host, () => log.info({ port, clubs: clubs.open.size }, 'serving'));

const stop = (): void => {
  stopTending();
  metrics?.close();
  server.close(
    () =>
      void Promise.allSettled([jobs.stop(), clubs.close()])
        .then(() => house.close())
        .then(() => process.exit(0)),
  );
  server.closeAllConnections();
};
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
