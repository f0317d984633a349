import { expect } from 'chai';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { chromium, type Browser, type Page } from 'playwright-core';
import { v7 as uuid } from 'uuid';
import { connect, type Database } from '../server/db/connection.ts';
import { eventually } from '../server/test/eventually.ts';
import { freePort } from '../server/test/free-port.ts';
import { databaseNamed } from '../server/test/database-named.ts';
import { copyClub, loadClub, type LoadedClub } from './demo-club.ts';
import { program, type Program } from '../server/test/program.ts';

export { password } from './demo-club.ts';

/** A server that was stopped on purpose, or an answer that a test wanted refused, to the player as well, is no problem. */
const wanted = /Failed to load resource|Retrying failed fetch|Error fetching .*: 401|Error while reading response stream/;

export const coachEmail = 'ragna@boathouse.example';

/** The started application: its own database, server and worker processes, the demo club, and a browser. */
export interface RunningClub {
  base: string;
  db: Database;
  home: string;
  /** A page of a fresh browser profile; whatever goes wrong in it is remembered and told by `problems`. */
  page: (change?: {
    forget?: 'VideoDecoder';
    /** Lets the page be kept for when there is no server; else every page comes from it. */
    worksOffline?: boolean;
  }) => Promise<Page>;
  /** Errors of pages since the last time asked, without those that a stopped server causes. */
  problems: () => string[];
  /** Where every open page stands and what can be read on it: what one wants to know when a test has failed. */
  standing: () => Promise<string[]>;
  /** Kills the server, does something, and has the server back whatever came of it: the tests after this one need it. */
  whileServerIsAway: (doing: () => Promise<void>) => Promise<void>;
}

let running: Promise<RunningClub> | undefined;
const ends: (() => Promise<unknown>)[] = [];

/** Started at first need, for all files of a run. */
export const runningClub = (): Promise<RunningClub> => (running ??= start());

/** Stops all that was started. */
export async function endClub(): Promise<void> {
  for (const end of ends.reverse()) await end();
}

// A bench is no test run and ends the club by itself.
if (typeof after === 'function') {
  // Working the demo films in takes its time on a small machine, and is no test's fault.
  before(async function () {
    this.timeout(600_000);
    await runningClub();
  });
  afterEach(async function () {
    if (this.currentTest?.state !== 'failed') return;
    this.timeout(30_000);
    for (const page of await (await runningClub()).standing()) process.stdout.write(`${page}\n`);
  });
  after(async function () {
    this.timeout(30_000);
    await endClub();
  });
}

async function start(): Promise<RunningClub> {
  const given = process.env.WAX_DATABASE_URL;
  if (!given) throw new Error('WAX_DATABASE_URL is not set; run bin/test e2e.');
  const administration = new Pool({ connectionString: given, max: 1 });
  const id = uuid().replaceAll('-', '');
  const name = `e2e_${id}`;
  const databaseUrl = databaseNamed(given, name);
  const home = await mkdtemp(join(tmpdir(), 'wax-fist-e2e-'));
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const told = process.env.WAX_LOADED_CLUB;
  const club = told ? (JSON.parse(told) as LoadedClub) : await loadClub(given, administration, `club_${id}`);
  await copyClub(administration, club, name, home);
  const connection = connect(databaseUrl);
  ends.push(async () => {
    await connection.close();
    await administration.query(`drop database ${name} with (force)`);
    if (!told) await administration.query(`drop database ${club.template}`);
    await administration.end();
    await rm(home, { recursive: true, force: true });
    if (!told) await rm(club.home, { recursive: true, force: true });
  });

  const environment = {
    ...process.env,
    WAX_HOME: home,
    WAX_PORT: String(port),
    WAX_DATABASE_URL: databaseUrl,
    WAX_LOG: 'silent',
  };
  const launch = (name: Program): ChildProcess =>
    spawn(process.execPath, [program(name)], {
      env: environment,
      stdio: ['ignore', 'inherit', 'inherit'],
    });
  const ended = async (child: ChildProcess, signal: NodeJS.Signals): Promise<void> => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    const exit = once(child, 'exit');
    child.kill(signal);
    await exit;
  };
  const worker = launch('worker');
  ends.push(() => ended(worker, 'SIGTERM'));
  let server: ChildProcess | undefined;
  ends.push(async () => server && ended(server, 'SIGTERM'));
  const answers = (): Promise<boolean> =>
    fetch(`${base}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  const startServer = async (): Promise<void> => {
    const started = (server = launch('server'));
    const isUp = async (): Promise<boolean> => {
      if (started.exitCode !== null) throw new Error('The server did not start.');
      return answers();
    };
    await eventually('a healthy answer of the server', isUp, Boolean);
  };
  await startServer();

  const browser: Browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-component-update',
      '--autoplay-policy=no-user-gesture-required',
      // A camera that shows a moving picture and a microphone that beeps once a second.
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
    ],
  });
  ends.push(() => browser.close());
  let problems: string[] = [];

  return {
    base,
    db: connection.db,
    home,
    async page({ forget, worksOffline = false } = {}) {
      const context = await browser.newContext({
        viewport: { width: 1280, height: 800 },
        baseURL: base,
        serviceWorkers: worksOffline ? 'allow' : 'block',
      });
      const page = await context.newPage();
      // The TypeScript loader gives functions their names through this helper, also those that run in the page.
      await page.addInitScript('globalThis.__name ??= (value) => value');
      if (forget) await page.addInitScript((name) => void Reflect.deleteProperty(globalThis, name), forget);
      page.on('pageerror', ({ message }) => {
        if (!wanted.test(message)) problems.push(message);
      });
      page.on('console', (line) => {
        if (line.type() === 'error' && !wanted.test(line.text())) problems.push(line.text());
      });
      return page;
    },
    problems() {
      const told = problems;
      problems = [];
      return told;
    },
    standing: () =>
      Promise.all(
        browser
          .contexts()
          .flatMap((context) => context.pages())
          .map(async (page) => {
            const text = await page
              .locator('body')
              .innerText({ timeout: 5000 })
              .catch(() => 'nothing that can be read');
            return `${page.url()}\n  ${text.slice(0, 1500).replaceAll('\n', '\n  ')}`;
          }),
      ),
    async whileServerIsAway(doing) {
      if (server) await ended(server, 'SIGKILL');
      try {
        await doing();
      } finally {
        await startServer();
      }
    },
  };
}

/** To be called in every file: no page may have complained, be it about a script or about the content policy. */
export function expectNoProblems(): void {
  afterEach(async () => expect((await runningClub()).problems()).to.deep.equal([]));
}
