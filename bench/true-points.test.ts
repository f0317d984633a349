import { expect } from 'chai';
import { rates, trueFigures, type TrueFigure } from './true-points.ts';

describe('measures on points that are true but for their noise', function () {
  this.timeout(300_000);
  let figures: TrueFigure[];
  before(() => (figures = trueFigures([1, 2, 3, 4], { times: 1 })));
  const figure = (checkpoint: string, seen: string, rate: number): TrueFigure =>
    figures.find((one) => one.checkpoint === checkpoint && one.seen === seen && one.rate === rate)!;

  it('are what geometry makes them: of an instant and a trunk they are off by next to nothing, at any rate', () => {
    for (const rate of rates) {
      expect(Math.abs(figure('st.lean', 'near', rate).naive), `lean at ${rate}`).to.be.below(1.5);
      expect(figure('st.lean', 'near', rate).spread, `lean at ${rate}`).to.be.below(2);
      expect(figure('st.balance', 'near', rate).spread, `balance at ${rate}`).to.be.below(0.08);
    }
  });

  it('keep what they claim of people that no trial has seen', () => {
    const checked = figures.filter(({ within95 }) => within95 !== undefined);
    expect(checked.length).to.be.above(20);
    const kept = checked.filter(({ within95 }) => within95! >= 0.8);
    expect(kept.length / checked.length).to.be.at.least(0.8);
  });
});
