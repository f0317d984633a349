import type { EffortWeek } from '@wax-fist/contract/reviewing';
import { expect } from 'chai';
import { costOf, costOfWeeks } from './reviewing-words.ts';

const week = (change: Partial<EffortWeek> = {}): EffortWeek => ({
  ...{ monday: '2026-03-02', worked: 600_000, presses: 240, rounds: 4, strikes: 60, proposed: 50, accepted: 40 },
  ...change,
});

describe('what reviewing costs', () => {
  it('is told by the round, the strike and the proposal', () => {
    expect(costOf(week())).to.deep.equal({ minutesARound: 2.5, pressesAStrike: 4, accepted: 0.8 });
  });

  it('is not told where nothing came of it, or no work was counted', () => {
    expect(costOf(week({ rounds: 0, strikes: 0, proposed: 0, accepted: 0 }))).to.deep.equal({
      ...{ minutesARound: undefined, pressesAStrike: undefined, accepted: undefined },
    });
    expect(costOf(week({ worked: 0, presses: 0 })).minutesARound).to.equal(undefined);
  });

  it('leaves out weeks in which work was not counted yet', () => {
    const weeks = [week({ worked: 0, presses: 0, rounds: 100, strikes: 900 }), week()];
    expect(costOfWeeks(weeks)).to.deep.equal({ minutesARound: 2.5, pressesAStrike: 4, accepted: 0.8 });
    expect(costOfWeeks([])).to.deep.equal({ minutesARound: undefined, pressesAStrike: undefined, accepted: undefined });
  });
});
