import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { join } from 'node:path';
import { alone, connect, type Connection, type Database } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import type { Settings } from '../settings.ts';

/** Whether the settings and the database belong together is told in words to whoever runs the installation. */
export class InstallationProblem extends Error {}

const hasTable = async (db: Database, table: string): Promise<boolean> => {
  const { rows } = await db.execute<{ there: boolean }>(sql`select to_regclass(${table}) is not null as there`);
  return rows[0]!.there;
};

async function migrateRegister({ db, pool }: Connection): Promise<void> {
  if (await hasTable(db, 'account'))
    throw new InstallationProblem('This database holds one club. Many clubs need a register of their own: an empty database.');
  const migrationsFolder = join(import.meta.dirname, 'migrations');
  await alone(pool, async () => {
    await migrate(db, { migrationsFolder, migrationsTable: '__register_migrations' });
    // Who may come into the register is the installation alone; the accounts of clubs stay outside.
    await db.execute(
      sql`do $$ begin execute format('revoke connect, temporary on database %I from public', current_database()); end $$`,
    );
  });
}

async function migrateOnlyClub(connection: Connection): Promise<void> {
  if (await hasTable(connection.db, 'club'))
    throw new InstallationProblem('This database is the register of many clubs: set WAX_CLUBS=many.');
  await migrateDatabase(connection);
}

/**
 * Connects to the database of the installation, where its jobs and the signs of its workers are, and brings it to the newest form:
 * where there is one club, it is the club’s own; where there are many, it is their register.
 * @throws InstallationProblem when it is the other one
 */
export async function openHouse({ databaseUrl, manyClubs }: Pick<Settings, 'databaseUrl' | 'manyClubs'>): Promise<Connection> {
  const house = connect(databaseUrl);
  try {
    await (manyClubs ? migrateRegister : migrateOnlyClub)(house);
    return house;
  } catch (error) {
    await house.close();
    throw error;
  }
}

/** The same, for as long as something takes. */
export async function whileInHouse<T>(
  settings: Pick<Settings, 'databaseUrl' | 'manyClubs'>,
  doing: (house: Connection) => Promise<T>,
): Promise<T> {
  const house = await openHouse(settings);
  try {
    return await doing(house);
  } finally {
    await house.close();
  }
}
