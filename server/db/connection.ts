import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { join } from 'node:path';
import { Pool } from 'pg';
import * as schema from './schema/index.ts';

export type Database = NodePgDatabase<typeof schema>;

export interface Connection {
  db: Database;
  pool: Pool;
  close(): Promise<void>;
}

export function connect(databaseUrl: string): Connection {
  const pool = new Pool({ connectionString: databaseUrl, max: 10 });
  // A server that restarts breaks idle connections; the pool replaces them, so this is news and not a crash.
  pool.on('error', () => undefined);
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool, close: () => pool.end() };
}

/** Brings the database to the newest form; safe to run again and from several processes. */
export async function migrateDatabase(connection: Connection): Promise<void> {
  const client = await connection.pool.connect();
  try {
    await client.query('select pg_advisory_lock(421701)');
    await migrate(connection.db, { migrationsFolder: join(import.meta.dirname, 'migrations') });
  } finally {
    await client.query('select pg_advisory_unlock(421701)').catch(() => undefined);
    client.release();
  }
}
