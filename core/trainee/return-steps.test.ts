import { expect } from 'chai';
import { restsOn, returnSteps, stepsProblem } from './index.ts';

const reached = (...days: string[]) => days.map((on, place) => ({ step: place + 1, on }));

describe('the way back after a blow to the head', () => {
  it('is six steps in their order, and nothing is hit before a doctor has cleared it', () => {
    expect(returnSteps.map(({ step }) => step)).to.deep.equal([1, 2, 3, 4, 5, 6]);
    expect(returnSteps.filter(({ cleared }) => cleared).map(({ step }) => step)).to.deep.equal([5, 6]);
  });

  it('goes one step after another, each a day at the least', () => {
    expect(stepsProblem(reached('2026-03-01', '2026-03-02', '2026-03-04'), false)).to.equal(undefined);
    expect(stepsProblem([{ step: 2, on: '2026-03-01' }], false)).to.include('One step');
    expect(stepsProblem(reached('2026-03-01', '2026-03-01'), false)).to.include('a day');
    const five = reached('2026-03-01', '2026-03-02', '2026-03-03', '2026-03-04', '2026-03-05');
    expect(stepsProblem(five, false)).to.include('doctor');
    expect(stepsProblem(five, true)).to.equal(undefined);
  });

  it('begins with rest, as long as no later step is reached', () => {
    const steps = reached('2026-03-01', '2026-03-02', '2026-03-05');
    expect(['2026-02-28', '2026-03-01', '2026-03-04', '2026-03-05'].map((day) => restsOn(steps, day))).to.deep.equal([
      ...[false, true, true, false],
    ]);
    expect(restsOn([], '2026-03-01')).to.equal(false);
  });
});
