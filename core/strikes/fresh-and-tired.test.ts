import { expect } from 'chai';
import { freshAndTired, type LandedStrike } from './fresh-and-tired.ts';

const at = (time: number, technique: string, part: number | null = null): LandedStrike => ({ technique, part, time });

describe('the same thing fresh and tired', () => {
  const round = [at(1000, 'jab'), at(2000, 'cross'), at(3000, 'jab'), at(61_000, 'cross'), at(62_000, 'jab'), at(63_000, 'jab')];

  it('is what is thrown most in a stretch, and the first of it in the round', () => {
    expect(freshAndTired(round, { from: 60_000, to: 90_000 })).to.deep.equal({
      tired: at(62_000, 'jab'),
      fresh: at(1000, 'jab'),
    });
    expect(freshAndTired(round.toReversed(), { from: 60_000, to: 90_000 })?.tired.time).to.equal(62_000);
  });

  it('is rather something that was thrown before', () => {
    const hooks = [...round, at(64_000, 'lead-hook'), at(65_000, 'lead-hook'), at(66_000, 'lead-hook')];
    expect(freshAndTired(hooks, { from: 60_000, to: 90_000 })?.tired.technique).to.equal('jab');
    expect(freshAndTired(hooks, { from: 63_500, to: 90_000 })).to.deep.equal({
      tired: at(64_000, 'lead-hook'),
      fresh: undefined,
    });
  });

  it('takes the same part of a series for the same', () => {
    const series = [at(1000, 'jab-cross', 1), at(2000, 'jab-cross', 0), at(61_000, 'jab-cross', 0)];
    expect(freshAndTired(series, { from: 60_000, to: 90_000 })?.fresh).to.deep.equal(at(2000, 'jab-cross', 0));
  });

  it('is nothing where nothing was tagged', () => {
    expect(freshAndTired(round, { from: 90_000, to: 120_000 })).to.equal(undefined);
    expect(freshAndTired([], { from: 0, to: 1 })).to.equal(undefined);
  });
});
