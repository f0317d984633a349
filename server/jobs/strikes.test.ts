import { roundEndpoints, type HitsAndRounds } from '@wax-fist/contract/rounds';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { and, eq, inArray } from 'drizzle-orm';
import { film, filmHits, filmPoints, filmStep, trainee } from '../db/schema/index.ts';
import { pointsOfFilm, truthOfFilm } from '../demo/footage.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../test/server-under-test.ts';
import { filmNamed } from './import-step.ts';
import { stepsFrom } from './import-steps.ts';
import { strikesStep } from './steps/strikes.ts';
import { addMissingSteps, addSteps } from './work-on-film.ts';

const name = 'lio-1-lead-side';

describe('strikes that a film shows', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  const truth = truthOfFilm(name);
  const timeline = timelineOf(truth.frameTimes);
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());
  beforeEach(async () => {
    const { db } = server.services;
    scene = await addScene(server);
    await db
      .update(film)
      .set({ frames: timeline.length, timeline: Buffer.from(packTimeline(timeline)), hasSound: true })
      .where(eq(film.id, scene.filmId));
    await db.update(trainee).set({ stance: truth.scene.stance }).where(eq(trainee.id, scene.traineeId));
  });

  const follow = async (): Promise<void> => {
    const { frames, model, version, packed } = pointsOfFilm(name)!;
    await server.services.db.insert(filmPoints).values({ filmId: scene.filmId, fromFrame: 0, frames, model, version, packed });
  };
  const search = async (): Promise<HitsAndRounds> => {
    const { db, storage } = server.services;
    const { signal } = new AbortController();
    await strikesStep({
      db,
      storage,
      film: await filmNamed(db, scene.filmId),
      draft: () => '',
      progress: () => undefined,
      signal,
    });
    return (await coach.ask<HitsAndRounds>(roundEndpoints.showHitsAndRounds, { filmId: scene.filmId })).body;
  };

  it('are found by eye where nothing is heard, and named as they were thrown', async () => {
    await follow();
    const { both, edits } = await search();
    expect(edits.source, 'what is shown first').to.equal('both');
    const sure = both!.filter(({ prominence }) => prominence >= 0.5);
    expect(sure.length).to.be.closeTo(truth.strikes.length, 2);
    const right = truth.strikes.filter(({ technique, contact }) =>
      sure.some(({ time, names }) => Math.abs(time - contact) < 100 && names[0]!.technique === technique),
    );
    expect(right.length / truth.strikes.length).to.be.above(0.9);
    for (const { from, names } of sure) {
      expect(from).to.deep.equal(['sight']);
      expect(names.every(({ chance }, place) => place === 0 || chance <= names[place - 1]!.chance)).to.equal(true);
    }
  });

  it('take their times from what is heard, and a sound that belongs to nobody falls away', async () => {
    const { db } = server.services;
    await follow();
    const { contact } = truth.strikes[2]!;
    const sound = { level: 0, attack: 2, decay: 40, brightness: 0.3, snap: 0.5 };
    const nobodys = truth.strikes[3]!.home + 300;
    const candidates = [contact, nobodys].map((time) => ({ time, prominence: 0.9, sound }));
    await db.insert(filmHits).values({ filmId: scene.filmId, sound: candidates });
    const { both } = await search();
    expect(both!.find(({ time }) => time === contact)!.from).to.deep.equal(['sound', 'sight']);
    expect(both!.find(({ time }) => time === nobodys)!.prominence).to.be.below(0.3);
  });

  it('are what is heard where nobody was followed, and nothing where there is neither', async () => {
    const { db } = server.services;
    const silent = await search();
    expect(silent.both).to.deep.equal([]);
    expect(silent.edits.source).to.equal('sound');
    await db.update(filmHits).set({ sound: [{ time: 900, prominence: 0.8 }] });
    expect((await search()).both).to.deep.equal([{ time: 900, prominence: 0.8, from: ['sound'], names: [] }]);
  });

  it('are looked for again when somebody is followed anew, or for the first time', async () => {
    const { db } = server.services;
    expect(stepsFrom('pose')).to.deep.equal(['pose', 'strikes']);
    await addSteps(db, scene.filmId);
    const mine = eq(filmStep.filmId, scene.filmId);
    await db.update(filmStep).set({ state: 'done' }).where(mine);
    await db
      .update(filmStep)
      .set({ state: 'skipped' })
      .where(and(mine, eq(filmStep.step, 'pose')));
    expect(await addMissingSteps({ db, pose: 'lite' })).to.include(scene.filmId);
    const states = await db
      .select({ state: filmStep.state })
      .from(filmStep)
      .where(and(mine, inArray(filmStep.step, ['pose', 'strikes'])));
    expect(states.map(({ state }) => state)).to.deep.equal(['waiting', 'waiting']);
  });
});
