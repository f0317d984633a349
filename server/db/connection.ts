import { drizzle, type NodePgDatabase, type NodePgQueryResultHKT } from 'drizzle-orm/node-postgres';
import type { PgDatabase } from 'drizzle-orm/pg-core';
import { Pool } from 'pg';
import { nameStatements, StatementNames } from './named-statements.ts';
import { keepsWhoWaits, namesWhoAsks } from './on-behalf.ts';
import * as schema from './schema/index.ts';

/** Whatever can be asked: the database, or a transaction in it. */
export type Database = PgDatabase<NodePgQueryResultHKT, typeof schema>;

export interface Connection {
  db: NodePgDatabase<typeof schema>;
  pool: Pool;
  close: () => Promise<void>;
}

export function connect(databaseUrl: string, connections = 10): Connection {
  const pool = new Pool({ connectionString: databaseUrl, max: connections });
  const names = new StatementNames();
  keepsWhoWaits(pool);
  // A server that restarts breaks idle connections; the pool replaces them, so this is news and not a crash.
  pool.on('error', () => undefined);
  // One that is at work when it breaks tells its query; without a listener it would take the process with it as well.
  pool.on('connect', (client) => {
    client.on('error', () => undefined);
    nameStatements(client, names);
    namesWhoAsks(client);
  });
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool, close: () => pool.end() };
}

/** Connects for as long as something takes. */
export async function whileConnected<T>(databaseUrl: string, doing: (connection: Connection) => Promise<T>): Promise<T> {
  const connection = connect(databaseUrl, 3);
  try {
    return await doing(connection);
  } finally {
    await connection.close();
  }
}

/** Does something that one process at a time may do to a database, such as making tables: two that start together would lock each other out. */
export async function alone<T>(pool: Pool, act: () => Promise<T>): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock(421701)');
    return await act();
  } finally {
    await client.query('select pg_advisory_unlock(421701)').catch(() => undefined);
    client.release();
  }
}
