import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { alone, type Connection } from './connection.ts';
import { addReadyMade } from './ready-made.ts';

const migrationsFolder = join(import.meta.dirname, 'migrations');

/** How many migrations this version knows: a database that has more is of a newer one. */
export async function countOfMigrations(): Promise<number> {
  const journal = JSON.parse(await readFile(join(migrationsFolder, 'meta/_journal.json'), 'utf8')) as { entries: unknown[] };
  return journal.entries.length;
}

/** Brings the database to the newest form, with what ships in it; safe to run again and from several processes. */
export const migrateDatabase = ({ db, pool }: Connection): Promise<void> =>
  alone(pool, async () => {
    await migrate(db, { migrationsFolder });
    await addReadyMade(db);
  });
