import { expect } from 'chai';
import fc from 'fast-check';
import { speedBagBeat } from './index.ts';

describe('the beat of a speed bag', () => {
  it('counts what is missing and leaves pauses out', () => {
    const beats = [0, 200, 400, 800, 1000, 1200, 1800, 2000, 9000, 9200, 9400];
    expect(speedBagBeat(beats)).to.deep.equal({ beat: 200, unevenness: 0, missed: 3, gaps: [400, 1200] });
    expect(speedBagBeat([0, 200, 400])).to.equal(undefined);
  });

  it('finds what is missing among few', () => {
    expect(speedBagBeat([0, 250, 750, 1000, 1500])).to.deep.equal({ beat: 250, unevenness: 0, missed: 2, gaps: [250, 1000] });
  });

  it('hears what rattles once', () => {
    const beats = [0, 300, 600, 640, 900, 900, 1200, 1200, 1500];
    expect(speedBagBeat(beats)).to.include({ beat: 300, unevenness: 0, missed: 0 });
    expect(speedBagBeat([5, 5, 5, 5, 5, 5, 5])).to.equal(undefined);
  });

  it('is found whatever is missing or doubled, and is always a number', () => {
    const bag = fc.record({
      beat: fc.integer({ min: 140, max: 500 }),
      jitter: fc.array(fc.integer({ min: -8, max: 8 }), { minLength: 40, maxLength: 40 }),
      missing: fc.uniqueArray(fc.integer({ min: 1, max: 38 }), { maxLength: 8 }),
      doubled: fc.uniqueArray(fc.nat(39), { maxLength: 4 }),
    });
    fc.assert(
      fc.property(bag, ({ beat, jitter, missing, doubled }) => {
        const kept = jitter.flatMap((shift, place) => {
          const time = place * beat + shift;
          return missing.includes(place) ? [] : doubled.includes(place) ? [time, time + 0.2 * beat] : [time];
        });
        const found = speedBagBeat(kept)!;
        expect(found.beat).to.be.closeTo(beat, 0.06 * beat);
        expect(found.unevenness).to.be.within(0, 0.2);
        const longest = Math.max(
          ...missing.map((place) => [0, 1, 2, 3].filter((more) => missing.includes(place + more)).length),
          0,
        );
        if (longest < 3) expect(found.missed).to.equal(missing.length);
      }),
    );
    const anything = fc
      .array(fc.double({ min: 0, max: 10_000, noNaN: true }), { maxLength: 60 })
      .map((all) => all.sort((a, b) => a - b));
    fc.assert(
      fc.property(anything, (times) => {
        const found = speedBagBeat(times);
        if (found) expect([found.beat, found.unevenness, found.missed].every(Number.isFinite)).to.equal(true);
      }),
    );
  });
});
