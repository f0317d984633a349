import { measureEndpoints, type MeasureAgreement, type SessionMeasures } from '@wax-fist/contract/measures';
import { reviewEndpoints, type Mark, type SessionTally } from '@wax-fist/contract/review';
import { isMeasureId } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { and, eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film, filmPoints, strike, strikeMeasure, trainee, trainingSession } from '../../db/schema/index.ts';
import { becomes, follow, tagsOf } from '../../test/followed-film.ts';
import { atSecond, observed, pinned } from '../../test/marks.ts';
import { bandsFor, judgedStrike } from './bands.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

/** Crosses among others, from the side of the hand that idles meanwhile: it falls in some of them. */
const name = 'lio-1-lead-side';

describe('measures of a session', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let head: Visitor;
  let scene: ClubScene;
  let strikes: Mark[];
  before(async () => {
    server = await startServer({ works: false });
    [coach, head] = [await server.as('coach'), await server.as('head-coach')];
  });
  after(() => server.stop());

  /** A film whose points are known, with its strikes as they were thrown. */
  beforeEach(async () => {
    const { db } = server.services;
    scene = await addScene(server);
    await becomes(db, scene, name);
    await follow(db, scene.filmId, name);
    strikes = tagsOf(name);
    await write(strikes);
  });
  const write = (marks: Mark[]) => coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
  const measured = async () =>
    (await coach.ask<SessionMeasures>(measureEndpoints.sessionMeasures, { sessionId: scene.sessionId })).body;
  const agreements = async () => {
    for (;;) {
      const { body } = await coach.ask<{ measures: MeasureAgreement[]; left: number }>(measureEndpoints.measureAgreements);
      if (body.left === 0) return body.measures;
    }
  };
  const tallies = async () =>
    (await coach.ask<SessionTally[]>(reviewEndpoints.traineeTallies, { traineeId: scene.traineeId })).body;
  const count = (checkpoint: string, counts: boolean, who = head) =>
    who.ask(measureEndpoints.countMeasure, { checkpoint }, { counts });
  const strikesOf = (technique: string) => strikes.filter((mark) => mark.kind === 'strike' && mark.technique === technique);

  it('tells every strike, what was measured of it, and the rates that this gives', async () => {
    const { strikes: sheet, values, rates } = await measured();
    expect(sheet.map(({ strikeId }) => strikeId)).to.have.members(strikes.map((mark) => (mark as { strikeId: string }).strikeId));
    expect(values.length).to.be.above(2 * strikes.length);
    for (const { doubt, shared } of values) expect(doubt).to.be.at.least(shared).and.above(0);
    for (const { rate, low, high, clean, watch, fault, strikes: many, counts } of rates) {
      expect(low).to.be.at.most(high);
      expect(rate).to.be.within(0, 1);
      expect(clean + watch + fault).to.be.closeTo(many, 1e-6);
      expect(counts).to.equal(false);
    }
    const lean = rates.find((one) => one.technique === 'jab' && one.checkpointId === 'st.lean')!;
    expect(lean.strikes).to.equal(strikesOf('jab').length);
    expect(lean.rate, 'nobody here leans').to.be.below(0.1);
  });

  it('tells beside a row what else was measured, gives no rate of it, and asks nobody to agree', async () => {
    const { values, rates } = await measured();
    const beside = values.filter(({ checkpointId }) => isMeasureId(checkpointId));
    expect(beside.map(({ checkpointId }) => checkpointId)).to.include('exposure-time');
    const told = [...rates, ...(await agreements())].map(({ checkpointId }) => checkpointId);
    expect(told.filter((id) => isMeasureId(id))).to.deep.equal([]);
    expect((await count('exposure-time', true)).status, 'it cannot count').to.equal(404);
  });

  it('measures a strike once, and again when it is moved, when it is pinned, when the film is seen from elsewhere, and when other points come', async () => {
    const { db } = server.services;
    const { strikeId } = strikesOf('jab')[0] as { strikeId: string };
    const one = and(eq(strikeMeasure.strikeId, strikeId), eq(strikeMeasure.checkpointId, 'st.lean'));
    const untouched = 77;
    const mark = async () => db.update(strikeMeasure).set({ value: untouched }).where(one);
    const value = async () => {
      await measured();
      return (await db.select().from(strikeMeasure).where(one))[0]?.value;
    };
    await measured();
    await mark();
    expect(await value()).to.equal(untouched);
    const moved = strikesOf('jab')[0] as Extract<Mark, { kind: 'strike' }>;
    await write([{ ...moved, id: uuid(), saidAt: atSecond(20), homeFrame: moved.homeFrame + 1 }]);
    expect(await value()).to.be.within(-20, 20);
    await mark();
    await db.update(filmPoints).set({ version: 99 }).where(eq(filmPoints.filmId, scene.filmId));
    expect(await value()).to.be.within(-20, 20);
    await mark();
    await write([pinned({ frame: moved.contactFrame, point: 'leftHip', x: 400, y: 300 })]);
    expect(await value(), 'as pinned').to.not.be.within(76, 78);
    await mark();
    await write([pinned({ frame: moved.homeFrame + 400, point: 'leftHip', x: 400, y: 300 })]);
    expect(await value(), 'of a pin elsewhere').to.equal(untouched);
    await db.update(film).set({ view: 'front' }).where(eq(film.id, scene.filmId));
    expect(await value(), 'from the front nobody sees how one leans').to.equal(undefined);
  });

  it('is asked by several at once without harm, and of a session without films or points as well', async () => {
    const [first, ...others] = await Promise.all([measured(), measured(), measured()]);
    for (const { values } of others) expect(values).to.deep.equal(first.values);
    const { sessionId } = await addScene(server);
    const { body } = await coach.ask<SessionMeasures>(measureEndpoints.sessionMeasures, { sessionId });
    expect(body).to.deep.equal({ strikes: [], values: [], rates: [] });
    expect((await coach.ask(measureEndpoints.sessionMeasures, { sessionId: uuid() })).status).to.equal(404);
  });

  it('goes along with coaches as often as they say the same', async () => {
    const jabs = strikesOf('jab') as { strikeId: string }[];
    await write(
      jabs.map(({ strikeId }, place) => observed(strikeId, place === 0 ? 'fault' : 'clean', { checkpointId: 'st.lean' })),
    );
    const lean = (await agreements()).find(({ checkpointId }) => checkpointId === 'st.lean')!;
    expect(lean.strikes).to.equal(jabs.length);
    expect(lean.same).to.be.closeTo((jabs.length - 1) / jabs.length, 1e-9);
    expect(lean.bias).to.be.closeTo(-1 / jabs.length, 1e-9);
    expect(lean.measured).to.be.above(jabs.length);
  });

  it('counts where nobody has judged, from when the head coach says so until they take it back', async () => {
    const [first, ...others] = strikesOf('jab') as { strikeId: string }[];
    await write([observed(first!.strikeId, 'fault', { checkpointId: 'st.lean' })]);
    await measured();
    const lean = async () => (await tallies()).find((row) => row.technique === 'jab' && row.checkpointId === 'st.lean')!;
    expect((await lean()).tally).to.deep.equal({ clean: 0, watch: 0, fault: 1, cantSee: 0 });

    expect((await count('st.lean', true, coach)).status).to.equal(403);
    expect((await count('no-such-thing', true)).status).to.equal(404);
    expect((await count('st.lean', true)).status).to.equal(204);
    expect((await count('st.lean', true)).status, 'twice').to.equal(204);
    const { tally, byMeasure } = await lean();
    expect(byMeasure).to.equal(others.length);
    expect(tally.fault).to.be.within(1, 1.5);
    expect(tally.clean).to.be.within(0.5 * others.length, others.length);
    expect((await measured()).rates.find(({ checkpointId }) => checkpointId === 'st.lean')!.counts).to.equal(true);
    const told = (await agreements()).find(({ checkpointId }) => checkpointId === 'st.lean')!;
    expect(told).to.include({ counts: true, by: 'A head-coach' });

    await count('st.lean', false);
    expect((await lean()).tally).to.deep.equal({ clean: 0, watch: 0, fault: 1, cantSee: 0 });
  });

  it('of whoever holds is theirs: a rate by itself, and where it counts, in what is said of them', async () => {
    const { db } = server.services;
    const [held, { traineeId: holderId }] = [await addScene(server), await addScene(server)];
    const film = 'noor-1-lead-side';
    await becomes(db, held, film, { width: 640, height: 360 });
    await db.update(trainingSession).set({ holderId, roundKind: 'focus mitts' }).where(eq(trainingSession.id, held.sessionId));
    await follow(db, held.filmId, film);
    const marks = tagsOf(film);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: held.filmId }, { marks });
    const sheet = async () =>
      (await coach.ask<SessionMeasures>(measureEndpoints.sessionMeasures, { sessionId: held.sessionId })).body;
    const ofHolder = async (id = 'ph.head-clear') => (await sheet()).values.filter(({ checkpointId }) => checkpointId === id);
    expect(await ofHolder(), 'as long as nobody was followed there').to.deep.equal([]);
    await follow(db, held.filmId, film, 'holder');
    expect((await ofHolder()).length).to.be.above(marks.length / 2);
    expect((await ofHolder('holder-lean')).length, 'beside the pads at the ribs').to.be.above(marks.length / 2);
    const rate = (await sheet()).rates.find(({ checkpointId }) => checkpointId === 'ph.head-clear')!;
    expect(rate.technique).to.equal('holding');

    const saidOf = async (traineeId: string) =>
      (await coach.ask<SessionTally[]>(reviewEndpoints.traineeTallies, { traineeId })).body.filter(
        ({ checkpointId }) => checkpointId === 'ph.head-clear',
      );
    expect((await count('ph.head-clear', true)).status).to.equal(204);
    expect((await saidOf(holderId)).map(({ technique, byMeasure }) => [technique, byMeasure])).to.deep.equal([
      ['holding', rate.strikes],
    ]);
    expect(await saidOf(held.traineeId)).to.deep.equal([]);
    await count('ph.head-clear', false);
    expect(await saidOf(holderId)).to.deep.equal([]);
  });

  it('holds where a strike may land to how tall whoever holds is, once that is known of both', async () => {
    const { db } = server.services;
    const { traineeId: holderId } = await addScene(server);
    const judged = async () => {
      const [row] = await db
        .select(judgedStrike)
        .from(strike)
        .innerJoin(film, eq(film.id, strike.filmId))
        .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
        .where(eq(film.id, scene.filmId))
        .limit(1);
      return { ...row!, technique: 'lead-body-hook', view: 'front' as const };
    };
    const lowest = async (): Promise<number> => {
      const one = await judged();
      return (await bandsFor(db, [one]))(one, 'sm.target')!.clean[0]!;
    };
    const grow = (id: string, stature: number | null) => db.update(trainee).set({ stature }).where(eq(trainee.id, id));
    await grow(scene.traineeId, 170);
    await grow(holderId, 187);
    const alike = await lowest();
    expect((await judged()).opponent, 'nobody holds').to.equal(null);
    await db.update(trainingSession).set({ holderId }).where(eq(trainingSession.id, scene.sessionId));
    expect((await judged()).opponent).to.be.closeTo(1.1, 1e-9);
    expect(await lowest()).to.be.closeTo(alike + 0.1 * (0.38 + 0.53 / 0.288), 0.01);
    await grow(holderId, null);
    expect(await lowest(), 'nobody knows how tall they are').to.equal(alike);
  });
});
