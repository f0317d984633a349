import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { messageOf } from '@wax-fist/core/message-of';
import { settingsOfClub } from '../../clubs/club-settings.ts';
import { whileInHouse } from '../../clubs/house.ts';
import { clubAt, listClubs } from '../../clubs/register.ts';
import { whileConnected, type Connection } from '../../db/connection.ts';
import { migrateDatabase } from '../../db/migrate.ts';
import { settingsFrom, type Settings } from '../../settings.ts';
import { storageFrom } from '../../storage/open.ts';
import type { Storage } from '../../storage/storage.ts';
import { BackupProblem, openOrMakePlace, openPlace, snapshotNames, type OpenPlace } from './place.ts';
import { readBackup } from './read-backup.ts';
import { verifyBackup, writeBackup } from './write-backup.ts';

/** What bin/backup and bin/restore run. */
const help = `bin/backup FOLDER [--keep N] [--passphrase-file FILE]
  Backs the club up into FOLDER: the database, and films that are not there yet. All of it is sealed by a passphrase, which is
  read from WAX_BACKUP_PASSPHRASE or FILE, or asked for. What was written is read back. With --keep only the N newest stay.
  Where there are many clubs, each is backed up into a folder of its host name in FOLDER, or with --club HOST that one into FOLDER.
bin/backup FOLDER --verify
  Reads the newest backup back, whole.
bin/backup FOLDER --list
  The backups in FOLDER.
bin/restore FOLDER [--name BACKUP] [--passphrase-file FILE] [--club HOST]
  Puts the newest backup, or the one named, back into an empty database and data folder; where there are many clubs, into the one
  named, which was added with --empty. So a club moves from an installation of its own into one of many, and back.
`;
const say = (line: string): void => void process.stdout.write(`${line}\n`);
const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(bytes < 1e8 ? 1 : 0)} MB`;

async function passphraseOf(file: string | undefined): Promise<string> {
  if (file !== undefined) return readFileSync(file, 'utf8').trim();
  const given = process.env.WAX_BACKUP_PASSPHRASE;
  if (given) return given;
  if (!process.stdin.isTTY) throw new BackupProblem('No passphrase: set WAX_BACKUP_PASSPHRASE, or name a file.');
  const line = createInterface({ input: process.stdin, output: process.stderr, terminal: true });
  // Nothing of what is typed is shown.
  Object.assign(line, { _writeToOutput: (text: string) => text.includes('Passphrase') && process.stderr.write(text) });
  return new Promise((resolve) =>
    line.question('Passphrase: ', (typed) => {
      line.close();
      process.stderr.write('\n');
      resolve(typed);
    }),
  );
}

async function run(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      ...{ keep: { type: 'string' }, verify: { type: 'boolean' }, list: { type: 'boolean' } },
      ...{ name: { type: 'string' }, club: { type: 'string' }, 'passphrase-file': { type: 'string' }, help: { type: 'boolean' } },
    },
  });
  const [what, named, ...more] = positionals;
  if (values.help || named === undefined || more.length > 0 || (what !== 'backup' && what !== 'restore')) {
    say(help);
    process.exitCode = values.help ? 0 : 2;
    return;
  }
  const folder = resolve(process.env.WAX_CALLED_FROM ?? '.', named);
  if (values.list) return (await snapshotNames(folder)).forEach(say);
  const keep = values.keep === undefined ? undefined : Number(values.keep);
  if (keep !== undefined && !(Number.isInteger(keep) && keep > 0)) throw new BackupProblem('--keep is a number from 1.');
  const passphrase = await passphraseOf(values['passphrase-file']);
  if (values.verify) {
    const place = await openPlace(folder, passphrase);
    const [name] = await snapshotNames(folder);
    if (name === undefined) throw new BackupProblem(`There is no backup in ${folder}.`);
    const { films } = await verifyBackup(place, name, say);
    return say(`${name} is whole: the database and ${films.length} files of films.`);
  }
  const settings = settingsFrom(process.env);
  const clubs = await clubsIn(settings, values.club);
  if (what === 'restore' && settings.manyClubs && values.club === undefined)
    throw new BackupProblem('Into which club? --club names its host.');
  for (const { host, own } of clubs) {
    const where = host === undefined || values.club !== undefined ? folder : join(folder, host);
    await atClub(own, async (shared) => {
      if (what === 'backup') await backUp(shared, await openOrMakePlace(where, passphrase), keep);
      else await restore(shared, await openPlace(where, passphrase), values.name);
    });
  }
}

/** The clubs that are meant, each with its settings: the only one, the one named, or all. */
async function clubsIn(settings: Settings, named: string | undefined): Promise<{ host?: string; own: Settings }[]> {
  if (!settings.manyClubs) {
    if (named !== undefined) throw new BackupProblem('This installation is one club; --club is for one of many.');
    return [{ own: settings }];
  }
  const listed = await whileInHouse(settings, async ({ db }) =>
    named === undefined ? listClubs(db) : [await clubAt(db, named)],
  );
  return listed.map((one) => ({ host: one.host, own: settingsOfClub(settings, one) }));
}

interface Shared {
  settings: Settings;
  connection: Connection;
  storage: Storage;
  say: (line: string) => void;
}

const atClub = (settings: Settings, doing: (shared: Shared) => Promise<void>): Promise<void> =>
  whileConnected(settings.databaseUrl, (connection) => doing({ settings, connection, storage: storageFrom(settings), say }));

async function backUp(shared: Shared, place: OpenPlace, keep: number | undefined): Promise<void> {
  await migrateDatabase(shared.connection);
  const { name, films, bytes, added } = await writeBackup({ ...shared, place, keep });
  say(`Backed up and read back: ${name}, ${films} films, ${megabytes(bytes)}, of which ${megabytes(added)} are new.`);
}

async function restore(shared: Shared, place: OpenPlace, name: string | undefined): Promise<void> {
  const { madeAt, films, tables } = await readBackup({ ...shared, place, name });
  const rows = Object.values(tables).reduce((sum, count) => sum + count, 0);
  say(`Restored as it was at ${madeAt}: ${rows} rows and ${films.length} files of films, each compared.`);
}

await run().catch((error: unknown) => {
  process.stderr.write(`${error instanceof BackupProblem ? error.message : messageOf(error)}\n`);
  if (!(error instanceof BackupProblem) && process.env.WAX_LOG === 'debug') throw error;
  process.exitCode = 1;
});
