import { reviewEndpoints, type historyShape, type Mark, type Review, type SessionTally } from '@wax-fist/contract/review';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import type { InferType } from 'yup';
import { connect } from '../../db/connection.ts';
import { observation, strikeRevision } from '../../db/schema/index.ts';
import { atSecond, roundOfMarks, observed, thrown } from '../../test/marks.ts';
import { writeMarks } from './write-marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('review log', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let head: Visitor;
  let scene: ClubScene;
  before(async () => {
    server = await startServer();
    [coach, head] = [await server.as('coach'), await server.as('head-coach')];
  });
  beforeEach(async () => (scene = await addScene(server)));
  after(() => server.stop());

  const put = (marks: Mark[], who = coach, filmId = scene.filmId) => who.ask(reviewEndpoints.writeMarks, { filmId }, { marks });
  const shown = async (): Promise<Review> => (await coach.ask<Review>(reviewEndpoints.showReview, { filmId: scene.filmId })).body;
  const logged = (strikeId: string) => server.services.db.select().from(observation).where(eq(observation.strikeId, strikeId));

  it('shows a strike and its verdict, and by whom', async () => {
    const strikeId = uuid();
    expect((await put([thrown(strikeId), observed(strikeId, 'fault', { note: 'low as the belt' })])).status).to.equal(200);
    const review = await shown();
    expect(review.strikes[0]).to.include({ strikeId, contactFrame: 60, saidBy: 'A coach' });
    expect(review.observations[0]).to.include({ verdict: 'fault', note: 'low as the belt', saidBy: 'A coach' });
  });

  it('keeps the place of a strike in its series', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId, { technique: 'jab-cross-step', part: 1 })]);
    expect((await shown()).strikes[0]).to.include({ technique: 'jab-cross-step', part: 1 });
    await put([thrown(strikeId, { saidAt: atSecond(3) })]);
    expect((await shown()).strikes[0]).to.include({ technique: 'jab', part: null });
  });

  it('takes the same marks again without doubling them', async () => {
    const strikeId = uuid();
    const marks = [thrown(strikeId), observed(strikeId, 'clean')];
    for (let time = 0; time < 3; time++) expect((await put(marks)).body.kept).to.have.length(2);
    expect(await logged(strikeId)).to.have.length(1);
    expect(await server.services.db.select().from(strikeRevision).where(eq(strikeRevision.strikeId, strikeId))).to.have.length(1);
  });

  it('holds one connection, also for checklists that nobody has asked for yet: two would wait for each other for ever', async () => {
    const narrow = connect(server.services.settings.databaseUrl, 1);
    const strikeId = uuid();
    const marks = [thrown(strikeId), observed(strikeId, 'clean')];
    expect(await writeMarks(narrow.db, scene.filmId, marks, server.accountId('coach'))).to.have.length(2);
    await narrow.close();
  });

  it('keeps the marks of two tabs and shows the later said, in whatever order they arrive', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId)]);
    const [early, late] = [
      observed(strikeId, 'clean', { saidAt: atSecond(10) }),
      observed(strikeId, 'fault', { saidAt: atSecond(20) }),
    ];
    await put([late], head);
    await put([early], coach);
    expect((await shown()).observations.map(({ verdict, saidBy }) => [verdict, saidBy])).to.deep.equal([
      ['fault', 'A head-coach'],
    ]);
    const { body } = await coach.ask<InferType<typeof historyShape>>(reviewEndpoints.strikeHistory, { strikeId });
    expect(body.map((line) => [line.mark.verdict, line.saidBy, line.counts])).to.deep.equal([
      ['fault', 'A head-coach', true],
      ['clean', 'A coach', false],
    ]);
  });

  it('lets exactly one of many tabs that mark at the same time count', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId)]);
    const marks = Array.from({ length: 12 }, (_, place) =>
      observed(strikeId, place % 2 ? 'clean' : 'watch', { saidAt: atSecond(30) }),
    );
    const answers = await Promise.all(marks.map((mark, place) => put([mark], place % 3 ? coach : head)));
    expect(answers.map(({ status }) => status)).to.deep.equal(marks.map(() => 200));
    const rows = await logged(strikeId);
    expect(rows).to.have.length(12);
    const greatest = marks
      .map(({ id }) => id)
      .sort()
      .at(-1);
    expect(rows.filter(({ superseded }) => !superseded).map(({ id }) => id)).to.deep.equal([greatest]);
  });

  it('ends the same however marks are shuffled and cut into batches', async () => {
    const arrivals = fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 6, maxLength: 6 });
    await fc.assert(
      fc.asyncProperty(arrivals, fc.integer({ min: 1, max: 6 }), async (order, size) => {
        scene = await addScene(server);
        const strikeId = uuid();
        const marks = [0, 1, 2, 3, 4, 5].map((place) =>
          observed(strikeId, place === 5 ? 'fault' : 'clean', { saidAt: atSecond(place) }),
        );
        await put([thrown(strikeId)]);
        for (let from = 0; from < order.length; from += size)
          await put(order.slice(from, from + size).map((place) => marks[place]!));
        expect((await shown()).observations.map(({ id }) => id)).to.deep.equal([marks[5]!.id]);
      }),
      { numRuns: 12 },
    );
  });

  it('does not let a clock that is ahead win for ever', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId), observed(strikeId, 'fault', { saidAt: '2098-01-01T00:00:00.000Z' })]);
    await put([observed(strikeId, 'clean', { saidAt: new Date(Date.now() + 2000).toISOString() })]);
    expect((await shown()).observations[0]!.verdict).to.equal('clean');
  });

  it('takes a verdict back without forgetting it', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId), observed(strikeId, 'fault')]);
    await put([observed(strikeId, null, { saidAt: atSecond(5) })]);
    expect((await shown()).observations).to.deep.equal([]);
    expect(await logged(strikeId)).to.have.length(2);
  });

  it('moves, removes and brings back a strike, with every word kept', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId), observed(strikeId, 'clean')]);
    await put([thrown(strikeId, { saidAt: atSecond(2), technique: 'cross', homeFrame: 90 })]);
    expect((await shown()).strikes[0]).to.include({ technique: 'cross', homeFrame: 90 });
    await put([thrown(strikeId, { saidAt: atSecond(3), removed: true })]);
    expect(await shown()).to.deep.equal({ strikes: [], observations: [] });
    await put([thrown(strikeId, { saidAt: atSecond(4) })]);
    expect((await shown()).observations).to.have.length(1);
    expect(await server.services.db.select().from(strikeRevision).where(eq(strikeRevision.strikeId, strikeId))).to.have.length(4);
  });

  const strikeId = uuid();
  const refused: [what: string, marks: () => unknown[], status: number][] = [
    ['moments out of order', () => [thrown(strikeId, { launchFrame: 70 })], 422],
    ['a strike beyond the end of the film', () => [thrown(strikeId, { homeFrame: 600 })], 422],
    ['a frame before the first', () => [thrown(strikeId, { launchFrame: -1 })], 422],
    ['a technique nobody knows', () => [{ ...thrown(strikeId), technique: 'headbutt' }], 422],
    ['a place in what is no series', () => [thrown(strikeId, { part: 0 })], 422],
    ['a place that a series does not have', () => [thrown(strikeId, { technique: 'jab-cross-step', part: 2 })], 422],
    ['a verdict on a strike that is not here', () => [observed(uuid(), 'clean')], 404],
    [
      'a checkpoint that is not in the catalogue',
      () => [thrown(strikeId), observed(strikeId, 'clean', { checkpointId: 'zz.nothing' })],
      422,
    ],
    ['a fifth verdict', () => [thrown(strikeId), { ...observed(strikeId, 'clean'), verdict: 'great' }], 422],
    ['a time that is none', () => [thrown(strikeId, { saidAt: 'just now' })], 422],
    ['an id that is none', () => [thrown(strikeId, { id: 'one' })], 422],
    ['more than 500 at once', () => Array.from({ length: 501 }, () => thrown(uuid())), 422],
    ['no list', () => 'marks' as unknown as unknown[], 422],
  ];
  for (const [what, marks, status] of refused) {
    it(`refuses ${what}, and keeps nothing of the batch`, async () => {
      const good = thrown(uuid());
      const list = marks();
      const answer = await put((Array.isArray(list) ? [good, ...list] : list) as Mark[]);
      expect(answer.status).to.equal(status);
      expect((await shown()).strikes).to.deep.equal([]);
    });
  }

  it('does not take a strike of another film', async () => {
    const other = await addScene(server);
    const strikeId = uuid();
    await put([thrown(strikeId)], coach, other.filmId);
    expect((await put([observed(strikeId, 'fault')])).status).to.equal(404);
    expect(await logged(strikeId)).to.deep.equal([]);
  });

  it('tallies per session, technique, checkpoint and view, without removed strikes', async () => {
    await put(roundOfMarks(['clean', 'clean', 'watch', 'fault', 'cant-see']));
    await put(roundOfMarks(['fault'], { checkpointId: 'st.chin' }));
    const gone = uuid();
    await put([thrown(gone), observed(gone, 'fault'), thrown(gone, { saidAt: atSecond(9), removed: true })]);
    const { body } = await coach.ask<SessionTally[]>(reviewEndpoints.traineeTallies, { traineeId: scene.traineeId });
    const lines = body.map(({ checkpointId, technique, view, tally }) => ({ checkpointId, technique, view, tally }));
    expect(lines).to.have.deep.members([
      {
        checkpointId: 'gd.return-line',
        technique: 'jab',
        view: 'lead-side',
        tally: { clean: 2, watch: 1, fault: 1, cantSee: 1 },
      },
      { checkpointId: 'st.chin', technique: 'jab', view: 'lead-side', tally: { clean: 0, watch: 0, fault: 1, cantSee: 0 } },
    ]);
  });

  it('tells the session how far the review is', async () => {
    await put([...roundOfMarks(['clean', 'fault']), thrown(uuid(), { contactFrame: 65 })]);
    const { body } = await coach.ask(sessionEndpoints.showSession, { sessionId: scene.sessionId });
    expect(body.films[0]).to.include({ strikes: 3, marked: 2, done: false });
  });
});
