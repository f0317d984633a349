import { link, mkdir, mkdtemp, readdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import type { Pool } from 'pg';
import { connect } from '../server/db/connection.ts';
import { migrateDatabase } from '../server/db/migrate.ts';
import { loadDemoClub } from '../server/demo/load.ts';
import { folderStorage } from '../server/storage/folder.ts';
import { databaseNamed } from '../server/test/database-named.ts';

export const password = 'a password of the tests';

/** The demo club as it is loaded once for all browser tests: a database to make others from, and its films. */
export interface LoadedClub {
  template: string;
  home: string;
}

/** Loads the demo club. A database that somebody is connected to cannot be copied, so nobody stays. */
export async function loadClub(given: string, administration: Pool, template: string): Promise<LoadedClub> {
  const home = await mkdtemp(join(tmpdir(), 'wax-fist-demo-club-'));
  await administration.query(`create database ${template}`);
  const connection = connect(databaseNamed(given, template));
  await migrateDatabase(connection);
  await loadDemoClub({ db: connection.db, storage: folderStorage(home), home, worker: 'e2e', password, say: () => undefined });
  await connection.close();
  return { template, home };
}

/** Makes a club that is as the loaded one: rows are copied by the database, films are other names of the same bytes. */
export async function copyClub(administration: Pool, { template, home }: LoadedClub, name: string, to: string): Promise<void> {
  await administration.query(`create database ${name} template ${template}`);
  for (const entry of await readdir(home, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile()) continue;
    const from = join(entry.parentPath, entry.name);
    const target = join(to, from.slice(home.length));
    await mkdir(dirname(target), { recursive: true });
    await link(from, target);
  }
}
