import { backupEndpoints, type Backup } from '@wax-fist/contract/backups';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { copyFile, mkdir, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Pool } from 'pg';
import { v7 as uuid } from 'uuid';
import { connect, type Connection } from '../../db/connection.ts';
import { film, note, trainee } from '../../db/schema/index.ts';
import { folderStorage } from '../../storage/folder.ts';
import { sha256Of, type Storage } from '../../storage/storage.ts';
import { databaseNamed } from '../../test/database-named.ts';
import { blows, made } from '../../test/films.ts';
import { importFilm } from '../../test/import-film.ts';
import { roundOfMarks } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { putBack, remove } from '../removals/removals.ts';
import { objectPath, openOrMakePlace, openPlace, readSnapshot, snapshotNames } from './place.ts';
import { readBackup } from './read-backup.ts';
import { verifyBackup, writeBackup, type Written } from './write-backup.ts';

const passphrase = 'salt and rope and water';
const quiet = (): void => undefined;
const problem = (promise: Promise<unknown>): Promise<string> =>
  promise.then(
    () => '',
    (error: unknown) => (error as Error).message,
  );

/** Every row of every table, in order, as text. */
async function everything({ pool }: Connection): Promise<Record<string, string>> {
  const names = await pool.query<{ name: string }>(
    `select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname in ('public', 'drizzle') order by 1`,
  );
  const all: Record<string, string> = {};
  for (const { name } of names.rows) {
    const { rows } = await pool.query<{ row: string }>(`select one::text as row from ${name} as one order by 1`);
    all[name] = rows.map(({ row }) => row).join('\n');
  }
  return all;
}

async function everyFile(home: string): Promise<Record<string, string>> {
  const all: Record<string, string> = {};
  for (const entry of await readdir(join(home, 'clips'), { recursive: true, withFileTypes: true }))
    if (entry.isFile())
      all[join(entry.parentPath, entry.name).slice(home.length)] = await sha256Of(join(entry.parentPath, entry.name));
  return all;
}

describe('backups', function () {
  this.timeout(90_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  let folder: string;
  let original: string;
  before(async () => {
    server = await startServer();
    coach = await server.as('coach');
    scene = await addScene(server);
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-backups-'));
    original = await made(folder, 'bag.mp4', (path) => blows(3, 0, path));
    await importFilm(coach, scene.sessionId, original);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: roundOfMarks(['fault', 'clean', 'watch']) });
    const voice = Buffer.from([0, 1, 2, 255]);
    await server.services.db
      .insert(note)
      .values({ id: uuid(), sessionId: scene.sessionId, text: 'Ø “quoted”', voice, voiceType: 'audio/webm', voiceLasts: 1 });
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });

  let place: string;
  beforeEach(async () => (place = await mkdtemp(join(folder, 'place-'))));

  const write = async (change: { keep?: number; storage?: Storage } = {}): Promise<Written> => {
    const { settings, storage, db, pool, close } = server.services;
    const connection = { db, pool, close };
    return writeBackup({ settings, connection, storage, place: await openOrMakePlace(place, passphrase), say: quiet, ...change });
  };
  const verify = async (name: string) => verifyBackup(await openPlace(place, passphrase), name, quiet);

  /** Restores into a database and a data folder where nothing is, and does something there. */
  async function elsewhere<T>(
    doing: (home: string, connection: Connection, restore: () => Promise<unknown>) => Promise<T>,
  ): Promise<T> {
    const name = `restored_${uuid().replaceAll('-', '')}`;
    const administration = new Pool({ connectionString: process.env.WAX_DATABASE_URL, max: 1 });
    await administration.query(`create database ${name}`);
    const databaseUrl = databaseNamed(process.env.WAX_DATABASE_URL!, name);
    const connection = connect(databaseUrl);
    const home = await mkdtemp(join(folder, 'home-'));
    const restore = async () =>
      readBackup({
        ...{ settings: { databaseUrl, home }, connection, storage: folderStorage(home), say: quiet },
        place: await openPlace(place, passphrase),
      });
    try {
      return await doing(home, connection, restore);
    } finally {
      await connection.close();
      await administration.query(`drop database ${name} with (force)`);
      await administration.end();
    }
  }

  it('put every row and every byte back as it was, on a machine where nothing is', async () => {
    const { films } = await write();
    expect(films).to.equal(2);
    await elsewhere(async (home, connection, restore) => {
      await restore();
      const [before, after] = [await everything(server.services), await everything(connection)];
      // That it was backed up is written down after it was.
      delete before['public.backup'];
      delete after['public.backup'];
      expect(Object.keys(after)).to.deep.equal(Object.keys(before));
      for (const [table, rows] of Object.entries(before)) expect(after[table], table).to.equal(rows);
      const files = await everyFile(home);
      expect(files).to.deep.equal(await everyFile(server.services.settings.home));
      expect(Object.keys(files)).to.have.length.of.at.least(4);
      expect(Object.values(files)).to.include(await sha256Of(original));
      const secret = 'cookie-secret';
      expect(await readFile(join(home, secret), 'utf8')).to.equal(
        await readFile(join(server.services.settings.home, secret), 'utf8'),
      );
      expect(await problem(restore()), 'nothing is ever overwritten').to.include('holds a club already');
    });
  });

  it('write a film once, and what is new only', async () => {
    const first = await write();
    expect(first.added).to.equal(first.bytes);
    expect((await write()).added).to.equal(0);
    const again = await importFilm(coach, scene.sessionId, await made(folder, 'other.mp4', (path) => blows(4, 1, path)));
    const third = await write();
    expect(third.added).to.equal(third.bytes - first.bytes);
    expect(await snapshotNames(place)).to.have.length(3);
    await server.services.db.delete(film).where(eq(film.id, again.id));
    await server.services.storage.remove(again.id);
  });

  it('are told on the page of the head coach, with when they were read back', async () => {
    const { name, bytes } = await write();
    const head = await server.as('head-coach');
    const [newest] = (await head.ask<Backup[]>(backupEndpoints.listBackups)).body;
    expect(newest).to.deep.include({ name, bytes, films: 2 });
    expect(newest!.verifiedAt >= newest!.madeAt).to.equal(true);
  });

  it('say which file is damaged or missing, and hold nothing that can be read without the passphrase', async () => {
    const { name } = await write();
    const open = await openPlace(place, passphrase);
    const { films } = await readSnapshot(open, name);
    const path = objectPath(open, films[0]!);
    const whole = await readFile(path);
    const flipped = Buffer.from(whole);
    flipped[flipped.length >> 1]! ^= 4;
    await writeFile(path, flipped);
    expect(await problem(verify(name))).to.include('is damaged');
    await rm(path);
    expect(await problem(verify(name))).to.include('is missing');
    // The next backup finds that out, and writes it again.
    expect((await write()).added).to.be.above(0);
    await verify((await snapshotNames(place))[0]!);

    const texts = await Promise.all(
      (await readdir(place, { recursive: true, withFileTypes: true }))
        .filter((entry) => entry.isFile())
        .map(({ parentPath, name: file }) => readFile(join(parentPath, file))),
    );
    const secrets = ['Somebody', 'quoted', scene.filmId, 'ftyp', 'PGDMP'];
    for (const secret of secrets)
      expect(
        texts.some((text) => text.includes(secret)),
        secret,
      ).to.equal(false);
    expect(await problem(openPlace(place, 'another passphrase'))).to.include('not the passphrase');
  });

  it('begin again when a film is removed while it is kept, and hold no half of it', async () => {
    const victim = (await importFilm(coach, scene.sessionId, await made(folder, 'gone.mp4', (path) => blows(5, 2, path)))).id;
    const { db, storage } = server.services;
    const vanishing: Storage = {
      ...storage,
      async list(filmId) {
        const listed = await storage.list(filmId);
        if (filmId !== victim) return listed;
        await db.delete(film).where(eq(film.id, victim));
        await storage.remove(victim);
        return listed;
      },
    };
    const { name, films } = await write({ storage: vanishing });
    expect(films).to.equal(2);
    const snapshot = await verify(name);
    expect(snapshot.films.some(({ filmId }) => filmId === victim)).to.equal(false);
    expect(await snapshotNames(place)).to.deep.equal([name]);
  });

  it('hold what was removed and can still be put back, with its bytes', async () => {
    const path = await made(folder, 'removed.mp4', (to) => blows(4, 1, to));
    const filmId = (await importFilm(coach, scene.sessionId, path)).id;
    const { db } = server.services;
    const removed = await remove(db, 'film', filmId, server.accountId('coach'));
    await write();
    await elsewhere(async (home, connection, restore) => {
      await restore();
      await putBack(connection.db, removed.id);
      expect(await connection.db.$count(film, eq(film.id, filmId))).to.equal(1);
      const kept = await folderStorage(home).bring(filmId, 'original');
      expect(await sha256Of(kept)).to.equal(await sha256Of(path));
    });
    await putBack(db, removed.id);
  });

  it('are none before they have come to their end, and what broke off is tidied up', async () => {
    const { storage } = server.services;
    const breaking: Storage = { ...storage, read: () => Promise.reject(new Error('the power went')) };
    expect(await problem(write({ storage: breaking }))).to.equal('the power went');
    expect(await snapshotNames(place)).to.deep.equal([]);
    await mkdir(join(place, '.half'), { recursive: true });
    await copyFile(original, join(place, '.half', 'rest'));
    const { name } = await write();
    expect(await snapshotNames(place)).to.deep.equal([name]);
    expect(await readdir(join(place, '.half'))).to.deep.equal([]);
  });

  it('of which only the newest are kept lose what none of these needs', async () => {
    const extra = (await importFilm(coach, scene.sessionId, await made(folder, 'short.mp4', (path) => blows(6, 0, path)))).id;
    await write();
    const count = async () =>
      (await readdir(join(place, 'films'), { recursive: true, withFileTypes: true })).filter((one) => one.isFile()).length;
    const before = await count();
    await server.services.db.delete(film).where(eq(film.id, extra));
    await server.services.storage.remove(extra);
    const { name } = await write({ keep: 1 });
    expect(await snapshotNames(place)).to.deep.equal([name]);
    expect(await count()).to.be.below(before);
    await verify(name);
  });

  it('are refused where they would lie among other things, with a short passphrase, and of a newer version', async () => {
    expect(await problem(openOrMakePlace(place, 'short'))).to.include('at least 12');
    await writeFile(join(place, 'holiday.jpg'), '');
    expect(await problem(openOrMakePlace(place, passphrase))).to.include('holds other things');
    await rm(join(place, 'holiday.jpg'));
    await server.services.pool.query(`insert into drizzle.__drizzle_migrations (hash, created_at) values ('from the future', 1)`);
    await write();
    await server.services.pool.query(`delete from drizzle.__drizzle_migrations where hash = 'from the future'`);
    await elsewhere(async (_home, connection, restore) => {
      expect(await problem(restore())).to.include('newer version');
      expect((await connection.pool.query(`select from pg_tables where schemaname = 'public'`)).rowCount).to.equal(0);
    });
    expect(await server.services.db.$count(trainee)).to.equal(1);
  });
});
