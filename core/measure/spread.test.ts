import { expect } from 'chai';
import { farOff, likelihoodOf, shareBelow, tails, usualTail, type Degrees } from './spread.ts';

describe('how truths spread round what is measured', () => {
  const within = (doubts: number, degrees: Degrees): number =>
    shareBelow(5 + doubts * 3, 5, 3, degrees) - shareBelow(5 - doubts * 3, 5, 3, degrees);

  it('two of three lie within one doubt, and one in twenty farther off than a normal spread has it', () => {
    for (const degrees of tails) {
      expect(within(1, degrees)).to.be.closeTo(0.683, 0.001);
      expect(within(farOff(degrees), degrees)).to.be.closeTo(0.95, 0.001);
    }
    expect(farOff(usualTail)).to.be.within(2.6, 2.7);
  });

  it('has those that are far off the farther away the longer its tail is', () => {
    const reach = tails.map(farOff);
    expect(reach).to.deep.equal(reach.toSorted((one, other) => one - other));
    expect(farOff(1)).to.be.within(6.8, 7);
  });

  it('is as likely as its shares grow', () => {
    const step = 1e-4;
    for (const degrees of tails) {
      const grows = (doubts: number): number =>
        shareBelow(doubts + step, 0, 1, degrees) - shareBelow(doubts - step, 0, 1, degrees);
      for (const doubts of [-3, -0.5, 1, 2.2])
        expect(likelihoodOf(doubts, degrees)).to.be.closeTo(grows(doubts) / grows(0), 1e-4);
    }
  });
});
