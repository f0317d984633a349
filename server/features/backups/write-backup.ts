import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { rm } from 'node:fs/promises';
import type { PoolClient } from 'pg';
import { v7 as uuid } from 'uuid';
import type { Connection } from '../../db/connection.ts';
import { backup } from '../../db/schema/index.ts';
import type { Settings } from '../../settings.ts';
import type { Measured } from '../../storage/measuring.ts';
import type { Storage } from '../../storage/storage.ts';
import type { KeptFilm, Snapshot } from './backup-shape.ts';
import {
  BackupProblem,
  dumpPath,
  getSealed,
  hasObject,
  keepNewest,
  objectPath,
  putSealed,
  readSnapshot,
  snapshotNames,
  tidy,
  verifySealed,
  writeSnapshot,
  type OpenPlace,
} from './place.ts';
import { dumped, readable } from './postgres.ts';

export interface BackupWishes {
  settings: Pick<Settings, 'databaseUrl' | 'home'>;
  connection: Connection;
  storage: Storage;
  place: OpenPlace;
  /** How many backups are kept; all when not told. */
  keep?: number;
  say: (line: string) => void;
}

export interface Written {
  name: string;
  films: number;
  /** Bytes of all films, and of those that were not there yet. */
  bytes: number;
  added: number;
}

/** A film that is removed while its bytes are fetched: then the database is asked again. */
const mostTries = 5;

/**
 * Backs a club up: the database at one moment, and every film of that moment; films that an earlier backup holds are not written
 * again. What was written is read back before it counts.
 * @throws BackupProblem
 */
export async function writeBackup({ settings, connection, storage, place, keep, say }: BackupWishes): Promise<Written> {
  await tidy(place);
  const [newest] = await snapshotNames(place.folder);
  const known = newest === undefined ? [] : (await readSnapshot(place, newest)).films;
  for (let attempt = 1; ; attempt++) {
    const begun = new Date();
    const name = begun.toISOString().replaceAll(':', '-');
    say('Writing the database …');
    const { films, ...told } = await writeDump(settings.databaseUrl, connection, place, name);
    const taken = await writeFilms(storage, place, films, known, say);
    if ((await goneOf(connection, taken.missing)) > 0) {
      await rm(dumpPath(place, name), { force: true });
      if (attempt === mostTries) throw new BackupProblem('Films are removed faster than they can be kept. Try again later.');
      say('A film was removed meanwhile; once more …');
      continue;
    }
    say('Reading back what was written …');
    await verifyDump(place, name, told.dump);
    for (const one of taken.added) await verifySealed(place, objectPath(place, one), one);
    const cookie = join(settings.home, 'cookie-secret');
    const cookieSecret = existsSync(cookie) ? readFileSync(cookie, 'utf8') : null;
    const snapshot: Snapshot = { madeAt: begun.toISOString(), ...told, films: taken.all, cookieSecret };
    await writeSnapshot(place, name, snapshot);
    await readSnapshot(place, name);
    const sum = (all: readonly KeptFilm[]): number => all.reduce((bytes, one) => bytes + one.bytes, 0);
    const written = { name, films: films.length, bytes: sum(taken.all), added: sum(taken.added) };
    await connection.db.insert(backup).values({
      ...{ id: uuid(), name, madeAt: begun, verifiedAt: new Date() },
      ...{ films: written.films, bytes: written.bytes, added: written.added },
    });
    if (keep !== undefined) await keepNewest(place, keep);
    return written;
  }
}

/** Writes the database as it is at one moment, and tells what was in it at that moment. */
async function writeDump(databaseUrl: string, { pool }: Connection, place: OpenPlace, name: string) {
  const client = await pool.connect();
  try {
    await client.query('begin isolation level repeatable read read only');
    const { rows } = await client.query<{ id: string }>('select pg_export_snapshot() as id');
    const { bytes, ended } = dumped(databaseUrl, rows[0]!.id);
    const [{ path: _, ...dump }] = await Promise.all([
      putSealed(
        place,
        () => bytes,
        () => dumpPath(place, name),
      ),
      ended,
    ]);
    return { dump, films: await filmsToKeep(client), ...(await contentsOf(client)) };
  } finally {
    await client.query('rollback').catch(() => undefined);
    client.release();
  }
}

/** What there is in the database that a connection sees. */
export async function contentsOf(client: Pick<PoolClient, 'query'>) {
  const names = await client.query<{ name: string }>(
    `select quote_ident(relname) as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' order by 1`,
  );
  const tables: Record<string, number> = {};
  for (const { name } of names.rows)
    tables[name] = Number((await client.query<{ count: string }>(`select count(*) from ${name}`)).rows[0]!.count);
  const done = await client.query<{ count: string }>('select count(*) from drizzle.__drizzle_migrations');
  return { tables, migrations: Number(done.rows[0]!.count) };
}

/** Films that are there, and those that were removed and can still be put back. */
async function filmsToKeep(client: Pick<PoolClient, 'query'>): Promise<string[]> {
  const { rows } = await client.query<{ id: string }>(
    `select id from film union select (says ->> 'id')::uuid from removed_row where of_table = 'film' and pointed is null order by 1`,
  );
  return rows.map(({ id }) => id);
}

const same = (one: Pick<KeptFilm, 'filmId' | 'file' | 'bytes' | 'writtenAt'>): string =>
  `${one.filmId} ${one.file} ${one.bytes} ${one.writtenAt}`;

/** Keeps every file of some films that is not kept yet. */
async function writeFilms(
  storage: Storage,
  place: OpenPlace,
  filmIds: readonly string[],
  known: readonly KeptFilm[],
  say: (line: string) => void,
) {
  const before = new Map(known.map((one) => [same(one), one]));
  const [all, added, missing]: [KeptFilm[], KeptFilm[], string[]] = [[], [], []];
  for (const [number, filmId] of filmIds.entries()) {
    for (const kept of await storage.list(filmId)) {
      const held = before.get(same({ filmId, ...kept }));
      if (held && (await hasObject(place, held))) {
        all.push(held);
        continue;
      }
      try {
        const plain = await putSealed(
          place,
          () => storage.read(filmId, kept.file),
          (told) => objectPath(place, told),
        );
        const one = { filmId, file: kept.file, writtenAt: kept.writtenAt, bytes: plain.bytes, sha256: plain.sha256 };
        all.push(one);
        added.push(one);
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'ENOENT' && (error as Error).name !== 'NoSuchKey') throw error;
        missing.push(filmId);
      }
    }
    if ((number + 1) % 20 === 0) say(`${number + 1} of ${filmIds.length} films …`);
  }
  const have = new Set(all.map(({ filmId }) => filmId));
  return { all, added, missing: [...missing, ...filmIds.filter((id) => !have.has(id))] };
}

/** How many of some films are gone for good. */
async function goneOf({ pool }: Connection, filmIds: readonly string[]): Promise<number> {
  const there = new Set(await filmsToKeep(pool));
  return new Set(filmIds.filter((id) => !there.has(id))).size;
}

/** Reads the database of a backup back: the same bytes, and PostgreSQL can read them. @throws BackupProblem */
async function verifyDump(place: OpenPlace, name: string, dump: Measured): Promise<void> {
  const path = dumpPath(place, name);
  await verifySealed(place, path, dump);
  await readable(getSealed(place, path));
}

/** Reads a whole backup back. @throws BackupProblem naming what is damaged or missing */
export async function verifyBackup(place: OpenPlace, name: string, say: (line: string) => void): Promise<Snapshot> {
  const snapshot = await readSnapshot(place, name);
  await verifyDump(place, name, snapshot.dump);
  for (const [number, one] of snapshot.films.entries()) {
    await verifySealed(place, objectPath(place, one), one);
    if ((number + 1) % 50 === 0) say(`${number + 1} of ${snapshot.films.length} files …`);
  }
  return snapshot;
}
