import { existsSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { connect } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { account, trainee } from '../db/schema/index.ts';
import { settingsFrom } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import { demoCoaches } from './club.ts';
import { loadDemoClub } from './load.ts';

// Films, sound and logs are for the account that runs this, and for nobody else on the machine.
process.umask(0o077);
const settings = settingsFrom(process.env);
const say = (line: string): void => void process.stdout.write(`${line}\n`);
const loaded = join(settings.home, 'demo-club-loaded');
/** There while it is loaded; nothing is ever removed to begin anew. */
const loading = join(settings.home, 'demo-club-loading');
const password = process.env.WAX_DEMO_PASSWORD ?? 'chalk-and-tape';

const connection = connect(settings.databaseUrl);
await migrateDatabase(connection);
const { db } = connection;
const isEmpty = (await db.$count(account)) + (await db.$count(trainee)) === 0;
if (isEmpty) {
  writeFileSync(loading, `${new Date().toISOString()}\n`);
  const storage = storageFrom(settings);
  await loadDemoClub({ db, storage, home: settings.home, worker: 'demo', password, say, only: process.env.WAX_DEMO_ONLY });
  renameSync(loading, loaded);
} else if (existsSync(loading)) {
  say(
    `The demo club was loaded only in part: the start before this one was broken off. What is there can be used. To begin anew, stop this and remove ${settings.home} and its database.`,
  );
} else if (!existsSync(loaded)) {
  say('This database holds a club already; the demo club was not loaded.');
}
await connection.close();
if (existsSync(loaded)) say(`Demo sign-in: ${demoCoaches[0]!.email}  ${password}`);
