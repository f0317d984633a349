import { spawn } from 'node:child_process';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { BackupProblem } from './place.ts';

/** What PostgreSQL’s own programs need to know of a database; a password in an argument could be read by everybody. */
function environmentOf(databaseUrl: string): NodeJS.ProcessEnv {
  const { hostname, port, username, password, pathname } = new URL(databaseUrl);
  return {
    ...process.env,
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
  };
}

type Program = 'pg_dump' | 'pg_restore';

function started(program: Program, words: readonly string[], databaseUrl: string | undefined) {
  const env = databaseUrl === undefined ? process.env : environmentOf(databaseUrl);
  const child = spawn(program, words, { env, stdio: ['pipe', 'pipe', 'pipe'] });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-2000)));
  // A program that ends early reads no further; what it has to say about that it says itself.
  child.stdin.on('error', () => undefined);
  const ended = new Promise<void>((resolve, reject) => {
    child.on('error', (error) => reject(new BackupProblem(`${program} cannot be run: ${error.message}`)));
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new BackupProblem(`${program} ended badly: ${said.trim().split('\n').at(-1) ?? code}`)),
    );
  });
  ended.catch(() => undefined);
  return { child, ended };
}

/** Writes a database as it is in an exported snapshot, in PostgreSQL’s own format. */
export function dumped(databaseUrl: string, snapshot: string): { bytes: Readable; ended: Promise<void> } {
  const { child, ended } = started(
    'pg_dump',
    ['--format=custom', '--no-owner', '--no-acl', `--snapshot=${snapshot}`],
    databaseUrl,
  );
  return { bytes: child.stdout, ended };
}

/** Reads a dump into an empty database, all of it or nothing. */
export async function restored(databaseUrl: string, dump: Readable): Promise<void> {
  const words = ['--dbname=', '--no-owner', '--no-acl', '--exit-on-error', '--single-transaction'];
  const { child, ended } = started('pg_restore', words, databaseUrl);
  child.stdout.resume();
  await Promise.all([pipeline(dump, child.stdin).catch(ignoreEarlyEnd), ended]);
}

/** Reads a dump through without a database. @throws BackupProblem when it is none */
export async function readable(dump: Readable): Promise<void> {
  const { child, ended } = started('pg_restore', ['--list'], undefined);
  child.stdout.resume();
  await Promise.all([pipeline(dump, child.stdin).catch(ignoreEarlyEnd), ended]);
}

const ignoreEarlyEnd = (error: NodeJS.ErrnoException): void => {
  if (error.code !== 'EPIPE' && error.code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
};
