import 'fake-indexeddb/auto';
import type { Account } from '@wax-fist/contract/accounts';
import type { ObservationMark } from '@wax-fist/contract/review';
import { usualSchool, type View } from '@wax-fist/core/technique';
import { messageOf } from '@wax-fist/core/message-of';
import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope, nextTick, type EffectScope } from 'vue';
import type { Player } from '../../player/use-player.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useOutbox } from './outbox-store.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';
import { useBench, type Bench } from './use-bench.ts';
import { deskData, until } from '../../test/desk-data.ts';
import { reviewServer } from '../../test/review-server.ts';

describe('marking', () => {
  const { fetch, window, localStorage } = globalThis;
  let server: ReturnType<typeof reviewServer>;
  let review: ReturnType<typeof useReview>;
  let outbox: ReturnType<typeof useOutbox>;
  let scope: EffectScope | undefined;
  let bench: Bench;
  let at: number;
  let expected: readonly number[];

  const player = {
    at: {
      get value() {
        return at;
      },
    },
    go: (frame: number) => void (at = frame),
    expect: (frames: readonly number[]) => (expected = frames),
  } as unknown as Player;

  async function sit(view: View = 'lead-side', change: Partial<BenchData> = {}): Promise<void> {
    const desk = deskData(view, change);
    await review.open(desk.film, desk.session.checklistVersion);
    scope?.stop();
    scope = effectScope();
    bench = scope.run(() => useBench({ data: desk, player: () => player, otherView: () => undefined }))!;
    bench.full.value = true;
  }
  const verdictOf = (id: string) => review.wordOf(bench.strike.value!.strikeId, id)?.verdict;
  const pick = async (id: string): Promise<void> => {
    await nextTick();
    bench.row.value = id;
  };

  beforeEach(async () => {
    Object.assign(globalThis, { window: new EventTarget(), localStorage: { getItem: () => null, setItem: () => undefined } });
    setActivePinia(createPinia());
    server = reviewServer();
    useAccount().me = { id: 'a-coach', name: 'A coach', role: 'coach' } as unknown as Account;
    outbox = useOutbox();
    review = useReview();
    at = 120;
    await sit();
  });
  afterEach(async () => {
    server.away = false;
    server.refuses = '';
    server.refusal = () => undefined;
    await outbox.flush();
    await outbox.letGo();
    scope?.stop();
  });
  after(() => Object.assign(globalThis, { fetch, window, localStorage }));

  it('nothing is called saved before it was looked for what an earlier visit left unsent', async () => {
    useAccount().me = { id: 'another-coach', name: 'Another', role: 'coach' } as unknown as Account;
    expect(outbox.state).to.equal('looking');
    await until(() => outbox.state === 'saved');
  });

  it('a number tags what lands here, with a guess at the rest; the same number near it names that strike anew', async () => {
    bench.tag('jab');
    expect(bench.strike.value).to.include({ technique: 'jab', contactFrame: 120 });
    expect(bench.strike.value!.launchFrame).to.be.below(120);
    at = 122;
    bench.tag('cross');
    expect(review.strikes.map(({ technique }) => technique)).to.deep.equal(['cross']);
    bench.toBody();
    expect(bench.strike.value!.technique).to.equal('body-straight');
    bench.toBody();
    expect(bench.strike.value!.technique).to.equal('cross');
    bench.tag(undefined);
    bench.tag('headbutt');
    expect(review.strikes).to.have.length(1);
    await until(() => outbox.state === 'saved');
    expect(server.log.filter(({ kind }) => kind === 'strike')).to.have.length(4);
  });

  it('a series is tagged as its strikes, on the hits from here on, in one step', () => {
    useHitsAndRounds().sound = [2000, 2600, 3100, 6000].map((time) => ({ time, prominence: 1 }));
    bench.tag('jab-cross-step');
    expect(review.strikes.map(({ technique, part, contactFrame }) => [technique, part, contactFrame])).to.deep.equal([
      ['jab-cross-step', 0, 120],
      ['jab-cross-step', 1, 156],
    ]);
    expect(bench.place.value).to.equal(1);
    bench.toBody();
    expect(review.strikes[0]!.technique, 'a place in a series is no single strike').to.equal('jab-cross-step');
    bench.neighbour(1);
    expect(bench.rows.value.map(({ checkpoint }) => checkpoint.id))
      .to.include('pv.recover')
      .and.not.include('st.heels');
    review.undo();
    expect(review.strikes).to.deep.equal([]);
    review.redo();
    bench.tag('rear-hook');
    expect(review.strikes.map(({ technique, part }) => [technique, part])).to.deep.equal([
      ['jab-cross-step', 0],
      ['rear-hook', null],
    ]);
  });

  it('is walked from strike to strike, and what is removed leaves its neighbour in hand', () => {
    for (const frame of [100, 200, 300]) {
      at = frame;
      bench.tag('jab');
    }
    bench.neighbour(-1);
    expect(bench.place.value).to.equal(2);
    bench.remove();
    expect(bench.strike.value!.contactFrame).to.equal(300);
    bench.remove();
    expect(bench.strike.value!.contactFrame).to.equal(100);
    review.undo();
    review.undo();
    expect(review.strikes.map(({ contactFrame }) => contactFrame)).to.deep.equal([100, 200, 300]);
    review.redo();
    expect(review.strikes).to.have.length(2);
  });

  it('has the pictures of the strikes around it ready: two on in the way one goes, and one back', async () => {
    for (const frame of [100, 200, 300, 400, 500]) {
      at = frame;
      bench.tag('jab');
    }
    bench.neighbour(-1);
    bench.neighbour(-1);
    await nextTick();
    expect(expected).to.deep.equal([200, 100, 400]);
    bench.neighbour(-1);
    bench.neighbour(-1);
    await nextTick();
    expect(expected).to.deep.equal([200]);
    bench.neighbour(1);
    await nextTick();
    expect(expected).to.deep.equal([300, 400, 100]);
  });

  it('a verdict goes to the next row; it is taken back, undone and done again', async () => {
    bench.tag('jab');
    await pick('sm.telegraph');
    bench.judge('fault');
    expect(verdictOf('sm.telegraph')).to.equal('fault');
    expect(bench.row.value).to.equal('sm.fist');
    await pick('sm.telegraph');
    bench.judge(null);
    expect(verdictOf('sm.telegraph')).to.equal(null);
    review.undo();
    expect(verdictOf('sm.telegraph')).to.equal('fault');
    review.undo();
    expect(verdictOf('sm.telegraph')).to.equal(null);
    review.redo();
    expect(verdictOf('sm.telegraph')).to.equal('fault');
  });

  describe('a second time, without seeing what was said', () => {
    beforeEach(async () => {
      bench.tag('jab');
      await pick('gd.return-line');
      bench.judge('fault');
      await until(() => outbox.state === 'saved');
      server.blind = true;
      await review.refresh();
    });

    it('shows no verdict, and keeps what is said apart', async () => {
      expect(review.blind).to.equal(true);
      await pick('gd.return-line');
      expect(verdictOf('gd.return-line')).to.equal(undefined);
      bench.judge('clean');
      expect(verdictOf('gd.return-line')).to.equal('clean');
      await until(() => outbox.state === 'saved');
      const said = server.log.filter((mark): mark is ObservationMark => mark.kind === 'observation');
      expect(said.map(({ verdict, blind }) => [verdict, blind])).to.deep.equal([
        ['fault', false],
        ['clean', true],
      ]);
    });

    it('changes no strike, and undoes nothing of before', () => {
      const before = review.strikes;
      bench.remove();
      at = 300;
      bench.tag('cross');
      expect(review.strikes).to.deep.equal(before);
      expect(review.canUndo).to.equal(false);
    });

    it('is over when all is said and saved: what counts is shown', async () => {
      await pick('gd.return-line');
      bench.judge('clean');
      await review.doneBlind();
      await review.refresh();
      expect(review.blind).to.equal(false);
      expect(verdictOf('gd.return-line')).to.equal('fault');
    });

    it('is not over while marks are on their way', async () => {
      await pick('gd.return-line');
      server.away = true;
      bench.judge('clean');
      const problem = await review.doneBlind().catch((error: unknown) => messageOf(error));
      expect(problem).to.match(/still on their way/);
    });
  });

  it('the rest is judged as it is proposed, or clean, in one step', async () => {
    bench.tag('jab');
    bench.set('launch', bench.strike.value!.launchFrame);
    bench.set('home', 190);
    await pick('st.chin');
    bench.judge('watch');
    const snap = bench.rows.value.find(({ checkpoint }) => checkpoint.id === 'sm.snap')!;
    expect(snap.proposal!.verdict).to.equal('fault');
    bench.restClean();
    expect([verdictOf('st.chin'), verdictOf('sm.snap'), verdictOf('st.lean')]).to.deep.equal(['watch', 'fault', 'clean']);
    review.undo();
    expect([verdictOf('st.chin'), verdictOf('sm.snap')]).to.deep.equal(['watch', null]);
  });

  it('what is guessed is neither measured nor proposed, nor counted as a fault with the rest', async () => {
    bench.tag('cross');
    const snap = () => bench.rows.value.find(({ checkpoint }) => checkpoint.id === 'sm.snap')!;
    expect([snap().measured!.value, snap().proposal]).to.deep.equal([undefined, undefined]);
    bench.set('home', 190);
    expect(snap().measured!.value, 'its launch is guessed still').to.equal(undefined);
    bench.restClean();
    expect(verdictOf('sm.snap')).to.equal('clean');
  });

  it('nothing is proposed in a school that only tells it', async () => {
    const judgedBy = { name: 'Heavy', choices: { ...usualSchool.choices, intent: 'drive' }, bookId: '' };
    const session = { judgedBy, checklistVersion: 1, trainee: { stature: null }, holder: null };
    await sit('lead-side', { session: session as unknown as BenchData['session'] });
    bench.tag('jab');
    bench.set('launch', bench.strike.value!.launchFrame);
    bench.set('home', 190);
    const snap = bench.rows.value.find(({ checkpoint }) => checkpoint.id === 'sm.snap')!;
    expect(snap.measured!.value).to.be.above(3);
    expect(snap.proposal).to.equal(undefined);
  });

  it('a row that this view cannot show comes in when it is judged anyway, and says so', async () => {
    bench.tag('jab');
    expect(bench.hidden.value.map(({ checkpoint }) => checkpoint.id)).to.include('st.width');
    bench.judgeAnyway('st.width');
    expect(bench.row.value).to.equal('st.width');
    bench.judge('fault');
    expect(review.wordOf(bench.strike.value!.strikeId, 'st.width')).to.include({ anyway: true, verdict: 'fault' });
    bench.restClean();
    await until(() => outbox.state === 'saved');
    const kept = server.log.filter((mark): mark is ObservationMark => mark.kind === 'observation');
    expect(kept.filter(({ anyway }) => anyway).map(({ checkpointId }) => checkpointId)).to.deep.equal(['st.width']);
  });

  it('the holder is walked with, where somebody holds', async () => {
    await sit('front', { matchUp: 'open' });
    bench.tag('body-jab');
    const ids = bench.rows.value.map(({ checkpoint }) => checkpoint.id);
    expect(ids).to.include.members(['ph.narrow', 'ph.head-clear', 'pv.outside-foot']);
    expect(bench.rows.value.find(({ checkpoint }) => checkpoint.id === 'pv.outside-foot')!.checkpoint.clean).to.include(
      'Outside',
    );
  });

  it('waits in the browser while the server is away, and arrives once', async () => {
    server.away = true;
    bench.tag('jab');
    await pick('sm.telegraph');
    bench.judge('clean');
    await until(() => outbox.state === 'away');
    expect(outbox.waiting).to.equal(2);
    server.away = false;
    await outbox.flush();
    await until(() => outbox.state === 'saved');
    expect(new Set(server.log.map(({ id }) => id)).size).to.equal(2);
  });

  it('what the server will never take is told, and holds nothing else up', async () => {
    server.refuses = 'This strike lies outside of the film.';
    bench.tag('jab');
    await until(() => outbox.state === 'refused');
    expect(outbox.notTaken[0]!.reason).to.include('outside');
    server.refuses = '';
    at = 300;
    bench.tag('cross');
    await until(() => server.log.length === 1);
    expect(server.log[0]).to.include({ technique: 'cross' });
    await outbox.letGo();
    expect(outbox.state).to.equal('saved');
    // What was let go of is not shown either.
    await until(() => review.strikes.map(({ technique }) => technique).join() === 'cross');
  });

  it('of a batch only what is refused stays, with its reason, until it is tried again or let go of', async () => {
    server.away = true;
    for (const technique of ['jab', 'cross', 'lead-hook', 'rear-hook'] as const) {
      at += 60;
      bench.tag(technique);
    }
    server.refusal = (mark) => (mark.kind === 'strike' && mark.technique.endsWith('hook') ? `No ${mark.technique}.` : undefined);
    server.away = false;
    await until(() => outbox.notTaken.length === 2);
    const thrown = () => server.log.flatMap((mark) => (mark.kind === 'strike' ? [mark.technique] : []));
    expect(thrown()).to.deep.equal(['jab', 'cross']);
    expect(outbox.notTaken.map(({ reason }) => reason)).to.deep.equal(['No lead-hook.', 'No rear-hook.']);
    await outbox.letGo([outbox.notTaken[0]!.id]);
    expect(outbox.notTaken.map(({ reason }) => reason)).to.deep.equal(['No rear-hook.']);
    server.refusal = () => undefined;
    // While something is on its way already: nothing that waits again is ever said to be saved.
    void outbox.flush();
    const trying = outbox.tryAgain();
    expect(outbox.state).to.equal('sending');
    await trying;
    await until(() => outbox.state === 'saved');
    expect(thrown()).to.deep.equal(['jab', 'cross', 'rear-hook']);
  });

  it('a mark at which the server stumbles again and again steps aside, and all others arrive', async () => {
    server.away = true;
    for (const technique of ['jab', 'cross', 'lead-hook', 'rear-hook'] as const) {
      at += 60;
      bench.tag(technique);
    }
    await until(() => outbox.state === 'away');
    server.stumblesAt = (mark) => mark.kind === 'strike' && mark.technique === 'cross';
    server.away = false;
    await until(async () => {
      await outbox.flush();
      return outbox.state === 'refused' && outbox.waiting === 0;
    });
    expect(outbox.notTaken.map(({ mark }) => mark)).to.have.length(1);
    expect(outbox.notTaken[0]!.mark).to.include({ technique: 'cross' });
    const thrown = new Set(server.log.flatMap((mark) => (mark.kind === 'strike' ? [mark.technique] : [])));
    expect([...thrown]).to.deep.equal(['jab', 'lead-hook', 'rear-hook']);
    server.stumblesAt = () => false;
    await outbox.tryAgain();
    await until(() => outbox.state === 'saved');
  });

  it('a word is later than what it answers, also when the clock of this device was put back', async () => {
    bench.tag('jab');
    await pick('gd.return-line');
    bench.judge('fault');
    const { now } = Date;
    try {
      Date.now = () => now() - 3_600_000;
      await pick('gd.return-line');
      bench.judge('clean');
      expect(verdictOf('gd.return-line')).to.equal('clean');
      review.undo();
      expect(verdictOf('gd.return-line')).to.equal('fault');
      review.redo();
      expect(verdictOf('gd.return-line')).to.equal('clean');
    } finally {
      Date.now = now;
    }
    await until(() => outbox.state === 'saved');
    const said = server.log.filter(({ kind }) => kind === 'observation').map(({ saidAt }) => Date.parse(saidAt));
    expect(said).to.have.length(4);
    expect(said).to.deep.equal(said.toSorted((a, b) => a - b));
  });

  it('of two who speak about the same thing the later word stands, in whatever order they come', async () => {
    bench.tag('jab');
    await pick('sm.telegraph');
    bench.judge('clean');
    await until(() => outbox.state === 'saved');
    const mine = server.log.find((mark): mark is ObservationMark => mark.kind === 'observation')!;
    const theirs = {
      ...mine,
      id: 'f'.repeat(8) + mine.id.slice(8),
      verdict: 'fault' as const,
      saidAt: new Date(Date.parse(mine.saidAt) + 1000).toISOString(),
    };
    server.log.push(theirs);
    await review.refresh();
    expect(verdictOf('sm.telegraph')).to.equal('fault');
    server.log = server.log.map((mark) => (mark.id === theirs.id ? { ...theirs, saidAt: new Date(0).toISOString() } : mark));
    await review.refresh();
    expect(verdictOf('sm.telegraph')).to.equal('fault');
  });
});
