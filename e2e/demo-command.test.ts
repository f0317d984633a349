import { expect } from 'chai';
import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { eventually } from '../server/test/eventually.ts';
import { freePort } from '../server/test/free-port.ts';

const root = join(import.meta.dirname, '..');

// The whole club is loaded for the tests beside this one; here it is the command that is looked at.
describe('bin/demo', function () {
  this.timeout(240_000);
  let home: string;
  before(async () => (home = await mkdtemp(join(tmpdir(), 'wax-fist-demo-'))));
  /** What a test that failed has left running would hold the folder, and the whole run. */
  const running = new Set<ChildProcess>();
  afterEach(async () => {
    for (const demo of running) await stopped(demo);
  });
  after(() => rm(home, { recursive: true, force: true }));

  /** Starts it and waits for the line that says that it serves. */
  async function started(port: number): Promise<{ demo: ChildProcess; lines: string[] }> {
    const environment = {
      ...process.env,
      WAX_HOME: home,
      WAX_PORT: String(port),
      WAX_PG_PORT: String(await freePort()),
      WAX_DEMO_ONLY: 'Lio',
    };
    delete (environment as NodeJS.ProcessEnv).WAX_DATABASE_URL;
    const demo = spawn('bin/demo', { cwd: root, env: environment, stdio: ['ignore', 'pipe', 'inherit'] });
    running.add(demo);
    demo.once('exit', () => running.delete(demo));
    const lines: string[] = [];
    await new Promise<void>((resolve, reject) => {
      demo.stdout.on('data', (chunk: Buffer) => {
        lines.push(...chunk.toString().split('\n').filter(Boolean));
        if (lines.some((line) => line.startsWith('ready: '))) resolve();
      });
      demo.once('exit', (code) => reject(new Error(`it ended with ${code}: ${lines.join('\n')}`)));
    });
    return { demo, lines };
  }
  /** Starts it where it must not start, and tells how it ended and what it said of that. */
  async function ended(environment: NodeJS.ProcessEnv): Promise<{ code: number; said: string }> {
    const env: NodeJS.ProcessEnv = { ...process.env, WAX_HOME: home, WAX_PG_PORT: String(await freePort()), ...environment };
    delete env.WAX_DATABASE_URL;
    const demo = spawn('bin/demo', { cwd: root, env, stdio: ['ignore', 'ignore', 'pipe'] });
    let said = '';
    demo.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    const [code] = (await once(demo, 'exit')) as [number];
    return { code, said };
  }
  const childrenOf = async (pid: number): Promise<number[]> => {
    const { stdout } = await promisify(execFile)('pgrep', ['-P', String(pid)]).catch(() => ({ stdout: '' }));
    return stdout.split('\n').filter(Boolean).map(Number);
  };
  /** Where bin/lib.sh puts the cluster: PostgreSQL does not run as root, so then it lies with its own user. */
  const databaseFolder = (): string =>
    process.getuid?.() === 0
      ? `/var/lib/postgresql/wax-fist-${createHash('sha256').update(home).digest('hex').slice(0, 12)}`
      : join(home, 'postgres');
  const stopped = async (demo: ChildProcess): Promise<void> => {
    const exit = once(demo, 'exit');
    demo.kill('SIGTERM');
    await exit;
  };
  const answers = (port: number): Promise<number> =>
    fetch(`http://127.0.0.1:${port}/api/health`).then(
      ({ status }) => status,
      () => 0,
    );

  it('loads the club, serves, prints one line and a sign-in, stops all it started, and starts again without loading anything', async () => {
    const port = await freePort();
    const first = await started(port);
    expect(first.lines.filter((line) => line.startsWith('ready: '))).to.deep.equal([`ready: http://127.0.0.1:${port}`]);
    expect(await answers(port)).to.equal(200);
    const [, email, word] = /Demo sign-in: (\S+) {2}(\S+)/.exec(first.lines.join('\n'))!;
    const signIn = await fetch(`http://127.0.0.1:${port}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email, password: word }),
    });
    expect(signIn.status).to.equal(200);
    await stopped(first.demo);
    expect(await answers(port)).to.equal(0);

    const second = await started(port);
    expect(second.lines.join('\n')).to.not.include('working the footage in');
    expect(await answers(port)).to.equal(200);
    for (const log of ['server.log', 'worker.log']) expect(await readFile(join(home, log), 'utf8')).to.not.include('"level":50');

    const copy = await ended({ WAX_PORT: String(await freePort()) });
    expect(copy.code).to.equal(1);
    expect(copy.said).to.include('another copy uses this folder');
    expect(await answers(port), 'the club that runs goes on').to.equal(200);

    // Every part is killed at once, the database as well: each comes back by itself.
    for (const part of await childrenOf(second.demo.pid!)) for (const pid of await childrenOf(part)) process.kill(pid, 'SIGKILL');
    const [database] = (await readFile(join(databaseFolder(), 'postmaster.pid'), 'utf8')).split('\n');
    process.kill(Number(database), 'SIGKILL');
    await eventually(
      'no answer',
      () => answers(port),
      (status) => status !== 200,
      20_000,
    );
    await eventually(
      'the club',
      () => answers(port),
      (status) => status === 200,
      60_000,
    );
    await stopped(second.demo);
    expect(await answers(port)).to.equal(0);
  });

  it('loads nothing into a database that holds a club, and removes nothing, when its folder does not say what that is', async () => {
    await rm(join(home, 'demo-club-loaded'));
    const again = await started(await freePort());
    expect(again.lines.join('\n')).to.include('holds a club already').and.not.include('working the footage in');
    await stopped(again.demo);
  });

  it('says what to do when the folder is gone and its database is not', async () => {
    await rm(join(home, 'database-password'));
    const { code, said } = await ended({ WAX_PORT: String(await freePort()) });
    expect([code, said.includes('begin anew')]).to.deep.equal([1, true]);
  });

  it('says which port is taken, and leaves whoever has it alone', async () => {
    const holder = createServer().listen(0, '127.0.0.1');
    await once(holder, 'listening');
    const { port } = holder.address() as { port: number };
    const { code, said } = await ended({ WAX_PORT: String(port) });
    expect([code, said]).to.deep.equal([1, `Port ${port} is taken; set WAX_PORT to a free one.\n`]);
    holder.close();
  });
});
