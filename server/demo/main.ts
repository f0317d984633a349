import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { connect } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { account, trainee } from '../db/schema/index.ts';
import { settingsFrom } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import { demoCoaches } from './club.ts';
import { loadDemoClub } from './load.ts';

const settings = settingsFrom(process.env);
const say = (line: string): void => void process.stdout.write(`${line}\n`);
const loaded = join(settings.home, 'demo-club-loaded');
const password = process.env.WAX_DEMO_PASSWORD ?? 'chalk-and-tape';

const connection = connect(settings.databaseUrl);
await migrateDatabase(connection);
const { db } = connection;
if (!existsSync(loaded)) {
  const others = (await db.select({ email: account.email }).from(account)).filter(
    ({ email }) => !demoCoaches.some((coach) => coach.email === email),
  );
  if (others.length > 0) {
    say('This database holds a club already; the demo club was not loaded.');
  } else {
    // What an earlier load left half done is begun anew.
    await db.delete(trainee);
    await db.delete(account);
    const storage = storageFrom(settings);
    await loadDemoClub({ db, storage, home: settings.home, worker: 'demo', password, say, only: process.env.WAX_DEMO_ONLY });
    writeFileSync(loaded, `${new Date().toISOString()}\n`);
  }
}
await connection.close();
if (existsSync(loaded)) say(`Demo sign-in: ${demoCoaches[0]!.email}  ${password}`);
