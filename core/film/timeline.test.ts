import { expect } from 'chai';
import fc from 'fast-check';
import { durationDoubt, frameAt, frameNearest, gapAt, packTimeline, timelineOf, timeOf, unpackTimeline } from './index.ts';

/** Timelines of phones: gaps between a quarter of a millisecond and a tenth of a second. */
const timelines = fc
  .array(fc.double({ min: 0.25, max: 100, noNaN: true }), { minLength: 1, maxLength: 80 })
  .map((gaps) => timelineOf(gaps.map((_, index) => gaps.slice(0, index).reduce((sum, gap) => sum + gap, 0))));

const steady = timelineOf(Array.from({ length: 120 }, (_, index) => (index * 1000) / 60));

describe('frame timeline', () => {
  it('tells the frame that was taken nearest to a time', () => {
    fc.assert(
      fc.property(timelines, fc.double({ min: -200, max: 9000, noNaN: true }), (timeline, time) => {
        const away = Math.abs(timeline[frameNearest(timeline, time)]! - time);
        expect(away).to.equal(Math.min(...timeline.map((one) => Math.abs(one - time))));
      }),
    );
    expect(frameNearest(timelineOf([0, 10, 20]), 15)).to.equal(1);
  });

  it('is refused when empty or when times do not rise', () => {
    expect(() => timelineOf([])).to.throw(RangeError, 'no timeline');
    expect(() => timelineOf([0, 10, 10])).to.throw(RangeError, 'frame 2');
    expect(() => timelineOf([0, 10, 9])).to.throw(RangeError, 'frame 2');
    expect(() => timelineOf([0, Number.NaN])).to.throw(RangeError, 'frame 1');
  });

  it('survives packing bit for bit', () => {
    fc.assert(
      fc.property(timelines, (timeline) => {
        expect([...unpackTimeline(packTimeline(timeline))]).to.deep.equal([...timeline]);
      }),
    );
  });

  it('does not read bytes that are not whole frames', () => {
    expect(() => unpackTimeline(new Uint8Array(9))).to.throw(RangeError, 'not a frame timeline');
  });

  it('unpacks from the middle of a larger buffer', () => {
    const packed = packTimeline(timelineOf([0, 33.4, 66.7]));
    const larger = new Uint8Array(packed.length + 3);
    larger.set(packed, 3);
    expect([...unpackTimeline(larger.subarray(3))]).to.deep.equal([0, 33.4, 66.7]);
  });

  it('finds every frame by its own time, whatever the rate', () => {
    fc.assert(
      fc.property(timelines, (timeline) => {
        // Frames closer together than the grace of half a millisecond cannot be told apart by time.
        for (const time of timeline) expect(timeline[frameAt(timeline, time)]! - time).to.be.within(0, 0.5 + 1e-9);
      }),
    );
  });

  it('shows a frame until the next one begins', () => {
    const timeline = timelineOf([0, 40, 50, 200]);
    const at = [-5, 0, 39.4, 39.6, 45, 50, 199, 200, 9999].map((time) => frameAt(timeline, time));
    expect(at).to.deep.equal([0, 0, 0, 1, 1, 2, 2, 3, 3]);
  });

  it('gives the last frame the gap of the one before it', () => {
    const timeline = timelineOf([0, 40, 50]);
    expect([0, 1, 2, 7].map((frame) => gapAt(timeline, frame))).to.deep.equal([40, 10, 10, 10]);
    expect(gapAt(timelineOf([0]), 0)).to.equal(0);
  });

  it('clamps frames outside of the film', () => {
    expect(timeOf(steady, -3)).to.equal(0);
    expect(timeOf(steady, 1e6)).to.equal(steady.at(-1));
  });

  it('doubts a duration by half a gap at either end', () => {
    expect(durationDoubt(timelineOf([0, 30, 60, 70]), 0, 2)).to.be.closeTo(Math.hypot(15, 5), 1e-9);
  });
});
