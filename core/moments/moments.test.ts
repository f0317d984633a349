import { expect } from 'chai';
import fc from 'fast-check';
import { shippedCatalogue, techniqueIn } from '../technique/index.ts';
import {
  durationDoubt,
  frameAt,
  frameNearest,
  gapAt,
  guessedMoments,
  loudnessAround,
  loudnessOf,
  packTimeline,
  phaseFrames,
  timelineOf,
  timeOf,
  unpackTimeline,
  withMoment,
  type Moment,
} from './index.ts';

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
        for (const time of timeline) expect(timeline[frameAt(timeline, time)]! - time).to.be.within(0, 0.5);
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

describe('moments of a strike', () => {
  it('are guessed from the contact and stay inside the film', () => {
    const guess = guessedMoments(steady, techniqueIn(shippedCatalogue, 'jab'), 60);
    expect(timeOf(steady, 60) - timeOf(steady, guess.launchFrame)).to.be.closeTo(160, 17);
    expect(timeOf(steady, guess.homeFrame) - timeOf(steady, 60)).to.be.closeTo(220, 17);
    expect(guessedMoments(steady, techniqueIn(shippedCatalogue, 'cross'), 0).launchFrame).to.equal(0);
    expect(guessedMoments(steady, techniqueIn(shippedCatalogue, 'cross'), 119).homeFrame).to.equal(119);
  });

  it('keep their order however one of them is moved', () => {
    const frames = fc.nat(119);
    const moments = fc.tuple(frames, frames, frames).map((three) => three.sort((a, b) => a - b));
    fc.assert(
      fc.property(
        moments,
        fc.constantFrom<Moment>('launch', 'contact', 'home'),
        frames,
        ([launch, contact, home], moment, frame) => {
          const moved = withMoment({ launchFrame: launch!, contactFrame: contact!, homeFrame: home! }, moment, frame);
          expect(moved[`${moment}Frame`]).to.equal(frame);
          expect(moved.launchFrame).to.be.at.most(moved.contactFrame);
          expect(moved.contactFrame).to.be.at.most(moved.homeFrame);
        },
      ),
    );
  });

  it('give five stills in the order of time', () => {
    const stills = Object.values(phaseFrames(steady, { launchFrame: 30, contactFrame: 40, homeFrame: 55 }));
    expect(stills).to.deep.equal([...stills].sort((a, b) => a - b));
    expect(stills.slice(1, 4)).to.deep.equal([30, 40, 55]);
    expect(timeOf(steady, 30) - timeOf(steady, stills[0]!)).to.be.closeTo(130, 17);
  });
});

describe('loudness', () => {
  const rate = 16_000;
  const tone = (amplitude: number, samples: number) => Float32Array.from({ length: samples }, (_, n) => amplitude * Math.sin(n));

  it('is 0 for silence, 255 at full scale, and −30 dB lies in the middle', () => {
    expect(loudnessOf(new Float32Array(1600), rate)).to.deep.equal(new Uint8Array(10));
    expect(loudnessOf(new Float32Array(160).fill(1), rate)[0]).to.equal(255);
    expect(loudnessOf(new Float32Array(160).fill(10 ** (-30 / 20)), rate)[0]).to.be.within(127, 128);
  });

  it('has one value for each hundredth of a second, the last one begun', () => {
    expect(loudnessOf(tone(0.5, 1601), rate)).to.have.length(11);
    expect(loudnessOf(new Float32Array(0), rate)).to.have.length(0);
  });

  it('rises with the amplitude', () => {
    const amplitudes = fc.tuple(fc.double({ min: 0.002, max: 1, noNaN: true }), fc.double({ min: 0.002, max: 1, noNaN: true }));
    fc.assert(
      fc.property(amplitudes, ([a, b]) => {
        const [quiet, loud] = [Math.min(a, b), Math.max(a, b)].map((amplitude) => loudnessOf(tone(amplitude, 160), rate)[0]!);
        expect(quiet).to.be.at.most(loud!);
      }),
    );
  });

  it('is found round a moment and nowhere beyond', () => {
    const sound = new Uint8Array(100);
    sound[50] = 255;
    expect(loudnessAround(sound, 500)).to.equal(1);
    expect(loudnessAround(sound, 530)).to.equal(1);
    expect(loudnessAround(sound, 600)).to.equal(0);
    expect(loudnessAround(new Uint8Array(0), 10)).to.equal(0);
  });
});
