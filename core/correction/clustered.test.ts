import { expect } from 'chai';
import { range, sum } from 'd3-array';
import { randomBeta, randomLcg } from 'd3-random';
import fc from 'fast-check';
import { seen } from '../review/index.ts';
import {
  clusteredTally,
  compareLevels,
  likenessInCombinations,
  sureEnough,
  usualSpread,
  worthwhile,
  type Look,
  type StrikeInCombination,
} from './index.ts';

const strikes = fc.array(
  fc.record({
    combination: fc.constantFrom('1', '2', '3', '4'),
    verdict: fc.constantFrom('clean' as const, 'watch' as const, 'fault' as const),
  }),
  { maxLength: 40 },
);
/** Somebody who throws combinations of four, at some likeness. */
function thrown(random: () => number, rate: number, likeness: number, combinations: number): StrikeInCombination[] {
  const own = randomBeta.source(random)((rate * (1 - likeness)) / likeness, ((1 - rate) * (1 - likeness)) / likeness);
  return range(combinations).flatMap((combination) => {
    const chance = own();
    return range(4).map(() => ({ combination: String(combination), verdict: random() < chance ? 'fault' : 'clean' }) as const);
  });
}

describe('strikes of combinations', () => {
  it('never tell more than as many independent ones, and the same rate', () => {
    fc.assert(
      fc.property(strikes, fc.double({ min: 0, max: 0.9, noNaN: true }), (list, likeness) => {
        const tally = clusteredTally(list, likeness);
        expect(seen(tally)).to.be.at.most(list.length + 1e-9);
        if (list.length > 0) {
          const faults = list.filter(({ verdict }) => verdict === 'fault').length / list.length;
          expect(tally.fault / seen(tally)).to.be.closeTo(faults, 1e-9);
        }
      }),
    );
  });

  it('tell as much as each alone where all are single', () => {
    const single = range(12).map((place) => ({ combination: String(place), verdict: 'fault' as const }));
    expect(seen(clusteredTally(single, 0.5))).to.equal(12);
  });

  it('are as alike as they were thrown', () => {
    for (const likeness of [0.05, 0.3, 0.6]) {
      const random = randomLcg(likeness);
      const days = range(6).map(() => thrown(random, 0.3, likeness, 40));
      expect(likenessInCombinations(days)).to.be.closeTo(likeness, 0.1);
    }
  });

  it('are thought as alike as is usual while there are few', () => {
    expect(likenessInCombinations([])).to.equal(0.2);
    expect(likenessInCombinations([[{ combination: '1', verdict: 'fault' }]])).to.equal(0.2);
  });

  it('are not called worse when tired where nothing is, more often than one is allowed to be wrong', () => {
    const random = randomLcg(11);
    const said = (looksOf: (day: StrikeInCombination[]) => Look['tally']): number => {
      const look = (): Look[] => [{ heldOn: '2026-03-01', tally: looksOf(thrown(random, 0.3, 0.6, 12)) }];
      return sum(range(120), () => {
        const { higher, lower } = compareLevels(look(), look(), usualSpread, worthwhile);
        return higher >= sureEnough || lower >= sureEnough ? 1 : 0;
      });
    };
    const wrong = said((day) => clusteredTally(day, likenessInCombinations([day])));
    expect(wrong / 120).to.be.at.most(0.1);
  });
});
