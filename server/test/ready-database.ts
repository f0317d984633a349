import { roles, type Role } from '@wax-fist/contract/endpoint';
import type { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { connect } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { account, workerSign } from '../db/schema/index.ts';
import { hashedPassword } from '../features/accounts/passwords.ts';
import { openJobs } from '../jobs/queue.ts';
import { databaseNamed } from './database-named.ts';

export const password = 'rope and canvas';

/** What every server under test begins with: all tables, a queue, and one account for each role. */
interface ReadyDatabase {
  name: string;
  accountIds: Readonly<Record<Role, string>>;
}
let ready: Promise<ReadyDatabase> | undefined;

async function make(administration: Pool, given: string): Promise<ReadyDatabase> {
  const name = `ready_${uuid().replaceAll('-', '')}`;
  await administration.query(`create database ${name}`);
  const databaseUrl = databaseNamed(given, name);
  const connection = connect(databaseUrl);
  await migrateDatabase(connection);
  await (await openJobs(databaseUrl, connection.pool, () => undefined)).stop();
  // This worker is alive for as long as the tests take, however slow the machine.
  await connection.db.insert(workerSign).values({ worker: 'test', seenAt: new Date(Date.now() + 3_600_000) });
  const accountIds = Object.fromEntries(roles.map((role) => [role, uuid()])) as Record<Role, string>;
  const passwordHash = await hashedPassword(password);
  await connection.db
    .insert(account)
    .values(
      roles.map((role) => ({ id: accountIds[role], role, passwordHash, name: `A ${role}`, email: `${role}@club.example` })),
    );
  // A database that somebody is connected to cannot be copied.
  await connection.close();
  return { name, accountIds };
}

/** A fresh database under this name: made ready once for all tests of a run, and copied from then on. */
export async function freshDatabase(administration: Pool, given: string, name: string): Promise<ReadyDatabase> {
  const { name: template, accountIds } = await (ready ??= make(administration, given));
  await administration.query(`create database ${name} template ${template}`);
  return { name, accountIds };
}
