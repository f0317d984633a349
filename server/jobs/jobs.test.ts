import { messageOf } from '@wax-fist/core/message-of';
import { footageEndpoints, importSteps, type Film, type ImportStep } from '@wax-fist/contract/footage';
import { expect } from 'chai';
import { and, eq, sql } from 'drizzle-orm';
import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { copyFile, mkdir, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { v7 as uuid } from 'uuid';
import { film, filmStep, workerSign } from '../db/schema/index.ts';
import { blows, ffmpeg, made } from '../test/films.ts';
import { eventually } from '../test/eventually.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../test/server-under-test.ts';
import { openJobs } from './queue.ts';
import { importRules } from './import-steps.ts';
import { tidyDrafts } from './tidy-drafts.ts';
import { addMissingSteps, addSteps, workOnFilm } from './work-on-film.ts';
import { program } from '../test/program.ts';

describe('the steps of an import', () => {
  it('need only steps that come before them, and what is essential needs nothing else', () => {
    for (const [place, step] of importSteps.entries()) {
      for (const needed of importRules[step].after) {
        expect(importSteps.indexOf(needed)).to.be.below(place);
        if (importRules[step].essential) expect(importRules[needed].essential).to.equal(true);
      }
    }
  });
});

describe('workers', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let sessionId: string;
  let folder: string;
  const workers: ChildProcess[] = [];
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    ({ sessionId } = await addScene(server));
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-jobs-'));
  });
  afterEach(async () => {
    for (const worker of workers.splice(0)) await killed(worker, 'SIGKILL');
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });

  function startWorker(): ChildProcess {
    const { home, databaseUrl } = server.services.settings;
    const environment = { ...process.env, WAX_HOME: home, WAX_DATABASE_URL: databaseUrl, WAX_LOG: 'silent' };
    const worker = spawn(process.execPath, [program('worker')], {
      env: environment,
      stdio: 'inherit',
    });
    workers.push(worker);
    return worker;
  }
  async function killed(worker: ChildProcess, signal: NodeJS.Signals): Promise<void> {
    if (worker.exitCode !== null || worker.signalCode !== null) return;
    const exit = once(worker, 'exit');
    worker.kill(signal);
    await exit;
  }

  it('that start at the same moment on an empty database do not lock each other out', async () => {
    const { pool, settings } = server.services;
    await pool.query('drop schema if exists pgboss cascade');
    const opened = await Promise.all(Array.from({ length: 5 }, () => openJobs(settings.databaseUrl, pool, () => undefined)));
    await Promise.all(opened.map((queue) => queue.stop()));
  });

  const sound = ['-f', 'lavfi', '-i', 'sine=f=300:d=20', '-c:a', 'aac'];
  const picture = ['-f', 'lavfi', '-i', 'testsrc2=s=640x480:r=30:d=20,noise=alls=7:allf=t'];
  const coding = ['-c:v', 'libx264', '-preset', 'ultrafast', '-pix_fmt', 'yuv420p'];
  let drawn: Promise<string> | undefined;
  /** A film whose review copy takes some seconds on a fast machine too: how far it is, is told once a second. */
  const longFilm = async (path: string): Promise<void> =>
    copyFile(await (drawn ??= made(folder, 'drawn.mp4', (to) => ffmpeg(...picture, ...sound, ...coding, to))), path);
  async function queued(make: (path: string) => Promise<unknown>): Promise<string> {
    const { db, storage, queue } = server.services;
    const id = uuid();
    await storage.keep(await made(folder, `${id}.mp4`, make), id, 'original');
    await db.insert(film).values({ id, sessionId, view: 'front', fileName: 'round.mp4', bytes: 1000 });
    await addSteps(db, id);
    await queue.importFilm(id);
    return id;
  }
  const shown = async (filmId: string): Promise<Film> => (await coach.ask<Film>(footageEndpoints.showFilm, { filmId })).body;
  const stepOf = (film: Film, step: ImportStep) => film.steps.find((one) => one.step === step)!;
  const until = (filmId: string, holds: (seen: Film) => boolean): Promise<Film> =>
    eventually('the import', () => shown(filmId), holds, 90_000);
  /** Encoders that work on a film. */
  async function working(filmId: string): Promise<number[]> {
    const { stdout } = await promisify(execFile)('pgrep', ['-f', `ffmpeg.*${filmId}`]).catch(() => ({ stdout: '' }));
    return stdout.split('\n').filter(Boolean).map(Number);
  }
  const halfWay = (film: Film): boolean => {
    const { state, progress } = stepOf(film, 'review-copy');
    return state === 'working' && progress > 0.05 && progress < 1;
  };
  const over = (film: Film): boolean => film.steps.every(({ state }) => state !== 'waiting' && state !== 'working');

  it('a film whose worker is killed half way is worked in by the next one, and the time left is told', async () => {
    const worker = startWorker();
    const filmId = await queued(longFilm);
    const film = await until(filmId, halfWay);
    expect(stepOf(film, 'review-copy').left).to.be.above(0);
    await killed(worker, 'SIGKILL');
    await eventually(
      'the end of its child',
      () => working(filmId),
      (left) => left.length === 0,
      5000,
    );
    startWorker();
    const done = await until(filmId, over);
    expect(done.state).to.equal('ready');
    // Bodies are not followed here.
    expect(done.steps.map(({ state }) => state)).to.deep.equal(
      importSteps.map((step) => (importRules[step].needsPose ? 'skipped' : 'done')),
    );
    const attempts = await server.services.db
      .select({ attempts: filmStep.attempts, step: filmStep.step })
      .from(filmStep)
      .where(eq(filmStep.filmId, filmId));
    expect(attempts.find(({ step }) => step === 'review-copy')!.attempts).to.equal(2);
    expect(attempts.find(({ step }) => step === 'probe')!.attempts).to.equal(1);
  });

  it('an encoder that is killed is not the fault of the film: the step is tried again, and the film is whole', async () => {
    startWorker();
    const filmId = await queued(longFilm);
    await until(filmId, halfWay);
    for (const pid of await working(filmId)) process.kill(pid, 'SIGKILL');
    const done = await until(filmId, over);
    expect([done.state, done.remark, done.frames]).to.deep.equal(['ready', null, 600]);
  });

  it('what workers that are gone left half made is removed, and nothing of those that are there', async () => {
    const { db, settings } = server.services;
    for (const name of ['gone', 'here']) await mkdir(join(settings.home, 'drafts', name, 'a-film'), { recursive: true });
    await db.insert(workerSign).values({ worker: 'here', seenAt: new Date() });
    expect(await tidyDrafts(db, settings.home))
      .to.include('gone')
      .and.not.include('here');
    expect(await readdir(join(settings.home, 'drafts')))
      .to.include('here')
      .and.not.include('gone');
  });

  it('a worker that is told to end gives its step back at once', async () => {
    const worker = startWorker();
    const filmId = await queued(longFilm);
    await until(filmId, halfWay);
    await killed(worker, 'SIGTERM');
    const film = await shown(filmId);
    expect(stepOf(film, 'review-copy').state).to.equal('waiting');
    await coach.ask(footageEndpoints.stopFilm, { filmId });
  });

  it('a coach can stop an import, and go on with it later', async () => {
    startWorker();
    const filmId = await queued(longFilm);
    await until(filmId, halfWay);
    const stopped = await coach.ask<Film>(footageEndpoints.stopFilm, { filmId });
    expect(stopped.body.state).to.equal('stopped');
    await new Promise((resolve) => setTimeout(resolve, 2500));
    const still = await shown(filmId);
    expect(still.state).to.equal('stopped');
    expect(still.steps.some(({ state }) => state === 'working')).to.equal(false);
    await coach.ask(footageEndpoints.retryFilm, { filmId });
    expect((await until(filmId, over)).state).to.equal('ready');
  });

  it('two workers share the films, and do nothing twice', async () => {
    await server.services.db.delete(workerSign);
    startWorker();
    startWorker();
    await eventually(
      'both workers',
      () => server.services.db.$count(workerSign),
      (there) => there === 2,
    );
    const films = await Promise.all(Array.from({ length: 4 }, () => queued((path) => blows(4, 0, path))));
    for (const filmId of films) expect((await until(filmId, over)).state).to.equal('ready');
    const rows = await server.services.db
      .select()
      .from(filmStep)
      .where(sql`${filmStep.filmId} in ${films}`);
    expect(new Set(rows.map(({ attempts }) => attempts))).to.deep.equal(new Set([1]));
    expect(new Set(rows.map(({ worker }) => worker)).size).to.equal(2);
  });

  it('a step that breaks off three times is given up, in words; the review goes on without it', async () => {
    const { db, storage, settings } = server.services;
    const filmId = await queued((path) => blows(3, 0, path));
    const lame = {
      ...storage,
      keep: (path: string, id: string, file: Parameters<typeof storage.keep>[2]) =>
        file === 'strip.jpg' ? Promise.reject(new Error('disk full')) : storage.keep(path, id, file),
    };
    const work = () => workOnFilm({ db, storage: lame, home: settings.home, worker: 'lame' }, filmId, 'rest');
    for (const attempt of [1, 2]) {
      await work().then(
        () => expect.fail(`attempt ${attempt} should have been thrown on, so that the queue tries again`),
        (error: unknown) => expect(messageOf(error)).to.equal('disk full'),
      );
      expect(stepOf(await shown(filmId), 'film-strip')).to.deep.include({
        state: 'waiting',
        reason: 'It broke off and is tried again.',
      });
    }
    await work();
    const film = await shown(filmId);
    expect(film.state).to.equal('ready');
    expect(stepOf(film, 'film-strip')).to.deep.include({ state: 'failed' });
    expect(stepOf(film, 'film-strip').reason).to.match(/3 times/);
    expect(stepOf(film, 'hits').state).to.equal('done');
  });

  it('a film that was here before a step was known is given that step, and nothing is done again', async () => {
    startWorker();
    const filmId = await queued((path) => blows(3, 0, path));
    await until(filmId, over);
    const { db } = server.services;
    await killed(workers[0]!, 'SIGTERM');
    await db.delete(filmStep).where(and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'motion')));
    startWorker();
    await until(filmId, ({ steps }) => steps.some(({ step, state }) => step === 'motion' && state === 'done'));
    const attempts = await db.select({ attempts: filmStep.attempts }).from(filmStep).where(eq(filmStep.filmId, filmId));
    expect(attempts.map((one) => one.attempts)).to.deep.equal(importSteps.map(() => 1));
  });

  it('a film that was stopped is not begun by a step that is new', async () => {
    const { db } = server.services;
    const filmId = uuid();
    await db
      .insert(film)
      .values({ id: filmId, sessionId, view: 'front', fileName: 'stopped.mp4', bytes: 1000, state: 'stopped' });
    expect(await addMissingSteps({ db })).to.not.include(filmId);
    expect((await shown(filmId)).steps.map(({ state }) => state)).to.deep.equal(importSteps.map(() => 'stopped'));
  });
});
