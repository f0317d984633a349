import { expect } from 'chai';
import type { Hit } from '../sound/index.ts';
import { meanDifference, roundFigures } from './index.ts';

const sound = { level: 0, attack: 6, decay: 60, brightness: 0.2, snap: 0.5 };

const hit = (time: number, level = 0, snap = 0.5): Hit => ({ time, by: 'sound', sound: { ...sound, level, snap } });

describe('what a round says', () => {
  const round = { from: 10_000, to: 100_000 };
  const hits = Array.from({ length: 80 }, (_, n) => hit(10_500 + n * 1000, n < 30 ? 0 : -4 + (n % 3), n < 30 ? 0.8 : 0.3));
  const figures = roundFigures(round, [hit(2000), ...hits, hit(120_000)], 500);
  it('counts its own hits, and their pace by the half minute', () => {
    expect(figures.hits).to.equal(80);
    expect(figures.pace).to.be.closeTo(26.7, 0.1);
    expect(figures.stretches.map(({ hits: count }) => count)).to.deep.equal([30, 30, 20]);
    expect(figures.byThird).to.deep.equal({ first: 30, middle: 30, last: 20 });
    expect(figures.lengths).to.deep.equal([80]);
    expect(figures.longestGap).to.deep.equal({ from: 89_500, to: 100_000 });
  });
  it('tells what faded, with an interval that leaves zero out when it is clear', () => {
    expect(figures.fade!.level.value).to.be.closeTo(-3, 0.3);
    expect(figures.fade!.level.high).to.be.below(0);
    expect(figures.fade!.snap.high).to.be.below(0);
  });
  it('says nothing of a fade when too little was heard, or of an empty round', () => {
    expect(roundFigures(round, hits.slice(0, 4)).fade).to.equal(undefined);
    expect(roundFigures(round, hits, 2000).fade, 'all one combination').to.equal(undefined);
    const empty = roundFigures(round, []);
    expect([empty.hits, empty.pace, empty.lengths.length, empty.longestGap]).to.deep.equal([0, 0, 0, round]);
  });
  it('has an interval that holds the true difference about nine times in ten, also when hits come in combinations', () => {
    let seed = 7;
    const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
    const normal = (): number => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    /** Combinations of one to five hits; what is theirs in common has so much of the spread. */
    const third = (combinations: number, usual: number, common: number) =>
      Array.from({ length: combinations }, () => {
        const own = usual + common * normal();
        return Array.from({ length: 1 + Math.floor(5 * random()) }, () => own + normal());
      });
    for (const common of [0, 1, 3]) {
      let inside = 0;
      for (let trial = 0; trial < 2000; trial++) {
        const { low, high } = meanDifference(third(10, 0, common), third(16, 2, common));
        if (low <= 2 && 2 <= high) inside++;
      }
      expect(inside / 2000, `what is in common spreads ${common}`).to.be.within(0.86, 0.93);
    }
  });
});
