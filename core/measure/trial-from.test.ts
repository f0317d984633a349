import { expect } from 'chai';
import { correctedBy, farOff, trialFrom, usualTail, type TrialStrike } from './index.ts';
import { steadyNormals, steadyRandom } from './shake.ts';

/** So many people, each off by something of their own, with so many strikes; a share of these is so many times as far off. */
function tried(people: number, each: number, wild: number, seed = 3, times = 5): TrialStrike[] {
  const [random, normals] = [steadyRandom(seed), steadyNormals(seed + 1)];
  let place = 0;
  const normal = (): number => normals(place++);
  return Array.from({ length: people }, (_, who) => {
    const theirs = 10 + 2 * normal();
    return Array.from({ length: each }, () => {
      const far = random() < wild ? times : 1;
      return { person: `person ${who}`, error: theirs + far * 6 * normal(), doubt: 1 };
    });
  }).flat();
}

describe('a trial', () => {
  it('tells what all are off by, what each person is and what their strikes are, without what shaking says already', () => {
    const trial = trialFrom(tried(40, 30, 0))!;
    expect(trial.bias).to.be.closeTo(10, 1.5);
    expect(trial.shared).to.be.closeTo(Math.hypot(2, 6 / Math.sqrt(30)), 1);
    expect(trial.own).to.be.closeTo(Math.sqrt(6 ** 2 - 1), 0.6);
    expect([trial.strikes, trial.people]).to.deep.equal([1200, 40]);
  });

  it('says nothing of fewer than three people, or sixteen strikes', () => {
    expect(trialFrom(tried(2, 30, 0))).to.equal(undefined);
    expect(trialFrom(tried(5, 3, 0))).to.equal(undefined);
    expect(trialFrom(tried(4, 4, 0))).to.not.equal(undefined);
  });

  it('knows more of many people than of few', () => {
    expect(trialFrom(tried(4, 30, 0))!.shared).to.be.above(trialFrom(tried(40, 30, 0))!.shared);
  });

  it('doubts what deviations say where errors are normal, and less where a few are far off', () => {
    expect(trialFrom(tried(12, 40, 0))!.narrower).to.be.within(0.85, 1);
    expect(trialFrom(tried(12, 40, 0.08))!.narrower).to.be.within(0.4, 0.75);
  });

  it('has a longer tail where those that are far off are farther than the usual one reaches', () => {
    expect(trialFrom(tried(12, 40, 0))!.degrees).to.equal(usualTail);
    const strikes = tried(12, 40, 0.15, 3, 20);
    const [own, usual] = [trialFrom(strikes)!, trialFrom(strikes, [usualTail])!];
    expect(own.degrees).to.be.below(usualTail);
    expect(usual.degrees).to.equal(usualTail);
    expect(own.narrower).to.be.below(usual.narrower);
  });

  it('claims of others what they keep', () => {
    for (const wild of [0, 0.04, 0.08]) {
      const trial = trialFrom(tried(15, 40, wild))!;
      const others = tried(60, 20, wild, 77);
      const within = (doubts: number): number =>
        others.filter(({ error, doubt }) => {
          const measured = correctedBy(trial, { value: error, doubt }, 1);
          return Math.abs(measured.value) <= doubts * measured.doubt;
        }).length / others.length;
      expect(within(1), `${wild} wild`).to.be.within(0.62, 0.76);
      expect(within(farOff(trial.degrees)), `${wild} wild`).to.be.at.least(0.92);
    }
  });

  it('counts each person once, however many strikes there are', () => {
    const many = tried(1, 900, 0, 9).map(({ doubt }) => ({ person: 'steady', error: 10, doubt }));
    // Five of six strikes are hardly off at all, but nine of ten people are.
    expect(trialFrom([...tried(9, 20, 0), ...many])!.narrower).to.equal(1);
  });
});
