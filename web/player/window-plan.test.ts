import { expect } from 'chai';
import fc from 'fast-check';
import { eager, fetchPlan, isKept, reach, type Playhead } from './window-plan.ts';

const playheads = fc
  .record({
    count: fc.integer({ min: 1, max: 200 }),
    place: fc.double({ min: 0, max: 1, noNaN: true }),
    direction: fc.constantFrom<1 | -1>(1, -1),
    held: fc.uniqueArray(fc.nat(199)),
    likely: fc.array(fc.nat(199), { maxLength: 4 }),
  })
  .map(({ count, place, direction, held, likely }): Playhead & { set: Set<number> } => {
    const set = new Set(held.filter((index) => index < count));
    return {
      at: Math.round(place * (count - 1)),
      direction,
      count,
      likely: likely.filter((index) => index < count),
      held: (index) => set.has(index),
      set,
    };
  });
const frames = (runs: readonly (readonly [number, number])[]): number[] =>
  runs.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, place) => from + place));

describe('what to decode', () => {
  it('lies in the film and in the window, is not held yet, and comes once', () => {
    fc.assert(
      fc.property(playheads, (playhead) => {
        const asked = frames(fetchPlan(playhead));
        expect(new Set(asked).size).to.equal(asked.length);
        for (const index of asked) {
          expect(index).to.be.within(0, playhead.count - 1);
          expect(isKept(index, playhead)).to.equal(true);
          expect(playhead.set.has(index)).to.equal(false);
        }
      }),
    );
  });

  it('begins with the wanted frame when that is missing', () => {
    fc.assert(
      fc.property(playheads, (playhead) => {
        const [first] = fetchPlan(playhead);
        if (!playhead.set.has(playhead.at)) expect(first).to.deep.equal([playhead.at, playhead.at]);
      }),
    );
  });

  it('is nothing only when enough lies ready ahead', () => {
    fc.assert(
      fc.property(playheads, (playhead) => {
        if (fetchPlan(playhead).length > 0) return;
        for (let ahead = 0; ahead <= eager; ahead++) {
          const index = playhead.at + playhead.direction * ahead;
          if (index >= 0 && index < playhead.count) expect(playhead.set.has(index)).to.equal(true);
        }
      }),
    );
  });

  it('has what is likely wanted next right after what is wanted now, also when all else lies ready', () => {
    fc.assert(
      fc.property(playheads, (playhead) => {
        const far = playhead.likely.filter((index) => !playhead.set.has(index) && Math.abs(index - playhead.at) > reach);
        const asked = fetchPlan(playhead).map(([from]) => from);
        const wanted = playhead.set.has(playhead.at) ? [] : [playhead.at];
        const first = [...wanted, ...new Set(far)];
        expect(asked.slice(0, first.length)).to.deep.equal(first);
      }),
    );
  });

  it('fills the whole window when it fetches at all', () => {
    const asked = frames(fetchPlan({ at: 100, direction: 1, count: 1000, likely: [], held: () => false }));
    expect(asked.sort((a, b) => a - b)).to.deep.equal(frames([[100 - reach, 100 + reach]]));
  });

  it('goes ahead first: upwards in one go, downwards in pieces from the nearest', () => {
    const plan = (direction: 1 | -1) => fetchPlan({ at: 100, direction, count: 1000, likely: [], held: () => false });
    expect(plan(1)).to.deep.equal([
      [100, 100],
      [101, 130],
      [85, 99],
      [70, 84],
    ]);
    expect(plan(-1)).to.deep.equal([
      [100, 100],
      [85, 99],
      [70, 84],
      [101, 130],
    ]);
  });
});
