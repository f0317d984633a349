import { frameAt, timelineOf, timeOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { hitsAtPlayhead } from './hits-at-playhead.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';

const timeline = timelineOf(Array.from({ length: 600 }, (_, frame) => (frame * 1000) / 60));

describe('hits at the playhead', () => {
  const { window, fetch } = globalThis;
  let at = 0;
  let hits: ReturnType<typeof hitsAtPlayhead>;
  const hear = (...times: number[]): void => {
    useHitsAndRounds().sound = times.map((time) => ({ time, prominence: 1 }));
  };
  beforeEach(() => {
    Object.assign(globalThis, {
      window: new EventTarget(),
      fetch: () => Promise.reject(new TypeError('Nobody is asked here.')),
    });
    setActivePinia(createPinia());
    at = 0;
    hits = hitsAtPlayhead(timeline, () => at);
  });
  after(() => Object.assign(globalThis, { window, fetch }));

  it('are gone to, before and after', () => {
    hear(1000, 2000);
    at = 90;
    expect(hits.neighbour(1)).to.equal(120);
    expect(hits.neighbour(-1)).to.equal(60);
    at = 120;
    expect(hits.neighbour(1)).to.equal(undefined);
  });

  it('always lie on the side that was asked for', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(9900), { maxLength: 12 }), fc.nat(599), (times, place) => {
        hear(...times);
        at = place;
        const [after, before] = [hits.neighbour(1), hits.neighbour(-1)];
        if (after !== undefined) expect(after).to.be.above(place);
        if (before !== undefined) expect(before).to.be.below(place);
        const frames = useHitsAndRounds().hits.map(({ time }) => frameAt(timeline, time));
        expect(after === undefined).to.equal(!frames.some((frame) => frame > place));
      }),
    );
  });

  it('follow each other as long as they belong to one combination', () => {
    hear(1000, 1500, 2100, 4000, 4300);
    expect(hits.following(60)).to.deep.equal([90, 126]);
    expect(hits.following(240), 'after a rest another combination begins').to.deep.equal([258]);
    expect(hits.following(590)).to.deep.equal([]);
  });

  it('that follow come in order and are closer together than the gap', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(9900), { maxLength: 20 }), fc.nat(599), (times, place) => {
        hear(...times);
        const following = hits.following(place);
        const moments = [place, ...following].map((frame) => timeOf(timeline, frame));
        const { gap } = useHitsAndRounds().edits;
        moments.slice(1).forEach((moment, index) => {
          // A frame is shown for 17 ms, and a hit is heard anywhere within it.
          expect(moment - moments[index]!).to.be.within(0, gap + 34);
        });
      }),
    );
  });

  it('are taken out where one is, and put in where none is', () => {
    hear(1000);
    at = 60;
    hits.toggle();
    expect(useHitsAndRounds().hits).to.deep.equal([]);
    at = 300;
    hits.toggle();
    expect(useHitsAndRounds().hits.map(({ time }) => time)).to.deep.equal([timeOf(timeline, 300)]);
  });

  it('are brought to the playhead when they are near, and left alone when they are not', () => {
    hear(1000, 9000);
    at = 66;
    hits.move();
    expect(useHitsAndRounds().hits[0]!.time).to.be.closeTo(1100, 1);
    at = 300;
    hits.move();
    expect(useHitsAndRounds().hits.map(({ time }) => Math.round(time))).to.deep.equal([1100, 9000]);
  });

  it('are believed more or less, never beyond all or none', () => {
    const { edits } = useHitsAndRounds();
    hits.believe(1);
    expect(useHitsAndRounds().edits.sensitivity).to.be.above(edits.sensitivity);
    for (let turn = 0; turn < 40; turn++) hits.believe(-1);
    expect(useHitsAndRounds().edits.sensitivity).to.equal(0);
    for (let turn = 0; turn < 40; turn++) hits.believe(1);
    expect(useHitsAndRounds().edits.sensitivity).to.equal(1);
  });
});
