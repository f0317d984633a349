import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { pointAt, pointIn, unpackTrack } from '@wax-fist/core/body';
import { frameNearest, timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { median, sum } from 'd3-array';
import { and, eq } from 'drizzle-orm';
import { rejects } from 'node:assert/strict';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { film, filmPoints, filmStep, holderPoints, secondPassPoints } from '../db/schema/index.ts';
import { filmPath, truthOfFilm } from '../demo/footage.ts';
import { notYetIn, piecesRound } from '../pose/second-pass.ts';
import { eventually } from '../test/eventually.ts';
import { ffmpeg } from '../test/films.ts';
import { importFilm } from '../test/import-film.ts';
import { thrown } from '../test/marks.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../test/server-under-test.ts';
import { filmNamed, GaveWay } from './import-step.ts';
import { importRules } from './import-steps.ts';
import { lookAtNewStrikes } from './look-at-new-strikes.ts';
import { keepPiece } from './steps/keep-piece.ts';
import { secondPassStep } from './steps/second-pass.ts';
import { addMissingSteps, addSteps, workOnFilm } from './work-on-film.ts';

describe('what a second pass looks at', () => {
  const timeline = timelineOf(Array.from({ length: 900 }, (_, frame) => (frame * 1000) / 30));
  const whole = [
    { from: 300, frames: 300 },
    { from: 0, frames: 300 },
    { from: 600, frames: 300 },
  ];
  const frames = (pieces: readonly { from: number; frames: number }[]): number[] =>
    pieces.flatMap((piece) => Array.from({ length: piece.frames }, (_, place) => piece.from + place));

  it('is half a second before a launch to most of one after it is home', () => {
    expect(piecesRound(timeline, [{ launchFrame: 100, homeFrame: 120 }], whole)).to.deep.equal([{ from: 85, frames: 57 }]);
  });
  it('ends with the film', () => {
    const strikes = [
      { launchFrame: 3, homeFrame: 20 },
      { launchFrame: 880, homeFrame: 899 },
    ];
    const pieces = piecesRound(timeline, strikes, whole);
    expect(frames(pieces).filter((frame) => frame < 0 || frame > 899)).to.deep.equal([]);
    expect(pieces[0]!.from).to.equal(0);
  });
  it('is each frame once, in pieces of two seconds at most, none in two pieces of the first pass, those first that were first there', () => {
    const strikes = Array.from({ length: 12 }, (_, place) => ({ launchFrame: 250 + 15 * place, homeFrame: 262 + 15 * place }));
    const pieces = piecesRound(timeline, strikes, whole);
    const looked = frames(pieces);
    expect(new Set(looked).size).to.equal(looked.length);
    expect([Math.min(...looked), Math.max(...looked)]).to.deep.equal([235, 448]);
    expect(looked).to.have.length(448 - 235 + 1);
    for (const { from, frames } of pieces) {
      expect(frames).to.be.at.most(61);
      expect(Math.floor(from / 300)).to.equal(Math.floor((from + frames - 1) / 300));
    }
    expect(pieces[0]!.from).to.be.at.least(300);
  });
  it('is nothing that was looked at already', () => {
    const wanted = [{ from: 10, frames: 50 }];
    expect(notYetIn(wanted, [])).to.deep.equal(wanted);
    expect(notYetIn(wanted, [{ from: 0, frames: 100 }])).to.deep.equal([]);
    expect(notYetIn(wanted, [{ from: 20, frames: 5 }])).to.deep.equal([
      { from: 10, frames: 10 },
      { from: 25, frames: 35 },
    ]);
  });
});

describe('a second pass', function () {
  this.timeout(300_000);
  const name = 'juno-4-lead-side';
  const begins = 1000;
  /** Following a body with `full`, or `heavy`, on a machine that has other things to do. Milliseconds. */
  const longest = 240_000;
  let server: ServerUnderTest;
  let coach: Visitor;
  let folder: string;
  let imported: Film;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-again-'));
    server = await startServer({ environment: { WAX_POSE: 'full' } });
    coach = await server.as('coach');
    const { sessionId } = await addScene(server);
    const path = join(folder, 'jab.mp4');
    await ffmpeg('-ss', String(begins / 1000), '-i', filmPath(name), '-t', '1.5', '-an', path);
    imported = await importFilm(coach, sessionId, path, longest);
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });
  const pieces = () => server.services.db.select().from(secondPassPoints).where(eq(secondPassPoints.filmId, imported.id));
  const step = () =>
    server.services.db
      .select({ state: filmStep.state })
      .from(filmStep)
      .where(and(eq(filmStep.filmId, imported.id), eq(filmStep.step, 'second-pass')));
  const done = () => eventually('the end of the second pass', step, ([row]) => row?.state === 'done', longest);

  it('goes over strikes, those that a coach has marked since as well, and finds the body where it is', async () => {
    const { db, queue } = server.services;
    await done();
    expect(await pieces(), 'seen along, it tells nothing more').to.deep.equal([]);
    await db.update(film).set({ view: 'lead-side' }).where(eq(film.id, imported.id));
    const { frameTimes, strikes, jointNames, pixels, scene } = truthOfFilm(name) as ReturnType<typeof truthOfFilm> & {
      jointNames: string[];
      pixels: number[][];
    };
    const timeline = timelineOf(frameTimes);
    const first = frameNearest(timeline, begins);
    const jab = strikes.find(({ launch }) => launch > begins + 100)!;
    const [launchFrame, contactFrame, homeFrame] = [jab.launch, jab.contact, jab.home].map(
      (time) => frameNearest(timeline, time) - first,
    ) as [number, number, number];
    const marks = [thrown(uuid(), { technique: jab.technique, launchFrame, contactFrame, homeFrame })];
    await coach.ask(reviewEndpoints.writeMarks, { filmId: imported.id }, { marks });
    await lookAtNewStrikes(db, queue);
    await done();
    const { body } = await coach.ask<ArrayBuffer>(footageEndpoints.filmSecondPass, { filmId: imported.id });
    const track = unpackTrack(0, new Uint8Array(body));
    expect(track.frames).to.equal(imported.frames);
    const wrist = scene.stance === 'orthodox' ? 'leftWrist' : 'rightWrist';
    const joint = jointNames.indexOf(wrist) * 2;
    const truly = (frame: number) => pixels[frame + first]!.slice(joint, joint + 2) as [number, number];
    const offFrom = ([trueX, trueY]: [number, number], x: number, y: number): number => Math.hypot(x - trueX, y - trueY);
    const off = Array.from({ length: homeFrame - launchFrame + 1 }, (_, place) => {
      const { x, y } = pointIn(track, launchFrame + place, pointAt[wrist])!;
      return offFrom(truly(launchFrame + place), x, y);
    });
    expect(median(off)).to.be.below(10);
    // A fist at its quickest may be lost for a frame, wherever a window begins: no more than that, and then it is still on its way. Each
    // look begins where the one before ended, so that a thousandth of a pixel decides which frame that is, and how far off it lies.
    expect(off.filter((one) => one > 40)).to.have.length.at.most(1);
    expect(Math.max(...off)).to.be.below(offFrom(truly(launchFrame), ...truly(contactFrame)));
    const known = await pieces();
    expect(sum(known, ({ frames }) => frames)).to.be.at.most(imported.frames!);
    expect(new Set(known.map(({ model }) => model))).to.deep.equal(new Set(['heavy']));
    await lookAtNewStrikes(db, queue);
    expect((await step())[0]!.state, 'what was looked at stays').to.equal('done');
  });

  it('is made anew where somebody else is followed, and only there', async () => {
    const { db, queue } = server.services;
    const before = await pieces();
    expect(before).to.not.deep.equal([]);
    await db.update(filmPoints).set({ revision: 1 }).where(eq(filmPoints.filmId, imported.id));
    await db
      .update(filmStep)
      .set({ state: 'waiting' })
      .where(and(eq(filmStep.filmId, imported.id), eq(filmStep.step, 'second-pass')));
    await queue.importFilm(imported.id, 'later');
    await done();
    const after = await pieces();
    expect(sum(after, ({ frames }) => frames)).to.equal(sum(before, ({ frames }) => frames));
    expect(after.every(({ revision }) => revision === 1)).to.equal(true);
  });

  it('is none where the first pass is made with another model than its trials stand beside', async () => {
    const { db, storage } = server.services;
    await db.delete(secondPassPoints).where(eq(secondPassPoints.filmId, imported.id));
    await secondPassStep({
      ...{ db, storage, film: await filmNamed(db, imported.id), pose: 'lite', draft: () => '' },
      ...{ progress: () => undefined, giveWay: () => Promise.resolve(), signal: new AbortController().signal },
    });
    expect(await pieces()).to.deep.equal([]);
  });

  it('is none where bodies are not followed, which is told without a byte', async () => {
    const quick = await startServer({ environment: { WAX_POSE: 'off' } });
    const { filmId } = await addScene(quick);
    const { status, body } = await (await quick.as('coach')).ask<ArrayBuffer>(footageEndpoints.filmSecondPass, { filmId });
    expect([status, body.byteLength]).to.deep.equal([200, 0]);
    await quick.stop();
  });
});

describe('what takes long', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  const { run } = importRules['second-pass'];
  before(async () => (server = await startServer({ works: false })));
  after(() => server.stop());
  afterEach(() => (importRules['second-pass'].run = run));
  const stateOf = async (filmId: string) => {
    const [row] = await server.services.db
      .select({ state: filmStep.state, attempts: filmStep.attempts })
      .from(filmStep)
      .where(and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'second-pass')));
    return row;
  };

  it('gives way to a film that waits, is no failure by that, and is gone on with', async () => {
    const { db, storage, settings } = server.services;
    const { filmId } = await addScene(server);
    await addSteps(db, filmId);
    await db.update(filmStep).set({ state: 'done' }).where(eq(filmStep.filmId, filmId));
    await db
      .update(filmStep)
      .set({ state: 'waiting' })
      .where(and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'second-pass')));
    let [begun, ended, waiting] = [0, 0, true];
    importRules['second-pass'].run = async ({ giveWay }) => {
      begun++;
      await giveWay();
      ended++;
    };
    const worker = {
      ...{ db, storage, home: settings.home, pose: 'full' as const, worker: 'one' },
      othersWait: () => Promise.resolve(waiting),
    };
    expect(await workOnFilm(worker, filmId, 'rest'), 'it is not begun with the rest').to.equal('later');
    expect(begun).to.equal(0);
    for (let times = 1; times <= 5; times++) expect(await workOnFilm(worker, filmId, 'later')).to.equal('later');
    expect([begun, ended]).to.deep.equal([5, 0]);
    expect(await stateOf(filmId)).to.deep.equal({ state: 'waiting', attempts: 0 });
    waiting = false;
    expect(await workOnFilm(worker, filmId, 'later')).to.equal(undefined);
    expect(ended).to.equal(1);
    expect(await stateOf(filmId)).to.deep.equal({ state: 'done', attempts: 1 });
  });

  it('is not the only one: a body is followed on when others had their turn, with what is added to a film', async () => {
    const { db, storage, settings } = server.services;
    const { filmId } = await addScene(server);
    await addSteps(db, filmId);
    await db.update(filmStep).set({ state: 'done' }).where(eq(filmStep.filmId, filmId));
    const isPose = and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'pose'));
    await db.update(filmStep).set({ state: 'waiting' }).where(isPose);
    let waiting = true;
    const run = importRules.pose.run;
    importRules.pose.run = ({ giveWay }) => giveWay();
    const worker = {
      ...{ db, storage, home: settings.home, pose: 'full' as const, worker: 'one' },
      othersWait: () => Promise.resolve(waiting),
    };
    try {
      expect(await workOnFilm(worker, filmId, 'rest')).to.equal('rest');
      waiting = false;
      expect(await workOnFilm(worker, filmId, 'rest')).to.equal(undefined);
    } finally {
      importRules.pose.run = run;
    }
  });

  it('has kept the piece that it was at, whatever is kept in pieces', async () => {
    const { db } = server.services;
    const { filmId } = await addScene(server);
    const giveWay = () => Promise.reject(new GaveWay());
    const row = { filmId, fromFrame: 0, frames: 3, model: 'lite' as const, version: 1, revision: 0, packed: Buffer.alloc(3) };
    for (const into of [filmPoints, holderPoints, secondPassPoints]) {
      await rejects(keepPiece({ db, giveWay }, into, row), GaveWay);
      expect(await db.$count(into, eq(into.filmId, filmId))).to.equal(1);
    }
  });

  it('knows of films that wait, and not of others that are looked at again', async () => {
    const { queue } = server.services;
    const { filmId } = await addScene(server);
    const { filmId: other } = await addScene(server);
    expect(await server.jobs.isAskedForSooner({ part: 'later' })).to.equal(false);
    await queue.importFilm(filmId, 'later');
    expect(await server.jobs.isAskedForSooner({ part: 'later' })).to.equal(false);
    await queue.importFilm(other, 'rest');
    expect(await server.jobs.isAskedForSooner({ part: 'later' })).to.equal(true);
    expect(await server.jobs.isAskedForSooner({ part: 'rest' })).to.equal(false);
    expect(await server.jobs.isAskedForSooner({ part: 'rest', madeUpFor: true })).to.equal(true);
    expect(await queue.areAskedFor([filmId, other, uuid()])).to.deep.equal(new Set([filmId, other]));
  });

  it('is not asked of a film that was forgotten', async () => {
    const { db } = server.services;
    const { filmId } = await addScene(server);
    await addSteps(db, filmId);
    await db.update(filmStep).set({ state: 'skipped' }).where(eq(filmStep.filmId, filmId));
    await db.delete(filmStep).where(and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'second-pass')));
    await db.update(film).set({ state: 'withdrawn' }).where(eq(film.id, filmId));
    expect(await addMissingSteps({ db, pose: 'full' })).to.not.include(filmId);
    expect(await stateOf(filmId)).to.equal(undefined);
  });
});
