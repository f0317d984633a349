import { expect } from 'chai';
import fc from 'fast-check';
import { inOther, reversed } from './index.ts';

describe('two clocks', () => {
  it('lead there and back', () => {
    const alignment = { offset: 1234.5, drift: 0.0001 };
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200_000, noNaN: true }), (time) => {
        expect(inOther(reversed(alignment), inOther(alignment, time))).to.be.closeTo(time, 1e-6);
      }),
    );
  });
});
