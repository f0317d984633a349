import { footageEndpoints, type Film, type KeptPointedBody } from '@wax-fist/contract/footage';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { hasBody, hipsAt, pointAt, pointIn, unpackTrack } from '@wax-fist/core/body';
import { timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { sum } from 'd3-array';
import { eq } from 'drizzle-orm';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { film, filmPoints, filmStep, holderPoints, trainingSession } from '../db/schema/index.ts';
import { filmPath, truthOfFilm } from '../demo/footage.ts';
import { addMissingSteps } from '../jobs/work-on-film.ts';
import { eventually } from '../test/eventually.ts';
import { ffmpeg } from '../test/films.ts';
import { importFilm } from '../test/import-film.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../test/server-under-test.ts';
import { piecesOf } from './film-points.ts';

describe('a film in pieces', () => {
  const timeline = timelineOf(Array.from({ length: 900 }, (_, frame) => frame * 33));

  it('is wholly covered, once, beginning where most lands', () => {
    const pieces = piecesOf(timeline, [12_000, 12_500, 20_000]);
    const inOrder = [...pieces].sort((one, other) => one.from - other.from);
    expect(inOrder.reduce((next, { from, frames }) => (from === next ? next + frames : NaN), 0)).to.equal(900);
    const covers = ({ from, frames }: { from: number; frames: number }, time: number) =>
      timeline[from]! <= time && time < (timeline[from + frames] ?? Infinity);
    expect(covers(pieces[0]!, 12_000)).to.equal(true);
    expect(covers(pieces[1]!, 20_000)).to.equal(true);
  });
  it('of one frame is one piece', () => {
    expect(piecesOf(timelineOf([0]), [])).to.deep.equal([{ from: 0, frames: 1 }]);
  });
});

describe('following a body', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let sessionId: string;
  let folder: string;
  const name = 'pavel-1-front';
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-pose-'));
    server = await startServer({ environment: { WAX_POSE: 'lite' } });
    coach = await server.as('coach');
    ({ sessionId } = await addScene(server));
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });
  const trackOf = async ({ id }: Film) =>
    unpackTrack(0, new Uint8Array((await coach.ask<ArrayBuffer>(footageEndpoints.filmPoints, { filmId: id })).body));

  it('finds its points in every frame, near to where they are, and what is there is not found again', async () => {
    const path = join(folder, 'short.mp4');
    await ffmpeg('-i', filmPath(name), '-t', '0.7', '-c', 'copy', path);
    const imported = await importFilm(coach, sessionId, path);
    expect(imported.steps.find(({ step }) => step === 'pose')).to.include({ state: 'done' });
    const track = await trackOf(imported);
    expect(track.frames).to.equal(imported.frames);
    const truth = truthOfFilm(name) as unknown as { jointNames: string[]; pixels: number[][] };
    const joint = (frame: number, wanted: string): [number, number] => {
      const at = truth.jointNames.indexOf(wanted) * 2;
      return [truth.pixels[frame]![at]!, truth.pixels[frame]![at + 1]!];
    };
    for (let frame = 0; frame < track.frames; frame++) {
      const [trueX, trueY] = joint(frame, 'nose');
      const torso = joint(frame, 'leftHip')[1] - joint(frame, 'leftShoulder')[1];
      const { x, y } = pointIn(track, frame, pointAt.nose)!;
      expect(Math.hypot(x - trueX, y - trueY) / torso, `frame ${frame}`).to.be.below(0.25);
    }
    // Another worker that comes to the same step finds its pieces there; a mark on one of them shows that it stays.
    const { db } = server.services;
    await db.update(filmPoints).set({ frames: 1 }).where(eq(filmPoints.filmId, imported.id));
    await db.update(filmStep).set({ state: 'stopped' }).where(eq(filmStep.step, 'pose'));
    expect((await coach.ask(footageEndpoints.retryFilm, { filmId: imported.id })).status).to.equal(200);
    await eventually(
      'the end of the step',
      () => db.select({ state: filmStep.state }).from(filmStep).where(eq(filmStep.step, 'pose')),
      ([row]) => row?.state === 'done',
    );
    const [piece] = await db.select().from(filmPoints).where(eq(filmPoints.filmId, imported.id));
    expect(piece!.frames).to.equal(1);
  });

  it('of whom a coach has pointed out, and not of whoever was followed before', async () => {
    const path = join(folder, 'two.mp4');
    await ffmpeg('-i', filmPath('juno-4-lead-side'), '-t', '0.8', '-c', 'copy', path);
    const imported = await importFilm(coach, sessionId, path);
    const hipsOf = async (): Promise<number[]> => {
      const track = await trackOf(imported);
      return Array.from({ length: track.frames }, (_, frame) => hipsAt(track, frame)![0]);
    };
    const before = await hipsOf();
    // The holder stands in front of the trainee: as far as both are from the middle of the picture.
    const holder = imported.width! - before[12]!;
    const pointed = { id: uuid(), frame: 12, x: holder, y: imported.height! / 2, side: imported.height! * 0.8 };
    const at = { filmId: imported.id, bodyId: pointed.id };
    expect((await coach.ask(footageEndpoints.pointOutBody, at, { ...pointed, frame: 9999 })).status).to.equal(422);
    expect((await coach.ask(footageEndpoints.pointOutBody, at, { ...pointed, side: 3 })).status).to.equal(422);
    expect((await coach.ask(footageEndpoints.pointOutBody, at, pointed)).status).to.equal(200);
    const bodies = () =>
      coach.ask<KeptPointedBody[]>(footageEndpoints.pointedBodies, { filmId: imported.id }).then(({ body }) => body);
    await eventually('the body that was pointed out', bodies, ([one]) => one?.followed === true);
    const after = await hipsOf();
    for (const [frame, x] of after.entries()) {
      expect(Math.abs(x - holder), `frame ${frame}`).to.be.below(80);
      expect(Math.abs(x - before[frame]!), `frame ${frame}`).to.be.above(150);
    }
    // Said again it is the same thing.
    expect((await coach.ask(footageEndpoints.pointOutBody, at, pointed)).status).to.equal(200);
    expect(await bodies()).to.have.lengthOf(1);
  });

  it('in rounds on pads of whoever holds as well, as soon as it is known that they are, and of the other one when both were mistaken', async () => {
    const { db } = server.services;
    const path = join(folder, 'pads.mp4');
    await ffmpeg('-i', filmPath('juno-4-lead-side'), '-t', '0.8', '-c', 'copy', path);
    const imported = await importFilm(coach, sessionId, path);
    const at = { filmId: imported.id };
    const hipsIn = async (
      endpoint: typeof footageEndpoints.filmPoints | typeof footageEndpoints.filmHolderPoints,
    ): Promise<number> => {
      const { body } = await coach.ask<ArrayBuffer>(endpoint, at);
      return hipsAt(unpackTrack(0, new Uint8Array(body)), 12)![0];
    };
    expect((await coach.ask(footageEndpoints.filmHolderPoints, at)).status).to.equal(404);
    const striker = await hipsIn(footageEndpoints.filmPoints);

    const [session] = await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId));
    const { id, traineeId, heldOn, place, kit, rung } = session!;
    const said = { ...{ id, traineeId, heldOn, place, kit, rung }, roundKind: 'focus mitts', holderId: null, schoolNote: '' };
    const saved = await coach.ask(sessionEndpoints.saveSession, { sessionId }, said);
    expect(saved.status, JSON.stringify(saved.body)).to.equal(200);
    const followed = () => db.select().from(holderPoints).where(eq(holderPoints.filmId, imported.id));
    const isWhole = (pieces: { frames: number }[]): boolean => sum(pieces, ({ frames }) => frames) === imported.frames;
    await eventually('whoever holds', followed, isWhole, 110_000);
    const holder = await hipsIn(footageEndpoints.filmHolderPoints);
    expect(Math.abs(holder - (imported.width! - striker))).to.be.below(80);

    const pointed = { id: uuid(), frame: 12, x: holder, y: imported.height! / 2, side: imported.height! * 0.8 };
    expect((await coach.ask(footageEndpoints.pointOutBody, { ...at, bodyId: pointed.id }, pointed)).status).to.equal(200);
    const isAnew = (pieces: { frames: number; revision: number }[]): boolean =>
      isWhole(pieces) && pieces.some(({ revision }) => revision > 0);
    await eventually('whoever holds, beside somebody else', followed, isAnew, 110_000);
    expect(Math.abs((await hipsIn(footageEndpoints.filmPoints)) - holder)).to.be.below(80);
    expect(Math.abs((await hipsIn(footageEndpoints.filmHolderPoints)) - striker)).to.be.below(80);
  }).timeout(240_000);

  it('of a film with nobody in it there is a track with nobody, and no invented number', async () => {
    const path = join(folder, 'empty.mp4');
    await ffmpeg('-f', 'lavfi', '-i', 'color=gray:s=320x240:r=10:d=0.6', '-pix_fmt', 'yuv420p', path);
    const imported = await importFilm(coach, sessionId, path);
    expect(imported.state).to.equal('ready');
    const track = await trackOf(imported);
    expect(Array.from({ length: track.frames }, (_, frame) => hasBody(track, frame))).to.not.include(true);
  });

  it('is left out where that is set, and made up for when it is set otherwise', async () => {
    const { db } = server.services;
    const [first] = await db.select({ id: film.id }).from(filmPoints).innerJoin(film, eq(film.id, filmPoints.filmId));
    await db.update(filmStep).set({ state: 'skipped' }).where(eq(filmStep.filmId, first!.id));
    expect(await addMissingSteps({ db })).to.not.include(first!.id);
    expect(await addMissingSteps({ db, pose: 'lite' })).to.include(first!.id);
    const idle = await startServer({ works: false });
    const { filmId } = await addScene(idle);
    expect((await (await idle.as('coach')).ask(footageEndpoints.filmPoints, { filmId })).status).to.equal(404);
    await idle.stop();
  });
});
