import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { messageOf } from '@wax-fist/core/message-of';
import { connect } from '../../db/connection.ts';
import { migrateDatabase } from '../../db/migrate.ts';
import { settingsFrom } from '../../settings.ts';
import { storageFrom } from '../../storage/open.ts';
import { BackupProblem, openOrMakePlace, openPlace, snapshotNames } from './place.ts';
import { readBackup } from './read-backup.ts';
import { verifyBackup, writeBackup } from './write-backup.ts';

/** What bin/backup and bin/restore run. */
const help = `bin/backup FOLDER [--keep N] [--passphrase-file FILE]
  Backs the club up into FOLDER: the database, and films that are not there yet. All of it is sealed by a passphrase, which is
  read from WAX_BACKUP_PASSPHRASE or FILE, or asked for. What was written is read back. With --keep only the N newest stay.
bin/backup FOLDER --verify
  Reads the newest backup back, whole.
bin/backup FOLDER --list
  The backups in FOLDER.
bin/restore FOLDER [--name BACKUP] [--passphrase-file FILE]
  Puts the newest backup, or the one named, back into an empty database and data folder.
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
      ...{ name: { type: 'string' }, 'passphrase-file': { type: 'string' }, help: { type: 'boolean' } },
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
  const connection = connect(settings.databaseUrl, 3);
  try {
    const shared = { settings, connection, storage: storageFrom(settings), say };
    if (what === 'backup') {
      await migrateDatabase(connection);
      const place = await openOrMakePlace(folder, passphrase);
      const { name, films, bytes, added } = await writeBackup({ ...shared, place, keep });
      say(`Backed up and read back: ${name}, ${films} films, ${megabytes(bytes)}, of which ${megabytes(added)} are new.`);
    } else {
      const place = await openPlace(folder, passphrase);
      const { madeAt, films, tables } = await readBackup({ ...shared, place, name: values.name });
      const rows = Object.values(tables).reduce((sum, count) => sum + count, 0);
      say(`Restored as it was at ${madeAt}: ${rows} rows and ${films.length} files of films, each compared.`);
    }
  } finally {
    await connection.close();
  }
}

await run().catch((error: unknown) => {
  process.stderr.write(`${error instanceof BackupProblem ? error.message : messageOf(error)}\n`);
  if (!(error instanceof BackupProblem) && process.env.WAX_LOG === 'debug') throw error;
  process.exitCode = 1;
});
