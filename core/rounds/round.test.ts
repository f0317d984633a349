import { expect } from 'chai';
import fc from 'fast-check';
import { overlapping, proposedRounds, thirdOfRound } from './index.ts';

describe('proposed rounds', () => {
  const busy = (from: number, to: number): number[] =>
    Array.from({ length: Math.floor((to - from) / 1000) }, (_, n) => from + n * 1000);
  it('are the whole film when nothing was heard', () => {
    expect(proposedRounds([], [], 60_000)).to.deep.equal([{ from: 0, to: 60_000, manner: 'free' }]);
  });
  it('never overlap and stay within the film', () => {
    const someTimes = fc
      .array(fc.double({ min: 0, max: 300_000, noNaN: true }), { maxLength: 200 })
      .map((list) => list.sort((a, b) => a - b));
    fc.assert(
      fc.property(someTimes, someTimes, (hits, rings) => {
        const rounds = proposedRounds(
          hits,
          rings.slice(0, 6).map((time) => ({ time, hertz: 880 })),
          300_000,
        );
        expect(overlapping(rounds)).to.equal(undefined);
        for (const { from, to } of rounds) expect(from >= 0 && to <= 300_000 && from < to).to.equal(true);
        expect(rounds.length).to.be.above(0);
      }),
    );
  });
  it('do not take a rest with a few hits at its start for a round', () => {
    const hits = [...busy(5000, 60_000), ...busy(60_500, 67_000), ...busy(90_500, 150_000)];
    const rings = [0, 60_000, 90_000, 150_000].map((time) => ({ time, hertz: 880 }));
    expect(proposedRounds(hits, rings, 155_000)).to.have.length(2);
  });
  it('tell the first pair that overlaps; touching is none', () => {
    const [a, b] = [
      { from: 0, to: 10 },
      { from: 10, to: 20 },
    ];
    expect(overlapping([b, a])).to.equal(undefined);
    expect(overlapping([{ from: 5, to: 12 }, a])).to.deep.equal([a, { from: 5, to: 12 }]);
  });
  it('have three thirds', () => {
    expect([0, 29, 30, 60, 90].map((time) => thirdOfRound({ from: 0, to: 90 }, time))).to.deep.equal([
      'first',
      'first',
      'middle',
      'last',
      'last',
    ]);
  });
});
