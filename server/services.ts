import type { Logger } from 'pino';
import type { Connection } from './db/connection.ts';
import type { Queue } from './jobs/queue.ts';
import type { Settings } from './settings.ts';
import type { Storage } from './storage/storage.ts';

/** What every feature of the server may reach: the outside world, in one place. */
export interface Services extends Connection {
  settings: Settings;
  storage: Storage;
  queue: Queue;
  /** How many workers have given a sign of life lately. */
  workersAlive: () => Promise<number>;
  log: Logger;
}
