import { expect } from 'chai';
import { farOff, likelihoodOf, shareBelow } from './spread.ts';

describe('how truths spread round what is measured', () => {
  const within = (doubts: number): number => shareBelow(5 + doubts * 3, 5, 3) - shareBelow(5 - doubts * 3, 5, 3);

  it('two of three lie within one doubt, and one in twenty farther off than a normal spread has it', () => {
    expect(within(1)).to.be.closeTo(0.683, 0.001);
    expect(within(farOff)).to.be.closeTo(0.95, 0.001);
    expect(farOff).to.be.within(2.6, 2.7);
  });

  it('is as likely as its shares grow', () => {
    const grows = (doubts: number): number => (shareBelow(doubts + 1e-4, 0, 1) - shareBelow(doubts - 1e-4, 0, 1)) / 2e-4;
    for (const doubts of [-3, -0.5, 1, 2.2]) expect(likelihoodOf(doubts)).to.be.closeTo(grows(doubts) / grows(0), 1e-4);
  });
});
