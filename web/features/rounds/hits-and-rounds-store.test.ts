import type { Film } from '@wax-fist/contract/footage';
import type { HitsAndRounds, Round } from '@wax-fist/contract/rounds';
import { usualGap } from '@wax-fist/core/rounds';
import { noHitEdits } from '@wax-fist/core/sound';
import { wholePicture } from '@wax-fist/core/strikes';
import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { hitsAtPlayhead } from './hits-at-playhead.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import { useRounds } from './use-rounds.ts';

const film = {
  id: 'a-film',
  steps: [
    { step: 'sound', state: 'done' },
    { step: 'hits', state: 'done' },
  ],
} as Film;
const round = (id: string, from: number, to: number): Round => ({
  id,
  name: `Round ${id}`,
  from,
  to,
  kind: 'heavy bag',
  manner: 'bell',
  planned: '',
  proposed: true,
});
const heard = (time: number, prominence = 1) => ({
  time,
  prominence,
  sound: { level: 0, attack: 4, decay: 60, brightness: 0.2, snap: 0.5 },
});
const fresh = (): HitsAndRounds => ({
  sound: [heard(1000), heard(2000), heard(3000, 0.2)],
  motion: null,
  both: null,
  rings: [],
  talk: [],
  away: [],
  edits: { ...noHitEdits, gap: usualGap, added: [], removed: [], region: wholePicture },
  rounds: [round('1', 500, 10_000), round('2', 20_000, 30_000)],
  version: 3,
});

/** A server as far as the store can tell: it keeps what it is sent, counts, and can be away or ahead. */
function standIn() {
  const state = { hitsAndRounds: fresh(), away: false, sent: [] as string[] };
  const answer = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status });
  globalThis.fetch = (async (url: string, { method, body }: RequestInit) => {
    if (state.away) throw new TypeError('fetch failed');
    if (method === 'GET') return answer(state.hitsAndRounds);
    state.sent.push(url.split('/').at(-1)!);
    const { basedOn, ...change } = JSON.parse(body as string) as { basedOn: number };
    if (basedOn !== state.hitsAndRounds.version) return answer({ message: 'Somebody else has changed these.' }, 409);
    state.hitsAndRounds = { ...state.hitsAndRounds, ...change, version: basedOn + 1 };
    return answer(state.hitsAndRounds);
  }) as unknown as typeof fetch;
  return state;
}

describe('hits and rounds in hand', () => {
  const { fetch, window } = globalThis;
  let leaving: EventTarget;
  let server: ReturnType<typeof standIn>;
  let hitsAndRounds: ReturnType<typeof useHitsAndRounds>;
  beforeEach(async () => {
    leaving = new EventTarget();
    Object.assign(globalThis, { window: leaving });
    setActivePinia(createPinia());
    server = standIn();
    hitsAndRounds = useHitsAndRounds();
    await hitsAndRounds.open(film);
  });
  // Nothing may be left to be sent after the test.
  afterEach(async () => {
    server.away = false;
    await hitsAndRounds.send();
  });
  after(() => Object.assign(globalThis, { fetch, window }));
  const times = (): number[] => hitsAndRounds.hits.map(({ time }) => time);

  it('are what the server has, cut by the sensitivity', () => {
    expect(times()).to.deep.equal([1000, 2000]);
    expect(hitsAndRounds.combinations).to.have.length(2);
    expect(hitsAndRounds.rounds.map(({ id }) => id)).to.deep.equal(['1', '2']);
  });

  it('change at once, are sent as hits and as rounds, and can be taken back', async () => {
    hitsAndRounds.toggleHit(2010, 30);
    hitsAndRounds.toggleHit(5000, 30);
    expect(times()).to.deep.equal([1000, 5000]);
    hitsAndRounds.moveHit(5200, 400);
    expect(times()).to.deep.equal([1000, 5200]);
    expect(hitsAndRounds.unsent).to.equal(true);
    await hitsAndRounds.send();
    expect(server.sent).to.deep.equal(['hits', 'rounds']);
    expect(server.hitsAndRounds.edits).to.deep.include({ added: [5200], removed: [2000] });
    expect(hitsAndRounds.unsent).to.equal(false);
    hitsAndRounds.undo();
    hitsAndRounds.undo();
    hitsAndRounds.undo();
    expect(times()).to.deep.equal([1000, 2000]);
    expect(hitsAndRounds.canUndo).to.equal(false);
    hitsAndRounds.redo();
    await hitsAndRounds.send();
    expect(server.hitsAndRounds.edits.removed).to.deep.equal([2000]);
  });

  it('a slide is one step, however far it went', () => {
    for (const sensitivity of [0.6, 0.7, 0.9]) hitsAndRounds.slideEdits({ sensitivity });
    expect(times()).to.deep.equal([1000, 2000, 3000]);
    hitsAndRounds.slid();
    hitsAndRounds.undo();
    expect(hitsAndRounds.edits.sensitivity).to.equal(0.5);
    expect(hitsAndRounds.canUndo).to.equal(false);
  });

  it('are not kept as long as they are on their way', async () => {
    hitsAndRounds.toggleHit(1000, 30);
    const sending = hitsAndRounds.send();
    await Promise.resolve();
    expect(hitsAndRounds.unsent).to.equal(true);
    const leave = new Event('beforeunload', { cancelable: true });
    leaving.dispatchEvent(leave);
    expect(leave.defaultPrevented).to.equal(true);
    await sending;
    expect(hitsAndRounds.unsent).to.equal(false);
  });

  it('that are changed while the page asks what was found meanwhile stay changed', async () => {
    server.hitsAndRounds = { ...fresh(), rings: [{ time: 400, hertz: 900 }] };
    const opening = hitsAndRounds.open(film);
    await Promise.resolve();
    hitsAndRounds.toggleHit(1000, 30);
    await opening;
    expect(times()).to.deep.equal([2000]);
    expect(hitsAndRounds.rings).to.have.length(1);
    await hitsAndRounds.send();
    expect(server.hitsAndRounds.edits.removed).to.deep.equal([1000]);
  });

  it('wait while the server is away, keep the page from being left, and are sent when it is back', async () => {
    server.away = true;
    hitsAndRounds.toggleHit(1000, 30);
    await hitsAndRounds.send();
    expect(hitsAndRounds.unsent).to.equal(true);
    expect(hitsAndRounds.remark).to.match(/server is away/);
    const leave = new Event('beforeunload', { cancelable: true });
    leaving.dispatchEvent(leave);
    expect(leave.defaultPrevented).to.equal(true);
    server.away = false;
    await hitsAndRounds.send();
    expect(hitsAndRounds.remark).to.equal(undefined);
    expect(server.hitsAndRounds.edits.removed).to.deep.equal([1000]);
  });

  it('that somebody else has changed meanwhile are shown as theirs, with a word about it', async () => {
    server.hitsAndRounds = { ...fresh(), edits: { ...fresh().edits, added: [7000] }, version: 9 };
    hitsAndRounds.toggleHit(1000, 30);
    await hitsAndRounds.send();
    expect(hitsAndRounds.remark).to.equal('Somebody else has changed these.');
    expect(times()).to.deep.equal([1000, 2000, 7000]);
    expect(hitsAndRounds.canUndo).to.equal(false);
    hitsAndRounds.toggleHit(1000, 30);
    await hitsAndRounds.send();
    expect(server.hitsAndRounds).to.deep.include({ version: 11 });
  });

  describe('from where the playhead stands', () => {
    const timeline = Float64Array.from({ length: 400 }, (_, frame) => (frame * 1000) / 30);
    const hits = (frame: number) => hitsAtPlayhead(timeline, () => frame);
    it('the next hit and the one before are frames', () => {
      expect(hits(0).neighbour(1)).to.equal(30);
      expect(hits(30).neighbour(1)).to.equal(60);
      expect(hits(60).neighbour(1)).to.equal(undefined);
      expect(hits(31).neighbour(-1)).to.equal(30);
      expect(hits(30).neighbour(-1)).to.equal(undefined);
    });
    it('hits are set, taken out, moved, and believed more or less within bounds', () => {
      hits(30).toggle();
      hits(90).toggle();
      expect(times()).to.deep.equal([2000, 3000]);
      hits(65).move();
      expect(times().map(Math.round)).to.deep.equal([2167, 3000]);
      for (let press = 0; press < 15; press++) hits(0).believe(1);
      expect(hitsAndRounds.edits.sensitivity).to.equal(1);
      for (let press = 0; press < 25; press++) hits(0).believe(-1);
      expect(hitsAndRounds.edits.sensitivity).to.equal(0);
    });
  });

  describe('rounds', () => {
    it('are no proposal any more once they were touched', () => {
      const rounds = useRounds(60_000);
      rounds.change('1', { kind: 'long bag' });
      rounds.edge('2', 'to', 35_000);
      expect(hitsAndRounds.rounds.map(({ kind, to, proposed }) => [kind, to, proposed])).to.deep.equal([
        ['long bag', 10_000, false],
        ['heavy bag', 35_000, false],
      ]);
    });
    it('are in hand one at a time, the first one at first', () => {
      const rounds = useRounds(60_000);
      expect(rounds.inHand.value?.id).to.equal('1');
      rounds.neighbour(-1);
      expect(rounds.inHand.value?.id).to.equal('1');
      rounds.neighbour(1);
      rounds.neighbour(1);
      expect(rounds.inHand.value?.id).to.equal('2');
      rounds.remove('2');
      expect(rounds.inHand.value?.id).to.equal('1');
      rounds.remove('1');
      expect(rounds.inHand.value).to.equal(undefined);
    });
    it('are cut and added under a name that is free, and taken in hand; where that cannot be, nothing changes', () => {
      const rounds = useRounds(60_000);
      expect(rounds.cut(5000)).to.equal(true);
      expect(rounds.inHand.value).to.deep.include({ name: 'Round 3', from: 5000, to: 10_000, manner: 'bell' });
      expect(rounds.add(40_000)).to.equal(true);
      expect(rounds.inHand.value).to.deep.include({ name: 'Round 4', from: 30_000, to: 60_000, kind: 'heavy bag' });
      expect(rounds.add(25_000)).to.equal(false);
      expect(rounds.cut(15_000)).to.equal(false);
      expect(hitsAndRounds.rounds).to.have.length(4);
    });
    it('an edge that is dragged is one step to undo', () => {
      const rounds = useRounds(60_000);
      for (const to of [10_500, 12_000, 14_000]) rounds.drag('1', 'to', to);
      rounds.dropped();
      expect(hitsAndRounds.rounds[0]!.to).to.equal(14_000);
      hitsAndRounds.undo();
      expect(hitsAndRounds.rounds[0]).to.deep.include({ to: 10_000, proposed: true });
    });
  });
});
