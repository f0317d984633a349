import { filledPath, roles, type Endpoint, type Role } from '@wax-fist/contract/endpoint';
import { accountEndpoints } from '@wax-fist/contract/accounts';
import { eq } from 'drizzle-orm';
import { mkdtemp, rm } from 'node:fs/promises';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { standardFor } from '../features/sessions/standard.ts';
import { appOf } from '../app.ts';
import { connect, type Database } from '../db/connection.ts';
import { account, film, trainee, trainingSession } from '../db/schema/index.ts';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { openJobs, type Jobs } from '../jobs/queue.ts';
import { takeJobs } from '../jobs/take-jobs.ts';
import { workersAlive } from '../jobs/worker-signs.ts';
import { onlyClubId } from '../clubs/open-clubs.ts';
import { openLog } from '../log.ts';
import { settingsFrom } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import type { Services } from '../services.ts';
import { databaseNamed } from './database-named.ts';
import { freshDatabase, password } from './ready-database.ts';

export { password };

// A test may look into any answer; what it finds there is what it checks.
/* eslint-disable @typescript-eslint/no-explicit-any */

/** What came back, read as JSON where it is. */
export interface Answer<T = any> {
  status: number;
  body: T;
  headers: Headers;
}

/** A browser as far as the server can tell: it keeps its cookie. */
export class Visitor {
  #cookie: string;
  constructor(
    readonly base: string,
    cookie = '',
  ) {
    this.#cookie = cookie;
  }

  /** For whoever asks by other means. */
  get cookie(): string {
    return this.#cookie;
  }

  async fetch(path: string, init: RequestInit = {}): Promise<Response> {
    const headers = new Headers(init.headers);
    if (this.#cookie) headers.set('cookie', this.#cookie);
    const response = await this.send(path, { ...init, headers });
    const [cookie] = response.headers.getSetCookie();
    if (cookie) this.#cookie = cookie.split(';')[0]!;
    return response;
  }

  /** How a request gets to the server. */
  protected send(path: string, init: RequestInit): Promise<Response> {
    return fetch(this.base + path, init);
  }

  async ask<T = any>(
    endpoint: Endpoint,
    params: Record<string, string> = {},
    body?: unknown,
    headers: Record<string, string> = {},
    query: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await this.fetch(filledPath(endpoint.path, params, query), {
      method: endpoint.method,
      headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
    const isJson = response.headers.get('content-type')?.includes('json');
    return {
      status: response.status,
      body: (isJson ? await response.json() : await response.arrayBuffer()) as T,
      headers: response.headers,
    };
  }

  async signIn(email: string): Promise<this> {
    await this.ask(accountEndpoints.signIn, {}, { email, password });
    return this;
  }
}

export interface ServerUnderTest {
  base: string;
  services: Services;
  jobs: Jobs;
  visitor: () => Visitor;
  /** A visitor signed in with this role. */
  as: (role: Role) => Promise<Visitor>;
  accountId: (role: Role) => string;
  stop: () => Promise<void>;
}

export interface StartWishes {
  /** Whether this process also works on what is queued; otherwise workers have to be started. */
  works?: boolean;
  /** More settings. */
  environment?: NodeJS.ProcessEnv;
  /** A club of other people: accounts are not those of the other servers of a run. */
  elsewhere?: boolean;
  /** Gets every line of the log. */
  logged?: string[];
}

/** The real server on a fresh database of the PostgreSQL named by WAX_DATABASE_URL, with one account for each role. */
export async function startServer({
  works = true,
  environment = {},
  elsewhere = false,
  logged,
}: StartWishes = {}): Promise<ServerUnderTest> {
  const given = process.env.WAX_DATABASE_URL;
  if (!given) throw new Error('WAX_DATABASE_URL is not set; run bin/test api.');
  const name = `test_${uuid().replaceAll('-', '')}`;
  const administration = new Pool({ connectionString: given, max: 1 });
  const { accountIds: known } = await freshDatabase(administration, given, name);
  const databaseUrl = databaseNamed(given, name);
  const home = await mkdtemp(join(tmpdir(), 'wax-fist-api-'));
  const connection = connect(databaseUrl);
  const accountIds = elsewhere ? await othersFor(connection.db) : known;
  const settings = settingsFrom({
    WAX_HOME: home,
    WAX_DATABASE_URL: databaseUrl,
    WAX_PORT: '0',
    WAX_POSE: 'off',
    WAX_ENCODING: 'ultrafast',
    WAX_LIMITS: 'off',
    ...environment,
  });
  const storage = storageFrom(settings);
  const log = openLog(logged ? 'trace' : 'silent', 'test', logged && { write: (line) => void logged.push(line) });
  const jobs = await openJobs(databaseUrl, connection.pool, () => undefined);
  const ending = new AbortController();
  const { db } = connection;
  const worked = { db, storage, home, pose: settings.pose, encoding: settings.encoding, worker: 'test', ending: ending.signal };
  if (works) await takeJobs(new Map([[onlyClubId, worked]]), jobs, log, ending.signal);
  const queue = jobs.queueOf(onlyClubId);
  const services: Services = { ...connection, settings, storage, queue, workersAlive: () => workersAlive(db), log };
  const server = await new Promise<Server>((resolve) => {
    const started = appOf(services, join(home, 'no-web')).listen(0, '127.0.0.1', () => resolve(started));
  });
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    base,
    services,
    jobs,
    visitor: () => new Visitor(base),
    as: (role) => new Visitor(base).signIn(`${role}@club.example`),
    accountId: (role) => accountIds[role],
    async stop() {
      ending.abort();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await jobs.stop().catch(() => undefined);
      await connection.close();
      await administration.query(`drop database ${name} with (force)`);
      await administration.end();
      await rm(home, { recursive: true, force: true });
    },
  };
}

async function othersFor(db: Database): Promise<Record<Role, string>> {
  const ids = Object.fromEntries(roles.map((role) => [role, uuid()])) as Record<Role, string>;
  for (const role of roles) await db.update(account).set({ id: ids[role] }).where(eq(account.role, role));
  return ids;
}

export interface ClubScene {
  traineeId: string;
  sessionId: string;
  filmId: string;
}

/** A trainee, a session and a film that is ready: 600 frames at 60 a second. */
export async function addScene(
  { services: { db } }: { services: Pick<Services, 'db'> },
  heldOn = '2026-03-01',
  rung = 3,
  person = uuid(),
): Promise<ClubScene> {
  const scene = { traineeId: person, sessionId: uuid(), filmId: uuid() };
  await db
    .insert(trainee)
    .values({ id: scene.traineeId, name: 'Somebody', stance: 'orthodox', grade: 'improver' })
    .onConflictDoNothing();
  await db.insert(trainingSession).values({
    id: scene.sessionId,
    traineeId: scene.traineeId,
    heldOn,
    roundKind: 'heavy bag',
    rung,
    ...(await standardFor(db, null)),
  });
  const timeline = timelineOf(Array.from({ length: 600 }, (_, frame) => (frame * 1000) / 60));
  await db.insert(film).values({
    id: scene.filmId,
    sessionId: scene.sessionId,
    view: 'lead-side',
    fileName: 'round.mp4',
    bytes: 1000,
    state: 'ready',
    frames: timeline.length,
    ...{ width: 1280, height: 720 },
    firstFrameAt: 0,
    duration: 10_000,
    timeline: Buffer.from(packTimeline(timeline)),
  });
  return scene;
}
