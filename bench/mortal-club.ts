import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { connect, type Connection } from '../server/db/connection.ts';
import { migrateDatabase } from '../server/db/migrate.ts';
import { account } from '../server/db/schema/index.ts';
import { hashedPassword } from '../server/features/accounts/passwords.ts';
import { databaseNamed } from '../server/test/database-named.ts';
import { eventually } from '../server/test/eventually.ts';
import { freePort } from '../server/test/free-port.ts';
import { addScene, password, Visitor } from '../server/test/server-under-test.ts';
import { program, type Program } from '../server/test/program.ts';

/** What can be killed in the middle of something. */
export const victims = ['server', 'worker', 'database'] as const;
export type Victim = (typeof victims)[number];

/** A club of real processes that come back by themselves a moment after they died, as `bin/demo` and a unit file see to it. */
export interface MortalClub {
  /** A head coach. */
  coach: Visitor;
  base: string;
  home: string;
  connection: Connection;
  databaseUrl: string;
  sessionId: string;
  filmId: string;
  /** Kills without warning. */
  kill: (victim: Victim) => Promise<void>;
  /** One of the figures that the server tells; 0 while it has not told. */
  counted: (name: string) => Promise<number>;
  /** Until the server answers what it can only say with its database. */
  back: () => Promise<unknown>;
  stop: () => Promise<void>;
}

const comesBackAfter = 300;

/** Starts a process again and again. */
function immortal(name: Program, environment: NodeJS.ProcessEnv): { kill: () => void; stop: () => void } {
  let child: ChildProcess;
  let over = false;
  const start = (): void => {
    child = spawn(process.execPath, [program(name)], {
      env: environment,
      stdio: 'ignore',
    });
    child.once('exit', () => over || setTimeout(() => over || start(), comesBackAfter));
  };
  start();
  return {
    kill: () => void child.kill('SIGKILL'),
    stop: () => {
      over = true;
      child.kill('SIGKILL');
    },
  };
}

/** Does something in such a club, which ends with it however that went: processes that come back by themselves do not go by themselves. */
export async function inMortalClub<T>(doing: (club: MortalClub) => Promise<T>): Promise<T> {
  const club = await startMortalClub(process.env.WAX_DATABASE_URL!);
  try {
    return await doing(club);
  } finally {
    await club.stop();
  }
}

/** @param given address of the database server; what keeps it alive is `bin/bench` */
async function startMortalClub(given: string): Promise<MortalClub> {
  const administration = new Pool({ connectionString: given, max: 1 });
  administration.on('error', () => undefined);
  const name = `faults_${uuid().replaceAll('-', '')}`;
  await administration.query(`create database ${name}`);
  const { rows } = await administration.query<{ data_directory: string }>('show data_directory');
  const databaseUrl = databaseNamed(given, name);
  const connection = connect(databaseUrl, 3);
  await migrateDatabase(connection);
  const home = await mkdtemp(join(tmpdir(), 'wax-fist-faults-'));
  const [port, metricsPort] = [await freePort(), await freePort()];
  const email = 'coach@club.example';
  await connection.db
    .insert(account)
    .values({ id: uuid(), role: 'head-coach', name: 'A coach', email, passwordHash: await hashedPassword(password) });
  const { sessionId, filmId } = await addScene({ services: connection });
  const environment = {
    ...process.env,
    WAX_HOME: home,
    WAX_PORT: String(port),
    WAX_METRICS_PORT: String(metricsPort),
    WAX_DATABASE_URL: databaseUrl,
    WAX_LOG: 'silent',
    WAX_POSE: 'lite',
    WAX_LIMITS: 'off',
  };
  const parts = { server: immortal('server', environment), worker: immortal('worker', environment) };
  const base = `http://127.0.0.1:${port}`;
  const coach = new Visitor(base);
  const answers = (path: string): Promise<number> =>
    coach.fetch(path).then(
      ({ status }) => status,
      () => 0,
    );
  await eventually(
    'the server',
    () => answers('/api/health'),
    (status) => status === 200,
  );
  await coach.signIn(email);
  return {
    coach,
    base,
    home,
    connection,
    databaseUrl,
    sessionId,
    filmId,
    async kill(victim) {
      if (victim !== 'database') return parts[victim].kill();
      const [pid] = (await readFile(join(rows[0]!.data_directory, 'postmaster.pid'), 'utf8')).split('\n');
      process.kill(Number(pid), 'SIGKILL');
    },
    async counted(name) {
      const text = await (await fetch(`http://127.0.0.1:${metricsPort}/metrics`)).text();
      return Number(new RegExp(`^${name}(?:\\{[^}]*\\})? (.+)$`, 'm').exec(text)?.[1] ?? 0);
    },
    back: () =>
      eventually(
        'the club',
        () => answers('/api/trainees'),
        (status) => status === 200,
      ),
    async stop() {
      parts.server.stop();
      parts.worker.stop();
      await connection.close();
      await administration.query(`drop database ${name} with (force)`).catch(() => undefined);
      await administration.end();
      await rm(home, { recursive: true, force: true });
    },
  };
}
