import { asc, eq } from 'drizzle-orm';
import type { Logger } from 'pino';
import { connect, type Connection } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import type { Settings } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import type { Storage } from '../storage/storage.ts';
import { settingsOfClub } from './club-settings.ts';
import { club } from './register-schema.ts';

/** A club as a process has it open. */
export interface OpenClub extends Connection {
  /** Empty where the installation is one club. */
  id: string;
  settings: Settings;
  storage: Storage;
}

/** The clubs of an installation, one or many, each with what this process needs of it. */
export interface Clubs<T> {
  /** By their ids. Clubs come and go. */
  open: ReadonlyMap<string, T>;
  /** The club that a browser asks for by the host name it sends. */
  at: (host: string | undefined) => T | undefined;
  close: () => Promise<void>;
}

/** The id of the club of an installation that is one. */
export const onlyClubId = '';

/** How often the register is read: so long it takes until a club that was added or closed is. Milliseconds. */
const readEvery = 3000;
/** A process that has many clubs open holds few connections to each. */
const connectionsOfMany = 5;

/** A host name without its port, as it stands in the register. */
export const hostIn = (header = ''): string => header.toLowerCase().replace(/:\d+$/, '').replace(/\.$/, '');

/**
 * Opens what an installation holds: its only club, or all clubs of the register that are not closed, and follows the register from
 * then on. A club that cannot be opened is told in the log and tried again; it holds up no other one.
 * @param make what the process needs of a club, made once when it is opened
 */
export function openClubs<T>(house: Connection, settings: Settings, log: Logger, make: (club: OpenClub) => T | Promise<T>) {
  return settings.manyClubs ? openMany(house, settings, log, make) : openOnly(house, settings, make);
}

async function openOnly<T>(house: Connection, settings: Settings, make: (club: OpenClub) => T | Promise<T>): Promise<Clubs<T>> {
  const storage = storageFrom(settings);
  await storage.check();
  const only = await make({ ...house, id: onlyClubId, settings, storage });
  // The connection is the installation's, and closed with it.
  return { open: new Map([[onlyClubId, only]]), at: () => only, close: () => Promise.resolve() };
}

async function openMany<T>(
  house: Connection,
  settings: Settings,
  log: Logger,
  make: (club: OpenClub) => T | Promise<T>,
): Promise<Clubs<T>> {
  const open = new Map<string, T>();
  const connections = new Map<string, Connection>();
  let byHost = new Map<string, T>();

  async function openOne({ id, password }: typeof club.$inferSelect): Promise<void> {
    const own = settingsOfClub(settings, { id, password });
    const connection = connect(own.databaseUrl, connectionsOfMany);
    try {
      await migrateDatabase(connection);
      const storage = storageFrom(own);
      await storage.check();
      const made = await make({ ...connection, id, settings: own, storage });
      connections.set(id, connection);
      open.set(id, made);
    } catch (error) {
      await connection.close();
      log.error(error);
    }
  }
  async function closeOne(id: string): Promise<void> {
    const connection = connections.get(id);
    connections.delete(id);
    open.delete(id);
    await connection?.close();
  }
  async function read(): Promise<void> {
    const listed = await house.db.select().from(club).where(eq(club.closed, false)).orderBy(asc(club.addedAt));
    const ids = new Set(listed.map(({ id }) => id));
    const gone = [...open.keys()].filter((id) => !ids.has(id));
    for (const one of listed) if (!open.has(one.id)) await openOne(one);
    byHost = new Map(listed.flatMap(({ id, host }) => (open.has(id) ? [[host, open.get(id)!] as const] : [])));
    // Nobody finds them any more; what was begun in them ends.
    for (const id of gone) await closeOne(id);
  }

  await read();
  let reading: Promise<unknown> = Promise.resolve();
  const following = setInterval(() => {
    reading = reading.then(read).catch((error: unknown) => log.error(error));
  }, readEvery);
  return {
    open,
    at: (host) => byHost.get(hostIn(host)),
    async close() {
      clearInterval(following);
      await reading;
      await Promise.all([...open.keys()].map(closeOne));
    },
  };
}
