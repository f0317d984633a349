import { timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import fc from 'fast-check';
import { askTime } from './frame-source.ts';

describe('time to ask for a frame with', () => {
  it('lies in the frame, past its beginning and at most half way to the next', () => {
    const gaps = fc.array(fc.double({ min: 0.3, max: 120, noNaN: true }), { minLength: 2, maxLength: 40 });
    fc.assert(
      fc.property(gaps, fc.double({ min: 0, max: 50, noNaN: true }), fc.constantFrom(0.5, 4), (list, firstFrameAt, grace) => {
        let time = 0;
        const timeline = timelineOf(list.map((gap) => (time += gap)));
        for (let index = 0; index < timeline.length; index++) {
          const beyond = askTime({ url: '', timeline, firstFrameAt }, index, grace) - firstFrameAt - timeline[index]!;
          expect(beyond).to.be.above(0);
          expect(beyond).to.be.at.most(grace + 1e-9);
          if (index + 1 < timeline.length) expect(beyond).to.be.at.most((timeline[index + 1]! - timeline[index]!) / 2 + 1e-9);
        }
      }),
    );
  });
});
