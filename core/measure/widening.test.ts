import { expect } from 'chai';
import fc from 'fast-check';
import { pointParts } from '../body/index.ts';
import { pointErrors, pointSides } from './point-errors.ts';
import { steadyNormals, steadyRandom } from './shake.ts';
import { learnWidenings, logOfTrials, timesOff, unlearned, wideningOf, type PointCheck, type PointKind } from './widening.ts';

const kinds: PointKind[] = pointParts.flatMap((part) =>
  pointSides.filter((seen) => pointErrors[part][seen]).map((seen) => ({ part, seen })),
);

/** Checks of a club whose films are so many times harder on the model than trials were. */
function checksOf(count: number, { seed = 1, harder = (_: PointKind): number => 1, films = 8 } = {}): PointCheck[] {
  const [normal, random] = [steadyNormals(seed), steadyRandom(seed)];
  return Array.from({ length: count }, (_, place) => {
    const kind = kinds[Math.floor(random() * kinds.length)]!;
    const error = Math.log(harder(kind)) + logOfTrials.mean + logOfTrials.deviation * normal(place);
    const check = { ...kind, filmId: `film ${place % films}`, trunk: 150, said: { x: 300, y: 200 }, found: { x: 301, y: 200 } };
    // One pixel across is so many times the claim; as many pixels are as many times that.
    const one = timesOff(check)!;
    return { ...check, found: { x: 300 + Math.exp(error) / one, y: 200 } };
  });
}

describe('how much wider doubt is, learned from points that coaches were asked for', () => {
  it('is half as wide again as in trials until something was checked', () => {
    const { all, kinds: known, widenings } = learnWidenings([]);
    expect(widenings).to.deep.equal(unlearned);
    expect(known).to.deep.equal([]);
    expect(all.wider).to.be.closeTo(1.5, 1e-9);
    expect([all.low, all.high].map((end) => Number(end.toFixed(2)))).to.deep.equal([0.84, 2.67]);
  });

  it('comes to what is true, however hard the films are, and says how sure it is', () => {
    const truths = [0.8, 1, 1.5, 2.5, 4];
    let [held, tried] = [0, 0];
    for (const truth of truths)
      for (let seed = 1; seed <= 40; seed++) {
        const { all } = learnWidenings(checksOf(200, { seed, harder: () => truth, films: 20 }));
        tried++;
        if (all.low <= truth && truth <= all.high) held++;
        expect(all.wider / truth, `${truth}`).to.be.within(0.75, 1.3);
      }
    expect(held / tried).to.be.at.least(0.9);
  });

  it('twenty checks move it a little, and one limb taken for the other hardly', () => {
    const some = checksOf(20, { harder: () => 3 });
    const { all } = learnWidenings(some);
    expect(all.wider).to.be.within(1.7, 3.5);
    const usual = checksOf(20, { seed: 3 });
    const wild = usual.map((check, place) => (place === 0 ? { ...check, found: { x: 9000, y: 0 } } : check));
    expect(learnWidenings(wild).all.wider / learnWidenings(usual).all.wider).to.be.below(1.35);
  });

  it('tells of each kind of point apart what all of them do not share', () => {
    const hard: PointKind = { part: 'Wrist', seen: 'far' };
    const isHard = (kind: PointKind): boolean => kind.part === hard.part && kind.seen === hard.seen;
    const { widenings, kinds: known } = learnWidenings(checksOf(1500, { harder: (kind) => (isHard(kind) ? 4 : 1.2), films: 30 }));
    expect(wideningOf(widenings, hard)).to.be.at.least(2);
    expect(wideningOf(widenings, { part: 'Knee', seen: 'near' })).to.be.below(1.5);
    expect(known.find(isHard)!.low).to.be.above(known.find(({ part, seen }) => part === 'Knee' && seen === 'near')!.high);
  });

  it('counts what cannot be seen, and learns nothing from it', () => {
    const hidden = checksOf(30).map((check) => ({ ...check, said: null }));
    const { all, widenings } = learnWidenings(hidden);
    expect(all).to.deep.include({ checks: 0, hidden: 30 });
    expect(widenings.all).to.equal(1.5);
  });

  it('never doubts less than trials do, whatever the checks', () => {
    const offset = fc.record({
      x: fc.double({ min: -5000, max: 5000, noNaN: true }),
      y: fc.double({ min: -5000, max: 5000, noNaN: true }),
    });
    const check = fc.record({
      kind: fc.constantFrom(...kinds),
      filmId: fc.constantFrom('a', 'b', 'c'),
      said: fc.option(offset, { nil: null }),
      found: offset,
      trunk: fc.double({ min: 1, max: 1000, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(check, { maxLength: 40 }), (list) => {
        const { widenings, all, kinds: known } = learnWidenings(list.map(({ kind, ...one }) => ({ ...kind, ...one })));
        for (const wider of [widenings.all, ...Object.values(widenings.of)]) expect(wider).to.be.within(1, 1e6);
        for (const { low, wider, high } of [all, ...known]) expect(low < wider && wider < high).to.equal(true);
      }),
    );
  });
});
