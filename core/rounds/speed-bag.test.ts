import { expect } from 'chai';
import { speedBagBeat } from './index.ts';

describe('the beat of a speed bag', () => {
  it('counts what is missing and leaves pauses out', () => {
    const beats = [0, 200, 400, 800, 1000, 1200, 1800, 2000, 9000, 9200, 9400];
    expect(speedBagBeat(beats)).to.deep.equal({ beat: 200, unevenness: 0, missed: 3, gaps: [400, 1200] });
    expect(speedBagBeat([0, 200, 400])).to.equal(undefined);
  });
});
