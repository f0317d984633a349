import { expect } from 'chai';
import { timelineOf } from '../film/index.ts';
import { awayIn } from './away.ts';
import { emptyTrack, numbersOfFrame } from './track.ts';

describe('nobody in the picture', () => {
  const timeline = timelineOf(Array.from({ length: 300 }, (_, frame) => frame * 100));
  const seen = (...spans: [from: number, to: number][]) => {
    const track = emptyTrack(0, timeline.length);
    for (const [from, to] of spans) track.values.fill(0, from * numbersOfFrame, to * numbersOfFrame);
    return awayIn(track, timeline);
  };
  it('is told of spans, and not of moments in which somebody was lost', () => {
    expect(seen([0, 100], [105, 200], [240, 300])).to.deep.equal([{ from: 20_000, to: 24_000 }]);
  });
  it('is told from the start, and to the end', () => {
    expect(seen([50, 250])).to.deep.equal([
      { from: 0, to: 5000 },
      { from: 25_000, to: 29_900 },
    ]);
    expect(seen()).to.deep.equal([{ from: 0, to: 29_900 }]);
    expect(seen([0, 300])).to.deep.equal([]);
  });
});
