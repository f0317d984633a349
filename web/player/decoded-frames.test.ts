import { timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import fc from 'fast-check';
import type { FromDecoder, ToDecoder } from './decode-messages.ts';
import { decodedFrames } from './decoded-frames.ts';
import type { FrameSource, Picture } from './frame-source.ts';
import { reach } from './window-plan.ts';

const count = 400;
const timeline = timelineOf(Array.from({ length: count }, (_, frame) => (frame * 1000) / 60));
const film = { url: '/film.mp4', timeline, firstFrameAt: 0 };

/** A picture that knows whether it was given back: a browser has only so many. */
class LentFrame {
  static out = new Set<LentFrame>();
  readonly displayWidth = 960;
  readonly displayHeight = 540;
  constructor(readonly index: number) {
    LentFrame.out.add(this);
  }
  close(): void {
    LentFrame.out.delete(this);
  }
}

/** Stands in for the worker that decodes: it is told what to fetch, and brings frames when the test lets it. */
class StandInWorker {
  static last: StandInWorker;
  onmessage?: (event: { data: FromDecoder }) => void;
  readonly told: ToDecoder[] = [];
  terminated = false;
  constructor() {
    StandInWorker.last = this;
  }
  postMessage(message: ToDecoder): void {
    this.told.push(message);
  }
  terminate(): void {
    this.terminated = true;
  }
  say(data: FromDecoder): void {
    this.onmessage?.({ data });
  }
  bring(index: number): void {
    this.say({ kind: 'frame', index, frame: new LentFrame(index) as unknown as VideoFrame });
  }
  /** Every frame of the newest fetch, in its order. */
  get wanted(): number[] {
    const fetch = this.told.findLast((message) => message.kind === 'fetch');
    return (fetch?.runs ?? []).flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, place) => from + place));
  }
  bringAll(): void {
    for (const index of this.wanted) this.bring(index);
  }
}

describe('frames that are decoded ahead', () => {
  const { Worker } = globalThis;
  let source: FrameSource;
  let worker: StandInWorker;
  beforeEach(() => {
    Object.assign(globalThis, { Worker: StandInWorker });
    LentFrame.out.clear();
    source = decodedFrames(film);
    worker = StandInWorker.last;
  });
  afterEach(() => source.close());
  after(() => Object.assign(globalThis, { Worker }));

  const held = (): number[] => [...LentFrame.out].map(({ index }) => index).sort((a, b) => a - b);
  const shownAt = async (index: number): Promise<Picture | undefined> => {
    const answer = source.frame(index, 1);
    worker.bringAll();
    return answer;
  };

  it('come when they are there, and at once when they are near', async () => {
    expect((await shownAt(100))?.index).to.equal(100);
    const asked = worker.told.length;
    expect((await source.frame(101, 1))?.index).to.equal(101);
    expect(worker.told, 'nothing is fetched for a step').to.have.length(asked);
  });

  it('keep a window round the playhead, and give back what lies outside', async () => {
    await shownAt(100);
    expect(held()).to.deep.equal(Array.from({ length: 2 * reach + 1 }, (_, place) => 100 - reach + place));
    await shownAt(300);
    expect(held().every((index) => Math.abs(index - 300) <= reach)).to.equal(true);
  });

  it('lie ready where the playhead will probably go, and are given back when it will not', async () => {
    await shownAt(100);
    source.expect([250, 20, 390]);
    expect(worker.wanted.slice(0, 3)).to.deep.equal([250, 20, 390]);
    worker.bringAll();
    expect(held()).to.include.members([20, 250, 390]);
    const asked = worker.told.length;
    expect((await source.frame(250, 1))?.index, 'at once').to.equal(250);
    expect(worker.told.length).to.be.above(asked);
    source.expect([]);
    expect(held()).to.not.include.members([20]);
  });

  it('expect nothing outside of the film', async () => {
    await shownAt(100);
    const asked = worker.told.length;
    source.expect([-1, count, count + 5]);
    expect(worker.told).to.have.length(asked);
  });

  it('that nobody waits for any more resolve with nothing; the last one asked for comes', async () => {
    const [first, second] = [source.frame(100, 1), source.frame(200, 1)];
    expect(await first).to.equal(undefined);
    worker.bringAll();
    expect((await second)?.index).to.equal(200);
  });

  it('that cannot be decoded are an error for whoever waits, stills as well', async () => {
    const [frame, still] = [source.frame(100, 1), source.still(5, 84, new AbortController().signal)];
    worker.say({ kind: 'failed', reason: 'This film is damaged.' });
    for (const answer of [frame, still]) {
      const reason = await answer.then(
        () => 'none',
        (error: unknown) => (error as Error).message,
      );
      expect(reason).to.equal('This film is damaged.');
    }
  });

  it('as stills are handed over, and closed when nobody wants them any more', async () => {
    const given: string[] = [];
    const bitmap = (name: string) => ({ close: () => given.push(name) }) as unknown as ImageBitmap;
    const leaving = new AbortController();
    const [wanted] = [source.still(5, 84, new AbortController().signal), source.still(6, 84, leaving.signal)];
    leaving.abort();
    const [one, two] = worker.told.flatMap((message) => (message.kind === 'still' ? [message.ticket] : []));
    worker.say({ kind: 'still', ticket: one!, still: bitmap('five') });
    worker.say({ kind: 'still', ticket: two!, still: bitmap('six') });
    await wanted;
    expect(given).to.deep.equal(['six']);
    expect(worker.told).to.deep.include({ kind: 'forget', ticket: two });
  });

  it('are all given back at the end', async () => {
    await shownAt(100);
    source.expect([300]);
    worker.bringAll();
    source.close();
    expect(held()).to.deep.equal([]);
    expect(worker.terminated).to.equal(true);
  });

  it('are never more than the window and what is expected, wherever the playhead goes', async () => {
    const frame = fc.nat(count - 1);
    const walk = fc.array(
      fc.record({ to: frame, back: fc.boolean(), likely: fc.array(frame, { maxLength: 3 }), arrive: fc.nat(80) }),
      {
        maxLength: 12,
      },
    );
    await fc.assert(
      fc.asyncProperty(walk, async (steps) => {
        const mine = decodedFrames(film);
        const decoder = StandInWorker.last;
        LentFrame.out.clear();
        for (const { to, back, likely, arrive } of steps) {
          const answer = mine.frame(to, back ? -1 : 1);
          mine.expect(likely);
          // Some of what was asked for comes before the playhead goes on.
          for (const index of decoder.wanted.slice(0, arrive)) decoder.bring(index);
          const allowed = new Set([...likely, ...Array.from({ length: 2 * reach + 1 }, (_, place) => to - reach + place)]);
          for (const index of held()) expect(allowed.has(index), `${index} is held at ${to}`).to.equal(true);
          expect(new Set(held()).size, 'no frame twice').to.equal(held().length);
          if (held().includes(to)) expect((await answer)?.index).to.equal(to);
        }
        mine.close();
        expect(held()).to.deep.equal([]);
      }),
      { numRuns: 60 },
    );
  });
});
