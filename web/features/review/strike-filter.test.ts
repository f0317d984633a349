import type { StrikeMark } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { everyStrike, isFiltering, passes, type FilteredStrike, type StrikeFilter } from './strike-filter.ts';

const strike = (
  technique: StrikeMark['technique'],
  contact: number,
  verdicts: FilteredStrike['verdicts'] = [],
): FilteredStrike => ({
  strike: { technique } as StrikeMark,
  contact,
  verdicts,
});
const rounds = [
  { from: 0, to: 90 },
  { from: 100, to: 190 },
];

describe('strikes in question', () => {
  const table: [wish: Partial<StrikeFilter>, strike: FilteredStrike, holds: boolean][] = [
    [{}, strike('jab', 95), true],
    [{ technique: 'jab' }, strike('jab', 5), true],
    [{ technique: 'jab' }, strike('cross', 5), false],
    [{ verdict: 'open' }, strike('jab', 5), true],
    [{ verdict: 'open' }, strike('jab', 5, ['clean']), false],
    [{ verdict: 'fault' }, strike('jab', 5, ['clean', 'fault']), true],
    [{ verdict: 'clean' }, strike('jab', 5, ['clean', 'fault']), false],
    [{ third: 'first' }, strike('jab', 5), true],
    [{ third: 'last' }, strike('jab', 185), true],
    [{ third: 'last' }, strike('jab', 95), false],
    [{ technique: 'cross', third: 'middle' }, strike('cross', 140), true],
    [{ technique: 'cross', third: 'middle' }, strike('jab', 140), false],
  ];
  for (const [wish, one, holds] of table) {
    it(`${JSON.stringify(wish)} ${holds ? 'lets' : 'does not let'} a ${one.strike.technique} at ${one.contact} ${one.verdicts.join('+')} pass`, () => {
      expect(passes({ ...everyStrike, ...wish }, one, rounds)).to.equal(holds);
    });
  }
  it('are all when nothing is asked', () => {
    expect(isFiltering(everyStrike)).to.equal(false);
    expect(isFiltering({ ...everyStrike, third: 'last' })).to.equal(true);
  });
});
