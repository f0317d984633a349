import { expect } from 'chai';
import fc from 'fast-check';
import { countEffort, stillAtIt } from './count-effort.ts';

const tenMinutes = 600_000;

describe('effort at the bench', () => {
  it('is the time between things that are done, as long as somebody is at it', () => {
    const effort = countEffort(tenMinutes);
    for (const at of [1000, 3000, 8000]) effort.did(at, 1);
    effort.did(9000, 0);
    expect(effort.take()).to.deep.equal({ worked: 8000, presses: 3 });
    expect(effort.take()).to.equal(undefined);
  });

  it('does not count a break', () => {
    const effort = countEffort(tenMinutes);
    effort.did(0, 1);
    effort.did(stillAtIt + 1, 1);
    effort.did(stillAtIt + 501, 1);
    expect(effort.take()).to.deep.equal({ worked: 500, presses: 3 });
  });

  it('is told with what comes where it could not be told', () => {
    const effort = countEffort(tenMinutes);
    effort.did(0, 1);
    effort.did(700, 1);
    const told = effort.take()!;
    effort.did(1000, 1);
    effort.putBack(told);
    expect(effort.take()).to.deep.equal({ worked: 1000, presses: 3 });
  });

  it('is never longer than the clock, nor than what can be told at once', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(200_000), { maxLength: 50 }), (steps) => {
        const effort = countEffort(tenMinutes);
        let at = 0;
        for (const step of steps) effort.did((at += step), 1);
        const { worked = 0, presses = 0 } = effort.take() ?? {};
        expect(worked).to.be.at.most(Math.min(at, tenMinutes));
        expect(presses).to.equal(steps.length);
      }),
    );
  });
});
