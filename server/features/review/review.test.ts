import {
  reviewEndpoints,
  type historyShape,
  type Mark,
  type RefusedMark,
  type Review,
  type SessionTally,
} from '@wax-fist/contract/review';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import type { InferType } from 'yup';
import { connect } from '../../db/connection.ts';
import { observation, pointPin, strikeRevision } from '../../db/schema/index.ts';
import { atSecond, pinned, roundOfMarks, observed, thrown } from '../../test/marks.ts';
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
    expect((await writeMarks(narrow.db, scene.filmId, marks, server.accountId('coach'))).kept).to.have.length(2);
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

  it('has what is said later stand, also after the clock of the server was put back', async () => {
    const strikeId = uuid();
    await put([thrown(strikeId)]);
    const { now } = Date;
    const saidAt = (): string => new Date(now()).toISOString();
    await put([observed(strikeId, 'fault', { saidAt: saidAt() })]);
    Date.now = () => now() - 3_600_000;
    try {
      await new Promise((resolve) => setTimeout(resolve, 5));
      await put([observed(strikeId, 'clean', { saidAt: saidAt() })]);
    } finally {
      Date.now = now;
    }
    const words = (await shown()).observations.filter((one) => one.strikeId === strikeId);
    expect(words.map(({ verdict }) => verdict)).to.deep.equal(['clean']);
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
    expect(await shown()).to.deep.equal({ blind: false, strikes: [], observations: [], pins: [] });
    await put([thrown(strikeId, { saidAt: atSecond(4) })]);
    expect((await shown()).observations).to.have.length(1);
    expect(await server.services.db.select().from(strikeRevision).where(eq(strikeRevision.strikeId, strikeId))).to.have.length(4);
  });

  const refused: [what: string, marks: (strikeId: string) => unknown[], reason: RegExp][] = [
    ['moments out of order', (strikeId) => [thrown(strikeId, { launchFrame: 70 })], /in this order/],
    ['a strike beyond the end of the film', (strikeId) => [thrown(strikeId, { homeFrame: 600 })], /outside of the film/],
    ['a frame before the first', (strikeId) => [thrown(strikeId, { launchFrame: -1 })], /greater than/],
    ['a technique nobody knows', (strikeId) => [{ ...thrown(strikeId), technique: 'headbutt' }], /not in the catalogue/],
    ['a place in what is no series', (strikeId) => [thrown(strikeId, { part: 0 })], /no such part/],
    [
      'a place that a series does not have',
      (strikeId) => [thrown(strikeId, { technique: 'jab-cross-step', part: 2 })],
      /no such part/,
    ],
    ['a verdict on a strike that is not here', () => [observed(uuid(), 'clean')], /not here/],
    [
      'a checkpoint that is not in the catalogue',
      (strikeId) => [thrown(strikeId), observed(strikeId, 'clean', { checkpointId: 'zz.nothing' })],
      /not in the checklist/,
    ],
    [
      'checklists that do not exist',
      (strikeId) => [thrown(strikeId), observed(strikeId, 'clean', { checklistVersion: 9 })],
      /checklist/,
    ],
    ['a fifth verdict', (strikeId) => [thrown(strikeId), { ...observed(strikeId, 'clean'), verdict: 'great' }], /verdict/],
    ['a time that is none', (strikeId) => [thrown(strikeId, { saidAt: 'just now' })], /moment in time/],
    ['an id that is none', (strikeId) => [thrown(strikeId, { id: 'one' })], /not an id/],
    ['a kind nobody knows', (strikeId) => [{ ...thrown(strikeId), kind: 'song' }], /kind of mark/],
    [
      'a letter that cannot be kept',
      (strikeId) => [thrown(strikeId), observed(strikeId, 'fault', { note: 'low\0' })],
      /cannot be kept/,
    ],
    ['what is no mark', () => ['jab'], /kind of mark/],
    ['a pin beyond the end of the film', () => [pinned({ frame: 600 })], /outside of the film/],
    ['a pin on a point that no body has', () => [{ ...pinned(), point: 'tail' }], /point/],
    ['a pin that is here, nowhere', () => [pinned({ x: null, y: null })], /has a place/],
    ['a pin that is hidden somewhere', () => [pinned({ said: 'hidden' })], /has a place/],
    ['a pin with half a place', () => [pinned({ y: null })], /has a place/],
    ['a pin beyond all pictures', () => [pinned({ x: 1e9 })], /x must/],
  ];
  for (const [what, marks, reason] of refused) {
    it(`refuses ${what}, says why, and takes the rest of the batch`, async () => {
      const good = thrown(uuid(), { contactFrame: 55 });
      const late = observed(good.strikeId, 'clean');
      const list = [good, ...marks(uuid()), late] as Mark[];
      const { status, body } = await put(list);
      expect(status).to.equal(200);
      expect(body.refused.map(({ place }: RefusedMark) => place)).to.deep.equal([list.length - 2]);
      expect(body.refused[0].reason).to.match(reason);
      expect(body.kept)
        .to.have.length(list.length - 1)
        .and.include(good.id)
        .and.include(late.id);
      const review = await shown();
      expect(review.strikes.map(({ id }) => id)).to.include(good.id);
      expect(review.observations.map(({ id }) => id)).to.deep.equal([late.id]);
    });
  }

  const noBatch: [what: string, marks: unknown][] = [
    ['more than 500 at once', Array.from({ length: 501 }, () => thrown(uuid()))],
    ['no list', 'marks'],
  ];
  for (const [what, marks] of noBatch)
    it(`refuses ${what} as a whole`, async () => {
      expect((await put(marks as Mark[])).status).to.equal(422);
      expect((await shown()).strikes).to.deep.equal([]);
    });

  it('refuses an id that another strike has, here or in another film, and changes nothing of that', async () => {
    const [mine, theirs] = [uuid(), uuid()];
    const other = await addScene(server);
    const [strikeMark, word] = [thrown(mine), observed(mine, 'clean')];
    await put([strikeMark, word]);
    await put([thrown(theirs)], coach, other.filmId);
    const stolen = [thrown(theirs, { id: strikeMark.id, technique: 'cross' }), observed(theirs, 'fault', { id: word.id })];
    const { body } = await put(stolen, head, other.filmId);
    expect([body.kept, body.refused.map(({ place }: RefusedMark) => place)]).to.deep.equal([[], [0, 1]]);
    const twice = uuid();
    const [one, two] = [thrown(uuid(), { id: twice }), thrown(uuid(), { id: twice })];
    expect((await put([one, two])).body.refused).to.have.length(1);
    expect((await shown()).observations.map(({ id }) => id)).to.deep.equal([word.id]);
  });

  it('keeps every pin, shows the one that was said last of a point in a frame, and takes it back when told to', async () => {
    const [first, second] = [pinned(), pinned({ saidAt: atSecond(3), x: 420 })];
    const elsewhere = pinned({ frame: 61, said: 'hidden', x: null, y: null });
    await put([second, elsewhere]);
    await put([first], head);
    const pins = (await shown()).pins.sort((a, b) => a.frame - b.frame);
    expect(pins).to.deep.equal([
      { ...second, saidBy: 'A coach' },
      { ...elsewhere, saidBy: 'A coach' },
    ]);
    await put([pinned({ saidAt: atSecond(5), said: 'free', x: null, y: null })], head);
    expect((await shown()).pins.find(({ frame }) => frame === 60)).to.include({ said: 'free', saidBy: 'A head-coach' });
    expect(await server.services.db.select().from(pointPin).where(eq(pointPin.filmId, scene.filmId))).to.have.length(4);
  });

  it('lets one of many pins on the same point count, told at the same time or in any order', async () => {
    const marks = Array.from({ length: 8 }, (_, second) => pinned({ saidAt: atSecond(second), x: second }));
    const answers = await Promise.all(marks.toReversed().map((mark) => put([mark])));
    // Whoever meets too many others is asked to try again; nothing of it is half there.
    for (const [place, { status }] of answers.entries()) if (status !== 200) await put([marks.toReversed()[place]!]);
    expect((await shown()).pins.map(({ x }) => x)).to.deep.equal([7]);
    for (let time = 0; time < 2; time++) expect((await put(marks)).body.kept).to.have.length(8);
    expect(await server.services.db.select().from(pointPin).where(eq(pointPin.filmId, scene.filmId))).to.have.length(8);
  });

  it('refuses the id of another pin, of this batch or of another film', async () => {
    const id = uuid();
    const other = await addScene(server);
    await put([pinned({ id })]);
    expect((await put([pinned({ id, x: 1 })], head, other.filmId)).body.refused).to.have.length(1);
    const twice = uuid();
    const { body } = await put([pinned({ id: twice, frame: 1 }), pinned({ id: twice, frame: 2 })]);
    expect(body.refused.map(({ reason }: RefusedMark) => reason)).to.deep.equal(['Another point has a pin with this id.']);
  });

  describe('much at once', () => {
    let strikes: string[];
    const round = (word: 'clean' | 'fault', second: number): Mark[] =>
      strikes.flatMap((one) => [thrown(one, { saidAt: atSecond(second) }), observed(one, word, { saidAt: atSecond(second) })]);
    let asked: string[] = [];
    beforeEach(() => {
      strikes = Array.from({ length: 250 }, () => uuid());
      asked = [];
    });
    /** Every statement of the clients that are given out from now on. */
    before(() => {
      const { pool } = server.services;
      const seen = new WeakSet();
      pool.on('acquire', (client) => {
        if (seen.has(client)) return;
        seen.add(client);
        const query = client.query.bind(client) as (...words: unknown[]) => unknown;
        client.query = ((...words: unknown[]) => {
          const [text] = words as [string | { text: string }];
          const said = typeof text === 'string' ? text : text.text;
          // Now and then this process looks whether a step of an import has been left.
          if (!said.startsWith('update "film_step"')) asked.push(said);
          return query(...words);
        }) as typeof client.query;
      });
    });

    it('500 marks take at most eleven statements', async () => {
      await put([thrown(strikes[0]!)]);
      for (const [word, second] of [
        ['clean', 1],
        ['fault', 2],
      ] as const) {
        const marks = round(word, second);
        asked = [];
        expect((await put(marks)).body.kept).to.have.length(500);
        expect(asked.length, asked.join('\n').slice(0, 2000)).to.be.within(5, 11);
      }
      const review = await shown();
      expect(new Set(review.observations.map(({ verdict }) => verdict))).to.deep.equal(new Set(['fault']));
      expect(review.strikes).to.have.length(250);
    });

    it('a single word takes six, the sign-in with it', async () => {
      await put([thrown(strikes[0]!)]);
      await put([observed(strikes[0]!, 'fault')]);
      asked = [];
      expect((await put([observed(strikes[0]!, 'clean', { saidAt: atSecond(9) })])).body.kept).to.have.length(1);
      expect(asked, asked.join('\n')).to.have.length(6);
      expect((await shown()).observations.map(({ verdict }) => verdict)).to.deep.equal(['clean']);
    });

    it('eight writers over the same strikes, each in another order, never wait in a ring', async () => {
      const writers = Array.from({ length: 8 }, (_, writer) => {
        const marks = round(writer % 2 ? 'clean' : 'fault', writer);
        return writer % 3 === 0 ? marks.toReversed() : [...marks.slice(writer * 40), ...marks.slice(0, writer * 40)];
      });
      const answers = await Promise.all(writers.map((marks) => put(marks)));
      expect(answers.map(({ status, body }) => [status, body.kept?.length])).to.deep.equal(writers.map(() => [200, 500]));
      const review = await shown();
      expect(review.observations.map(({ verdict }) => verdict)).to.deep.equal(strikes.map(() => 'clean'));
      expect(new Set(review.strikes.map(({ saidAt }) => saidAt))).to.deep.equal(new Set([atSecond(7)]));
    });
  });

  it('does not take a strike of another film', async () => {
    const other = await addScene(server);
    const strikeId = uuid();
    await put([thrown(strikeId)], coach, other.filmId);
    expect((await put([observed(strikeId, 'fault')])).body.refused[0].reason).to.include('not here');
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
