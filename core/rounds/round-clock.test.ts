import { expect } from 'chai';
import fc from 'fast-check';
import { planLength, readClock, type ClockPlan } from './index.ts';

const plan: ClockPlan = { rounds: 3, work: 180_000, rest: 60_000, ready: 10_000 };

describe('rounds by the clock', () => {
  it('go from ready to work to rest, and are over without a rest', () => {
    const phases = [0, 9_999, 10_000, 189_999, 190_000, 250_000, 430_000, 490_000, 669_999, 670_000].map((elapsed) => {
      const { phase, round, left } = readClock(plan, elapsed);
      return [phase, round, left];
    });
    expect(phases).to.deep.equal([
      ['ready', 1, 10_000],
      ['ready', 1, 1],
      ['work', 1, 180_000],
      ['work', 1, 1],
      ['rest', 2, 60_000],
      ['work', 2, 180_000],
      ['rest', 3, 60_000],
      ['work', 3, 180_000],
      ['work', 3, 1],
      ['over', 3, 0],
    ]);
  });
  it('never rest when the rest is nought', () => {
    expect(readClock({ ...plan, rest: 0 }, 190_000)).to.deep.include({ phase: 'work', round: 2, left: 180_000 });
  });
  it('always add up: what has passed of a phase and what is left make its whole length', () => {
    const lengths = { ready: plan.ready, work: plan.work, rest: plan.rest };
    fc.assert(
      fc.property(fc.integer({ min: 0, max: planLength(plan) - 1 }), (elapsed) => {
        const { phase, left, since } = readClock(plan, elapsed);
        expect(elapsed - since + left).to.equal(lengths[phase as keyof typeof lengths]);
      }),
    );
  });
});
