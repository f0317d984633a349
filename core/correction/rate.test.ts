import { expect } from 'chai';
import fc from 'fast-check';
import { tallyOf, type Tally, type Verdict } from '../review/index.ts';
import { roundKinds } from '../rounds/index.ts';
import { faultRate, posteriorOf, rungName, rungs, rungWith, tallyByMeasures } from './index.ts';

const tally = (fault: number, count: number, watch = 0, cantSee = 0): Tally => ({
  fault,
  watch,
  clean: count - fault - watch,
  cantSee,
});

const grid = 4000;
/** The Jeffreys posterior of k faults in n as shares over a fine grid: proportional to x^(k − ½) (1 − x)^(n − k − ½). */
function gridOf(k: number, n: number): number[] {
  const raw = Array.from({ length: grid }, (_, i) => ((i + 0.5) / grid) ** (k - 0.5) * (1 - (i + 0.5) / grid) ** (n - k - 0.5));
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((weight) => weight / sum);
}

describe('fault rate', () => {
  const cases = [
    [1, 10],
    [5, 10],
    [9, 10],
    [10, 100],
    [14, 24],
    [2, 40],
  ] as const;
  for (const [k, n] of cases) {
    it(`of ${k} in ${n} leaves a twentieth of the Jeffreys posterior on either side`, () => {
      const rate = faultRate(tally(k, n));
      const shares = gridOf(k, n);
      const below = (bound: number): number =>
        shares.reduce((sum, share, index) => sum + ((index + 0.5) / grid < bound ? share : 0), 0);
      expect(below(rate.low)).to.be.closeTo(0.05, 0.002);
      expect(below(rate.high)).to.be.closeTo(0.95, 0.002);
    });
  }

  it('with nothing seen says nothing: whole interval, not enough', () => {
    expect(faultRate(tallyOf(['cant-see', 'cant-see']))).to.deep.equal({
      faults: 0,
      seen: 0,
      rate: 0,
      low: 0,
      high: 1,
      enough: false,
    });
  });

  it('is enough from eight seen on, not from eight marked', () => {
    expect(faultRate(tally(2, 7, 0, 5)).enough).to.equal(false);
    expect(faultRate(tally(2, 8)).enough).to.equal(true);
  });

  it('holds the true rate about nine times in ten, with any share of watches', () => {
    let seed = 3;
    const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (const [watch, fault] of [
      [0.2, 0.1],
      [0.5, 0.25],
      [0.1, 0.6],
      [0.9, 0.05],
      [0.3, 0],
    ] as const) {
      for (const count of [12, 40]) {
        let inside = 0;
        for (let trial = 0; trial < 600; trial++) {
          const verdictsSeen = Array.from({ length: count }, random).map((chance): Verdict =>
            chance < fault ? 'fault' : chance < fault + watch ? 'watch' : 'clean',
          );
          const { low, high } = faultRate(tallyOf(verdictsSeen));
          if (low <= fault + watch / 2 && fault + watch / 2 <= high) inside++;
        }
        expect(inside / 600, `${watch} watch, ${fault} fault, ${count} seen`).to.be.within(0.84, 0.985);
      }
    }
  });

  it('is known the better the more was a watch for certain', () => {
    const width = (counted: Tally): number => faultRate(counted).high - faultRate(counted).low;
    expect(width(tally(0, 24, 24))).to.be.below(width(tally(12, 24)) / 2);
  });

  it('pins the bound at 0 and at 1', () => {
    expect(faultRate(tally(0, 12)).low).to.equal(0);
    expect(faultRate(tally(12, 12)).high).to.equal(1);
  });

  it('lies inside its interval, which mirrors when faults and clean change places', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.nat(60), (a, b) => {
        const rate = faultRate(tally(a, a + b));
        const mirrored = faultRate(tally(b, a + b));
        expect(rate.rate).to.be.within(rate.low, rate.high);
        if (a + b > 0) expect(rate.low).to.be.closeTo(1 - mirrored.high, 1e-9);
      }),
    );
  });

  it('narrows with more of the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 20 }), (fault, clean) => {
        const few = faultRate(tally(fault, fault + clean));
        const many = faultRate(tally(fault * 4, (fault + clean) * 4));
        expect(many.high - many.low).to.be.below(few.high - few.low);
      }),
    );
  });
});

describe('ladder', () => {
  it('has seven rungs in order, and a name even for a rung it does not know', () => {
    expect(rungs.map(({ rung }) => rung)).to.deep.equal([1, 2, 3, 4, 5, 6, 7]);
    expect(rungName(3)).to.equal('Bag, single strikes');
    expect(rungName(9)).to.equal('Rung 9');
  });

  it('goes along with what is hit: to the easiest rung where the one before does not fit', () => {
    expect(rungWith('Thai pads', 3)).to.equal(5);
    expect(rungWith('kick shield', 6), 'it fits').to.equal(6);
    expect(rungWith('heavy bag', 1)).to.equal(3);
    expect(rungWith('shadowboxing', 4)).to.equal(1);
    for (const kind of roundKinds) expect(rungWith(kind, 7), `tired on ${kind}`).to.equal(7);
  });
});

describe('what measures alone say, as a tally', () => {
  it('is the tally whose posterior is the same', () => {
    const said = tallyByMeasures({ posterior: posteriorOf({ clean: 7, watch: 0, fault: 3, cantSee: 0 }), strikes: 20 });
    expect(said).to.deep.equal({ clean: 7, watch: 0, fault: 3, cantSee: 0 });
  });
  it('never says more than as many strikes that a coach has judged', () => {
    const { clean, fault } = tallyByMeasures({ posterior: { alpha: 1.5, beta: 4.5 }, strikes: 4 });
    expect(clean + fault).to.be.closeTo(4, 1e-9);
    expect(clean / fault).to.be.closeTo(4, 1e-9);
    expect(tallyByMeasures({ posterior: { alpha: 0.4, beta: 0.4 }, strikes: 4 })).to.include({ clean: 0, fault: 0 });
  });
});
