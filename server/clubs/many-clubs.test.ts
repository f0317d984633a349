import { accountEndpoints } from '@wax-fist/contract/accounts';
import { filmFileUrl, footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { healthEndpoints } from '@wax-fist/contract/health';
import { peopleEndpoints, type BehindLink } from '@wax-fist/contract/people';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { messageOf } from '@wax-fist/core/message-of';
import { expect } from 'chai';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { whileConnected, type Connection } from '../db/connection.ts';
import { openOrMakePlace } from '../features/backups/place.ts';
import { readBackup } from '../features/backups/read-backup.ts';
import { writeBackup } from '../features/backups/write-backup.ts';
import { settingsFrom, type Settings } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import { databaseNamed } from '../test/database-named.ts';
import { eventually } from '../test/eventually.ts';
import { blows, made } from '../test/films.ts';
import { freePort } from '../test/free-port.ts';
import { importFilm } from '../test/import-film.ts';
import { startS3 } from '../test/s3-store.ts';
import { addScene, password, Visitor } from '../test/server-under-test.ts';
import { VisitorAt } from '../test/visitor-at.ts';
import { settingsOfClub } from './club-settings.ts';
import { openHouse } from './house.ts';
import { addClub, clubAt, inviteHeadCoach, listClubs, removeClub, setClosed, type RegisteredClub } from './register.ts';
import { program, type Program } from '../test/program.ts';

/** Two servers and two workers, each with a disk of its own as on a machine of its own, one PostgreSQL and one store. */
describe('an installation of many clubs on several machines', function () {
  this.timeout(120_000);
  const register = `register_${uuid().replaceAll('-', '')}`;
  const [north, south] = ['north.example', 'south.example'] as const;
  const running: ChildProcess[] = [];
  let folder: string;
  let store: Awaited<ReturnType<typeof startS3>>;
  let administration: Pool;
  let house: Connection;
  let settings: Settings;
  let environment: NodeJS.ProcessEnv;
  /** Addresses of the two servers. */
  let bases: string[];
  const clubs = new Map<string, RegisteredClub>();
  const coaches = new Map<string, Visitor>();

  async function start(name: Program, home: string, more: NodeJS.ProcessEnv = {}): Promise<ChildProcess> {
    const child = spawn(process.execPath, [program(name)], {
      env: { ...environment, WAX_HOME: join(folder, home), ...more },
      stdio: 'inherit',
    });
    running.push(child);
    return Promise.resolve(child);
  }
  const inClub = <T>(host: string, doing: (connection: Connection) => Promise<T>): Promise<T> =>
    whileConnected(settingsOfClub(settings, clubs.get(host)!).databaseUrl, doing);
  const statusOf = (visitor: Visitor, path: string): Promise<number> =>
    visitor.fetch(path).then(
      async (response) => (await response.arrayBuffer(), response.status),
      () => 0,
    );
  /** Somebody comes in by an invitation as head coach, at a server. */
  async function headCoach(host: string, base: string): Promise<Visitor> {
    const code = await inClub(host, ({ db }) => inviteHeadCoach(db, `Head of ${host}`));
    const visitor = new VisitorAt(base, host);
    const behind = await eventually(
      'the club to be open',
      () => visitor.ask<BehindLink>(peopleEndpoints.behindLink, { code }),
      ({ status }) => status === 200,
    );
    expect(behind.body.role).to.equal('head-coach');
    // The same address in both clubs: they know nothing of each other.
    const person = { email: 'head@club.example', name: `Head of ${host}`, password };
    expect((await visitor.ask(peopleEndpoints.join, { code }, person)).status).to.equal(200);
    return visitor;
  }

  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-many-'));
    store = await startS3(folder);
    const given = process.env.WAX_DATABASE_URL!;
    administration = new Pool({ connectionString: given, max: 1 });
    await administration.query(`create database ${register}`);
    const { endpoint, region, bucket, accessKeyId, secretAccessKey } = store.settings;
    environment = {
      ...process.env,
      ...{ WAX_DATABASE_URL: databaseNamed(given, register), WAX_CLUBS: 'many', WAX_SECRET: 'the same everywhere' },
      ...{ WAX_S3_ENDPOINT: endpoint, WAX_S3_REGION: region, WAX_S3_BUCKET: bucket },
      ...{ WAX_S3_KEY: accessKeyId, WAX_S3_SECRET: secretAccessKey, WAX_POSE: 'off', WAX_LOG: 'fatal' },
    };
    settings = settingsFrom({ ...environment, WAX_HOME: join(folder, 'here') });
    house = await openHouse(settings);
    clubs.set(north, await addClub(house, settings, { called: 'The northern club', host: north }));
    const ports = [await freePort(), await freePort()];
    bases = ports.map((port) => `http://127.0.0.1:${port}`);
    await Promise.all([
      start('server', 'machine-a', { WAX_PORT: String(ports[0]) }),
      start('server', 'machine-b', { WAX_PORT: String(ports[1]) }),
      start('worker', 'machine-c'),
      start('worker', 'machine-d'),
    ]);
    for (const base of bases)
      await eventually(
        'the installation to be well',
        () => statusOf(new Visitor(base), healthEndpoints.health.path),
        (status) => status === 200,
      );
    coaches.set(north, await headCoach(north, bases[0]!));
  });
  after(async () => {
    for (const child of running) child.kill('SIGKILL');
    for (const { host, closed } of await listClubs(house.db)) {
      if (!closed) await setClosed(house.db, host, true);
      await removeClub(house, settings, host);
    }
    await house.close();
    await administration.query(`drop database ${register} with (force)`);
    await administration.end();
    await store.stop();
    await rm(folder, { recursive: true, force: true });
  });

  it('opens a club that is added while it runs, in which somebody comes in by a link', async () => {
    clubs.set(south, await addClub(house, settings, { called: 'The southern club', host: 'South.Example:443' }));
    coaches.set(south, await headCoach(south, bases[1]!));
    expect((await listClubs(house.db)).map(({ host }) => host)).to.deep.equal([north, south]);
  });

  it('keeps what one club has from the other: by address, by sign-in, by id', async () => {
    const [ours, theirs] = [coaches.get(north)!, coaches.get(south)!];
    const { traineeId, sessionId } = await inClub(north, (services) => addScene({ services }));
    expect((await ours.ask(traineeEndpoints.showTrainee, { traineeId })).body.name).to.equal('Somebody');
    expect((await theirs.ask(traineeEndpoints.showTrainee, { traineeId })).status).to.equal(404);
    expect((await theirs.ask(sessionEndpoints.showSession, { sessionId })).status).to.equal(404);
    expect((await theirs.ask(traineeEndpoints.listTrainees)).body.rows).to.deep.equal([]);
    // The cookie of one club, taken to the address of the other.
    const astray = new VisitorAt(bases[0]!, south, ours.cookie);
    await eventually(
      'the other server to have the club open, and to refuse the cookie there',
      () => statusOf(astray, traineeEndpoints.listTrainees.path),
      (status) => status === 401,
    );
    const nowhere = new VisitorAt(bases[0]!, 'elsewhere.example');
    expect((await nowhere.ask(accountEndpoints.me)).status).to.equal(404);
    expect(await (await nowhere.fetch('/')).text()).to.include('No club is known by this address');
  });

  it('keeps a connection for longer than the proxy in front of it: who closes first loses what is asked at that moment', async () => {
    const { headers } = await fetch(`${bases[0]!}/api/health`);
    expect(Number(/timeout=(\d+)/.exec(headers.get('keep-alive') ?? '')?.[1])).to.be.above(60);
  });

  it('has PostgreSQL refuse a club the database of another, and that of the installation', async () => {
    const { username, password: own } = new URL(settingsOfClub(settings, clubs.get(south)!).databaseUrl);
    for (const there of [settingsOfClub(settings, clubs.get(north)!).databaseUrl, settings.databaseUrl]) {
      const address = new URL(there);
      Object.assign(address, { username, password: own });
      const refused = await new Pool({ connectionString: address.href, max: 1 }).query('select 1 from pg_database').then(
        () => 'let in',
        (error: unknown) => (error as { code: string }).code,
      );
      expect(refused, address.pathname).to.equal('42501');
    }
  });

  it('signs in at one server and asks the other, whichever answers', async () => {
    const here = new VisitorAt(bases[0]!, north);
    await here.signIn('head@club.example');
    const there = new VisitorAt(bases[1]!, north, here.cookie);
    expect((await there.ask(accountEndpoints.me)).body.name).to.equal(`Head of ${north}`);
  });

  it('imports films of both clubs, each into its own part of the store, also when a worker dies over them', async () => {
    const path = await made(folder, 'bag.mp4', (to) => blows(5, 0, to));
    const dies = running.at(-1)!;
    const films = await Promise.all(
      [north, south].map(async (host) => {
        const { sessionId } = await inClub(host, (services) => addScene({ services }));
        const importing = importFilm(coaches.get(host)!, sessionId, path);
        dies.kill('SIGKILL');
        return { host, film: await importing };
      }),
    );
    const keys = await readdir(join(folder, 's3'), { recursive: true });
    for (const { host, film } of films) {
      expect(film.state, film.remark ?? '').to.equal('ready');
      const kept = keys.filter((key) => key.includes(film.id));
      expect(kept).to.not.deep.equal([]);
      for (const key of kept) expect(key).to.include(`clubs/${clubs.get(host)!.id}/`);
      const other = host === north ? south : north;
      const url = filmFileUrl(film.id, 'film.mp4');
      expect(await statusOf(coaches.get(host)!, url)).to.equal(200);
      expect(await statusOf(coaches.get(other)!, url)).to.equal(404);
      // By the server that never saw it come in.
      const elsewhere = new VisitorAt(
        bases.find((base) => base !== coaches.get(host)!.base)!,
        host,
      );
      await elsewhere.signIn('head@club.example');
      expect((await elsewhere.ask<Film>(footageEndpoints.showFilm, { filmId: film.id })).body.state).to.equal('ready');
      expect(await statusOf(elsewhere, url)).to.equal(200);
    }
  });

  it('puts a backup of one club into an empty one that was added for it, with its films', async () => {
    const moved = 'moved.example';
    const place = await openOrMakePlace(join(folder, 'backup'), 'a sentence to seal with');
    const say = (): void => undefined;
    const own = (host: string) => settingsOfClub(settings, clubs.get(host)!);
    const shared = (host: string) => ({ settings: own(host), storage: storageFrom(own(host)), place, say });
    await inClub(north, (connection) => writeBackup({ ...shared(north), connection }));
    clubs.set(moved, await addClub(house, settings, { called: 'The club that moved', host: moved, empty: true }));
    const { films } = await inClub(moved, (connection) => readBackup({ ...shared(moved), connection }));
    expect(films).to.not.deep.equal([]);
    await setClosed(house.db, moved, false);
    const coach = new VisitorAt(bases[0]!, moved);
    const seen = await eventually(
      'the club that moved to be open',
      async () => (await coach.signIn('head@club.example')).ask(traineeEndpoints.listTrainees),
      ({ status }) => status === 200,
    );
    expect(seen.body.rows).to.not.deep.equal([]);
    expect(await statusOf(coach, filmFileUrl(films[0]!.filmId, 'film.mp4'))).to.equal(200);
  });

  it('closes a club within seconds, opens it again as it was, and removes only what is closed', async () => {
    const coach = coaches.get(south)!;
    const seen = (): Promise<number> => statusOf(coach, traineeEndpoints.listTrainees.path);
    await setClosed(house.db, south, true);
    await eventually('the club to be closed', seen, (status) => status === 404);
    expect(await statusOf(coaches.get(north)!, traineeEndpoints.listTrainees.path)).to.equal(200);
    await setClosed(house.db, south, false);
    await eventually('the club to be open again', seen, (status) => status === 200);

    await removeClub(house, settings, south).then(
      () => expect.fail('an open club was removed'),
      (error: unknown) => expect(messageOf(error)).to.include('is open'),
    );
    await setClosed(house.db, south, true);
    await removeClub(house, settings, south);
    const { rows } = await administration.query('select from pg_database where datname like $1', [
      `%${clubs.get(south)!.id.replaceAll('-', '')}`,
    ]);
    expect(rows).to.deep.equal([]);
    const keys = await readdir(join(folder, 's3'), { recursive: true });
    expect(keys.filter((key) => key.includes(clubs.get(south)!.id) && key.includes('original'))).to.deep.equal([]);
    await clubAt(house.db, south).then(
      () => expect.fail('it is still in the register'),
      (error: unknown) => expect(messageOf(error)).to.include('No club is known'),
    );
  });

  it('says in words what does not belong together', async () => {
    const refusals = [
      () => addClub(house, settings, { called: 'Again', host: north }),
      () => addClub(house, settings, { called: 'Bad', host: 'no host/at all' }),
      () => openHouse({ databaseUrl: settings.databaseUrl, manyClubs: false }),
      () => openHouse({ databaseUrl: settingsOfClub(settings, clubs.get(north)!).databaseUrl, manyClubs: true }),
    ];
    const said = await Promise.all(refusals.map((act) => act().then(() => 'nothing', messageOf)));
    expect(said[0]).to.include('already');
    expect(said[1]).to.include('not a host name');
    expect(said[2]).to.include('WAX_CLUBS=many');
    expect(said[3]).to.include('holds one club');
  });
});
