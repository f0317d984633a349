import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, writeFileSync } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Connection } from '../../db/connection.ts';
import { countOfMigrations, migrateDatabase } from '../../db/migrate.ts';
import type { Settings } from '../../settings.ts';
import { measuring } from '../../storage/measuring.ts';
import type { Storage } from '../../storage/storage.ts';
import type { KeptFilm, Snapshot } from './backup-shape.ts';
import { BackupProblem, dumpPath, getSealed, objectPath, readSnapshot, snapshotNames, type OpenPlace } from './place.ts';
import { restored } from './postgres.ts';
import { contentsOf } from './write-backup.ts';

export interface RestoreWishes {
  settings: Pick<Settings, 'databaseUrl' | 'home'>;
  connection: Connection;
  storage: Storage;
  place: OpenPlace;
  /** Which backup; the newest when not told. */
  name?: string;
  say: (line: string) => void;
}

/**
 * Puts a club back where nothing is: the database in one transaction, then every film, each compared with what it was.
 * @throws BackupProblem when something is there already, or is not as it was
 */
export async function readBackup({ settings, connection, storage, place, name, say }: RestoreWishes): Promise<Snapshot> {
  const names = await snapshotNames(place.folder);
  const wanted = name ?? names[0];
  if (wanted === undefined || !names.includes(wanted))
    throw new BackupProblem(`There is no backup ${name ?? ''} in ${place.folder}. There are: ${names.join(', ') || 'none'}.`);
  const snapshot = await readSnapshot(place, wanted);
  if (snapshot.migrations > (await countOfMigrations()))
    throw new BackupProblem('This backup was made by a newer version. Restore it with that one.');
  await requireEmpty(connection);
  say('Reading the database …');
  await restored(settings.databaseUrl, getSealed(place, dumpPath(place, wanted)));
  const { tables } = await contentsOf(connection.pool);
  for (const [table, count] of Object.entries(snapshot.tables))
    if (tables[table] !== count) throw new BackupProblem(`${table} has ${tables[table] ?? 0} rows and not ${count}.`);

  const drafts = join(settings.home, 'restoring');
  await mkdir(drafts, { recursive: true, mode: 0o700 });
  for (const [number, one] of snapshot.films.entries()) {
    await putBack(place, storage, one, join(drafts, randomUUID()));
    if ((number + 1) % 50 === 0) say(`${number + 1} of ${snapshot.films.length} files …`);
  }
  await rm(drafts, { recursive: true, force: true });
  const cookie = join(settings.home, 'cookie-secret');
  if (snapshot.cookieSecret !== null && !existsSync(cookie)) writeFileSync(cookie, snapshot.cookieSecret, { mode: 0o600 });
  await migrateDatabase(connection);
  return snapshot;
}

/** @throws BackupProblem where a table stands already: nothing is ever overwritten */
async function requireEmpty({ pool }: Connection): Promise<void> {
  const { rows } = await pool.query(`select from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' limit 1`);
  if (rows.length > 0) throw new BackupProblem('This database holds a club already. A backup is read into an empty one.');
}

async function putBack(place: OpenPlace, storage: Storage, one: KeptFilm, draft: string): Promise<void> {
  const { through, told } = measuring();
  await pipeline(getSealed(place, objectPath(place, one)), through, createWriteStream(draft, { mode: 0o600 }));
  if (told().sha256 !== one.sha256) throw new BackupProblem(`A film is not as it was: ${one.filmId}, ${one.file}.`);
  await storage.keep(draft, one.filmId, one.file);
}
