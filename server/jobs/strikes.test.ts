import { roundEndpoints, type HitsAndRounds } from '@wax-fist/contract/rounds';
import { timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { and, eq, inArray } from 'drizzle-orm';
import { filmHits, filmStep, round } from '../db/schema/index.ts';
import { v7 as uuid } from 'uuid';
import { truthOfFilm } from '../demo/footage.ts';
import { becomes, follow } from '../test/followed-film.ts';
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
  const duration = timeline.at(-1)! + 33;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());
  beforeEach(async () => {
    scene = await addScene(server);
    await becomes(server.services.db, scene, name, { hasSound: true, duration });
  });

  const followIt = (): Promise<void> => follow(server.services.db, scene.filmId, name);
  const search = async (): Promise<HitsAndRounds> => {
    const { db, storage } = server.services;
    const { signal } = new AbortController();
    await strikesStep({
      db,
      storage,
      film: await filmNamed(db, scene.filmId),
      draft: () => '',
      progress: () => undefined,
      giveWay: () => Promise.resolve(),
      signal,
    });
    return (await coach.ask<HitsAndRounds>(roundEndpoints.showHitsAndRounds, { filmId: scene.filmId })).body;
  };

  it('are found by eye where nothing is heard, and named as they were thrown', async () => {
    await followIt();
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

  describe('cut rounds', () => {
    const cut = async (rounds: Partial<typeof round.$inferInsert>[]): Promise<void> => {
      const usual = { filmId: scene.filmId, kind: 'heavy bag' as const, manner: 'free' as const, proposed: true, startsAt: 0 };
      await server.services.db
        .insert(round)
        .values(rounds.map((one, place) => ({ ...usual, id: uuid(), name: `Round ${place + 1}`, endsAt: 1000, ...one })));
    };
    const [first, last] = [truth.strikes[0]!.contact, truth.strikes.at(-1)!.contact];

    it('by who is moving, where the ear had taken the whole film', async () => {
      await followIt();
      await cut([{ endsAt: duration }]);
      const { rounds, version, away } = await search();
      expect(rounds).to.have.length(1);
      expect(rounds[0]!.from).to.be.closeTo(Math.max(0, first - 1500), 400);
      expect(rounds[0]!.to).to.be.closeTo(Math.min(duration, last + 1500), 400);
      expect(rounds[0]!.proposed).to.equal(true);
      expect(version).to.equal(1);
      expect(away).to.deep.equal([]);
      expect((await search()).version, 'the same again changes nothing').to.equal(1);
    });

    it('not where a coach has cut them, or planned one', async () => {
      await followIt();
      await cut([
        { endsAt: 2000, proposed: false },
        { startsAt: 3000, endsAt: 5000 },
      ]);
      expect((await search()).rounds.map(({ to }) => to)).to.deep.equal([2000, 5000]);
      await server.services.db.delete(round).where(eq(round.filmId, scene.filmId));
      await cut([{ endsAt: 2000, planned: '12' }]);
      expect((await search()).rounds.map(({ to }) => to)).to.deep.equal([2000]);
    });
  });

  it('take their times from what is heard, and a sound that belongs to nobody falls away', async () => {
    const { db } = server.services;
    await followIt();
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
    expect(stepsFrom('pose')).to.deep.equal(['pose', 'strikes', 'holder', 'second-pass']);
    await addSteps(db, scene.filmId);
    const mine = eq(filmStep.filmId, scene.filmId);
    const begun = { state: 'waiting', progress: 0 };
    await db.update(filmStep).set({ state: 'done', progress: 1 }).where(mine);
    await db
      .update(filmStep)
      .set({ state: 'skipped' })
      .where(and(mine, eq(filmStep.step, 'pose')));
    expect(await addMissingSteps({ db, pose: 'lite' })).to.include(scene.filmId);
    const states = await db
      .select({ state: filmStep.state, progress: filmStep.progress })
      .from(filmStep)
      .where(and(mine, inArray(filmStep.step, ['pose', 'strikes'])));
    expect(states).to.deep.equal([begun, begun]);
  });
});
