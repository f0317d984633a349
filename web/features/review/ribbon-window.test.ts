import { expect } from 'chai';
import fc from 'fast-check';
import { apart, pieceInHand } from './ribbon-window.ts';

describe('marks of a ribbon', () => {
  const places = fc
    .array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 40 })
    .map((list) => list.sort((one, other) => one - other));

  it('stand apart, in order, and stay where they are when they do already', () => {
    fc.assert(
      fc.property(places, (list) => {
        const moved = apart(list, 0.02);
        expect(moved).to.have.length(list.length);
        for (let place = 1; place < moved.length; place++) expect(moved[place]! - moved[place - 1]!).to.be.at.least(0.02 - 1e-9);
        expect(apart(moved, 0.02).every((one, place) => Math.abs(one - moved[place]!) < 1e-9)).to.equal(true);
      }),
    );
    expect(apart([0.1, 0.5, 0.9], 0.02)).to.deep.equal([0.1, 0.5, 0.9]);
  });

  it('give way to both sides', () => {
    const [left, right] = apart([0.5, 0.5], 0.02);
    expect([left, right]).to.deep.equal([0.49, 0.51]);
  });
});

describe('the piece of a round that is in hand', () => {
  const round = { from: 10_000, to: 130_000 };

  it('is all of it as long as its marks have room', () => {
    expect(pieceInHand(round, 50, 50, 20_000)).to.deep.equal(round);
  });

  it('has the playhead in it, lies within the round, and is as long wherever it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10_000, max: 130_000 }), (now) => {
        const { from, to } = pieceInHand(round, 150, 50, now);
        expect(from).to.be.at.least(round.from).and.at.most(now);
        expect(to).to.be.at.most(round.to).and.at.least(now);
        expect(to - from).to.be.closeTo(40_000, 1e-6);
      }),
    );
  });

  it('stands still while the playhead moves a little', () => {
    const froms = [60_000, 61_000, 62_000, 63_000, 64_000].map((now) => pieceInHand(round, 150, 50, now).from);
    expect(new Set(froms).size).to.be.at.most(2);
  });
});
