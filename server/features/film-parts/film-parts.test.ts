import { consentEndpoints } from '@wax-fist/contract/consents';
import { filmPartEndpoints, type FilmPart, type Turn } from '@wax-fist/contract/film-parts';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { numbersOfFrame, packTrack, unpackTrack } from '@wax-fist/core/body';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { film, filmPoints, removal, round, trainingSession } from '../../db/schema/index.ts';
import { filmPath, pointsOfFilm, truthOfFilm } from '../../demo/footage.ts';
import { makeFilmStrip, stripHeight, stripPictures } from '../../media/inspect.ts';
import { probe } from '../../media/probe.ts';
import { ffmpeg } from '../../test/films.ts';
import { thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

/** One after the other in front of the same camera. */
const inTurn = ['lio-1-lead-side', 'juno-1-lead-side', 'lio-2-lead-side'];

describe('a film in which several trainees take turns', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let folder: string;
  let scene: ClubScene;
  let other: ClubScene;
  let roundIds: [string, string, string];
  const parts = inTurn.map((name) => ({ times: truthOfFilm(name).frameTimes, points: pointsOfFilm(name)! }));
  const joined = () => join(folder, 'joined.mp4');
  const strip = () => join(folder, 'strip.jpg');
  const begins = parts.map((_, place) => parts.slice(0, place).reduce((sum, { times }) => sum + times.at(-1)! + 1000 / 30, 0));
  const timeline = timelineOf(parts.flatMap(({ times }, place) => times.map((time) => begins[place]! + time)));
  const duration = timeline.at(-1)! + 1000 / 30;

  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-turns-'));
    const inputs = inTurn.flatMap((name) => ['-i', filmPath(name)]);
    const whole = `${inTurn.map((_, place) => `[${place}:v]scale=1280:720,setsar=1[v${place}]`).join(';')};${inTurn.map((_, place) => `[v${place}]`).join('')}concat=n=${inTurn.length}:v=1:a=0`;
    await ffmpeg(...inputs, '-filter_complex', whole, '-c:v', 'libx264', '-preset', 'ultrafast', '-g', '30', joined());
    await makeFilmStrip(joined(), strip(), duration);
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });
  beforeEach(async () => {
    const { db, storage } = server.services;
    [scene, other] = [await addScene(server, '2026-03-01'), await addScene(server, '2026-02-01')];
    const { filmId } = scene;
    for (const [file, path] of [['original', joined()] as const, ['strip.jpg', strip()] as const]) {
      const draft = join(folder, `copy of ${file}`);
      await ffmpeg('-i', path, '-c', 'copy', ...(file === 'original' ? ['-f', 'mp4'] : ['-f', 'image2', '-update', '1']), draft);
      await storage.keep(draft, filmId, file);
    }
    const known = { frames: timeline.length, timeline: Buffer.from(packTimeline(timeline)), duration, width: 1280, height: 720 };
    const small = { stripPictures, stripHeight, stripWidth: 96 };
    await db
      .update(film)
      .set({ ...known, ...small, state: 'ready', fileName: 'evening.mp4' })
      .where(eq(film.id, filmId));
    let fromFrame = 0;
    for (const { points, times } of parts) {
      const track = unpackTrack(0, points.packed);
      const { model, version } = points;
      const frames = times.length;
      const packed = Buffer.from(packTrack({ ...track, frames, values: track.values.slice(0, frames * numbersOfFrame) }));
      await db.insert(filmPoints).values({ filmId, fromFrame, frames, model, version, packed });
      fromFrame += frames;
    }
    roundIds = [uuid(), uuid(), uuid()];
    await db.insert(round).values(
      roundIds.map((id, place) => ({
        ...{ id, filmId, name: `Round ${place + 1}`, kind: 'heavy bag' as const, manner: 'free' as const, proposed: true },
        ...{ startsAt: begins[place]! + 500, endsAt: begins[place]! + parts[place]!.times.at(-1)! - 500 },
      })),
    );
  });
  const turns = async () => (await coach.ask<Turn[]>(filmPartEndpoints.filmTurns, { filmId: scene.filmId })).body;
  const cut = (list: FilmPart[], who = coach) => who.ask(filmPartEndpoints.cutFilm, { filmId: scene.filmId }, { parts: list });
  const part = (traineeId: string, ...ids: string[]): FilmPart => ({ filmId: uuid(), traineeId, roundIds: ids });
  const filmsHere = () => server.services.db.select().from(film);

  it('tells who works when, by what they wear', async () => {
    expect(await turns()).to.deep.equal([
      { person: 0, roundIds: [roundIds[0]] },
      { person: 1, roundIds: [roundIds[1]] },
      { person: 0, roundIds: [roundIds[2]] },
    ]);
  });

  it('tells of one where nobody was followed', async () => {
    await server.services.db.delete(filmPoints);
    expect(await turns()).to.deep.equal([{ person: 0, roundIds }]);
    expect((await coach.ask(filmPartEndpoints.filmTurns, { filmId: uuid() })).status).to.equal(404);
  });

  it('is cut into a film for each turn, in the session of whoever is in it, and removed for a day', async () => {
    const { db, storage } = server.services;
    const list = [part(scene.traineeId, roundIds[0]), part(other.traineeId, roundIds[1]), part(scene.traineeId, roundIds[2])];
    const { body } = await cut(list);
    const [mine, theirs, mineAgain] = body;
    expect([mine.sessionId, mineAgain.sessionId]).to.deep.equal([scene.sessionId, scene.sessionId]);
    const [session] = await db.select().from(trainingSession).where(eq(trainingSession.id, theirs.sessionId));
    expect(session).to.deep.include({ traineeId: other.traineeId, heldOn: '2026-03-01', roundKind: 'heavy bag' });
    const made = await db.select().from(film).where(eq(film.id, theirs.filmId));
    expect(made[0]).to.deep.include({ state: 'waiting', fileName: 'evening, part 2.mkv', view: 'lead-side' });
    const { duration: long } = await probe(await storage.bring(theirs.filmId, 'original'));
    const its = parts[1]!.times.at(-1)! - 1000;
    expect(long / 1000).to.be.within(its / 1000 + 2, its / 1000 + 6);
    expect((await filmsHere()).some(({ id }) => id === scene.filmId)).to.equal(false);
    expect((await db.select().from(removal)).map(({ kind }) => kind)).to.deep.equal(['film']);
  });

  it('goes into a session that is there already', async () => {
    const { db } = server.services;
    const there = await addScene(server, '2026-03-01', 3, other.traineeId);
    const { body } = await cut([part(scene.traineeId, roundIds[0]), part(other.traineeId, roundIds[1])]);
    expect(body[1].sessionId).to.equal(there.sessionId);
    expect(await db.$count(trainingSession, eq(trainingSession.traineeId, other.traineeId))).to.equal(2);
  });

  it('is not cut across somebody else’s round, by rounds that are not there, nor where strikes are tagged', async () => {
    const before = (await filmsHere()).length;
    const across = await cut([part(scene.traineeId, roundIds[0], roundIds[2]), part(other.traineeId, roundIds[1])]);
    expect(across.status).to.equal(422);
    expect((await cut([part(scene.traineeId, uuid())])).status).to.equal(409);
    expect((await cut([])).status).to.equal(422);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: [thrown(uuid(), {})] });
    expect((await cut([part(other.traineeId, roundIds[1])])).status).to.equal(409);
    expect((await filmsHere()).length).to.equal(before);
  });

  it('is not cut for somebody who has withdrawn their consent, and nothing is left of the attempt', async () => {
    const id = uuid();
    const given = {
      id,
      traineeId: other.traineeId,
      givenBy: 'Themselves',
      asGuardian: false,
      seenBy: 'coaches',
      asReference: false,
    };
    await coach.ask(consentEndpoints.giveConsent, { consentId: id }, { ...given, givenOn: '2026-03-01', until: null, note: '' });
    await coach.ask(consentEndpoints.withdrawConsent, { traineeId: other.traineeId });
    const list = [part(scene.traineeId, roundIds[0]), part(other.traineeId, roundIds[1])];
    expect((await cut(list)).status).to.equal(409);
    for (const { filmId } of list) expect(await server.services.storage.bytes(filmId, 'original')).to.equal(undefined);
    expect((await filmsHere()).some(({ id: one }) => one === scene.filmId)).to.equal(true);
  });
});
