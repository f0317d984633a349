import { expect } from 'chai';
import fc from 'fast-check';
import { faultRate } from '../correction/index.ts';
import { verdictIn, type Band } from '../technique/index.ts';
import { agreementOf, measuredRate, saidTwice, tails, usualTail, type MeasuredValue } from './index.ts';
import { steadyNormals, steadyRandom } from './shake.ts';

const hand: Band = { clean: [null, 0.25], watch: [null, 0.5] };
const weight = { clean: 0, watch: 0.5, fault: 1 };
const weightOf = (value: number): number => weight[verdictIn(hand, value)];

describe('a rate by measures alone', () => {
  it('of measures that are never wrong is that of a coach who is never wrong', () => {
    for (const faults of [0, 3, 9, 30]) {
      const strikes = Array.from({ length: 30 }, (_, place) => ({
        value: place < faults ? 0.8 : 0.05,
        doubt: 1e-6,
        shared: 0,
        degrees: usualTail,
      }));
      const told = measuredRate(hand, strikes)!;
      const said = faultRate({ clean: 30 - faults, watch: 0, fault: faults, cantSee: 0 });
      expect(told.rate, `${faults} of 30`).to.be.closeTo(said.rate, 1e-6);
      expect(told.low).to.be.closeTo(said.low, 0.03);
      expect(told.high).to.be.closeTo(said.high, 0.03);
    }
  });

  /** Somebody whose hand falls so often, measured so well: what is true, and how often an interval has it. */
  const trial = (strikes: number, own: number, shared: number) => {
    const [random, normals] = [steadyRandom(strikes * 31 + 1), steadyNormals(strikes * 17 + 5)];
    let place = 0;
    const normal = (): number => normals(place++);
    const trials = 60;
    let [held, off, naive] = [0, 0, 0];
    for (let time = 0; time < trials; time++) {
      const [share, together] = [random() * 0.8, shared * normal()];
      const falls = (): number => (random() < share ? 0.75 + 0.1 * normal() : 0.1 + 0.06 * normal());
      const truths = Array.from({ length: strikes }, falls);
      const truth = Array.from({ length: 2000 }, falls).reduce((sum, value) => sum + weightOf(value), 0) / 2000;
      const doubt = Math.hypot(own, shared);
      const measured = truths.map((value): MeasuredValue => ({
        value: value + together + own * normal(),
        doubt,
        shared,
        degrees: usualTail,
      }));
      const told = measuredRate(hand, measured)!;
      held += Number(truth >= told.low && truth <= told.high) / trials;
      off += (told.rate - truth) / trials;
      naive += (measured.reduce((sum, { value }) => sum + weightOf(value), 0) / strikes - truth) / trials;
    }
    return { held, off, naive };
  };
  for (const [strikes, own, shared] of [
    [16, 0.1, 0.05],
    [60, 0.1, 0.05],
    [60, 0.2, 0.1],
  ] as const)
    it(`has the truth in its interval with ${strikes} strikes that are off by ${own} each and ${shared} together`, () => {
      expect(trial(strikes, own, shared).held).to.be.at.least(0.83);
    });

  it('is nearer to the truth than counting what each strike reads', () => {
    const { off, naive } = trial(100, 0.25, 0.05);
    expect(Math.abs(off)).to.be.below(Math.abs(naive) * 0.7);
  });

  it('knows no more from many strikes about what all of them are off by', () => {
    const wide = (count: number): number => {
      const strikes = Array.from({ length: count }, (_, place) => ({
        ...{ value: place % 2 === 0 ? 0.3 : 0.05, doubt: 0.21, shared: 0.2, degrees: usualTail },
      }));
      const { low, high } = measuredRate(hand, strikes)!;
      return high - low;
    };
    expect(wide(200))
      .to.be.above(0.5 * wide(20))
      .and.above(0.3);
  });

  it('tells by how much it goes wrong, where it goes wrong on one side only', () => {
    const strikes = Array.from({ length: 20 }, (_, place) => ({
      value: place < 10 ? 0.9 : 0.05,
      doubt: 0.05,
      shared: 0.02,
      degrees: usualTail,
    }));
    const { amiss } = measuredRate(hand, strikes)!;
    expect(amiss!.value).to.be.closeTo(0.9, 0.03);
    expect(amiss!.doubt).to.be.within(0.02, 0.06);
    expect(measuredRate({ clean: [0, 0.25], watch: [-1, 0.5] }, strikes)!.amiss).to.equal(undefined);
    expect(measuredRate(hand, strikes.slice(10))!.amiss).to.equal(undefined);
  });

  it('is none where nothing was measured, and where the measure is too coarse for the band', () => {
    expect(measuredRate(hand, [])).to.equal(undefined);
    expect(
      measuredRate({ clean: [165, 178], watch: [158, 178] }, [{ value: 150, doubt: 20, shared: 10, degrees: usualTail }]),
    ).to.equal(undefined);
  });

  it('shares out all strikes, and lies inside of its interval or beside it by what the prior draws it', () => {
    const strikes = fc.array(
      fc.record({
        value: fc.double({ min: -1, max: 2, noNaN: true }),
        doubt: fc.constantFrom(0.02, 0.1, 0.3),
        shared: fc.constantFrom(0, 0.02),
        degrees: fc.constantFrom(...tails),
      }),
      { minLength: 1, maxLength: 24 },
    );
    fc.assert(
      fc.property(strikes, (list) => {
        const told = measuredRate(hand, list)!;
        expect(told.clean + told.watch + told.fault).to.be.closeTo(list.length, 1e-6);
        expect(told.low).to.be.within(0, told.high);
        expect(told.high).to.be.at.most(1);
        expect(told.rate).to.be.within(told.low - 0.2, told.high + 0.2);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a measure beside the coaches', () => {
  const pairs = (...counts: [coach: 'clean' | 'fault', value: number, times: number][]) =>
    counts.flatMap(([coach, value, times]) => Array.from({ length: times }, () => saidTwice(hand, coach, value)));

  it('agrees as Cohen counts it', () => {
    // Cohen's kappa of the table 20, 5 / 10, 15: (0.70 − 0.50) / 0.50.
    const told = agreementOf(pairs(['clean', 0, 20], ['clean', 1, 5], ['fault', 0, 10], ['fault', 1, 15]))!;
    expect(told.strikes).to.equal(50);
    expect(told.same).to.be.closeTo(0.7, 1e-9);
    expect(told.kappa).to.be.closeTo(0.4, 1e-9);
    expect(told.bias).to.be.closeTo(-0.1, 1e-9);
  });

  it('says nothing of chance where both always say the same, and nothing at all of nothing', () => {
    expect(agreementOf(pairs(['clean', 0, 12]))).to.deep.equal({ strikes: 12, same: 1, kappa: undefined, bias: 0 });
    expect(agreementOf([])).to.equal(undefined);
  });
});
