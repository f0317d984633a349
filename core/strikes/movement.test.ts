import { expect } from 'chai';
import { findMotion, motionColumns, motionRows, movementOf } from './index.ts';
import { timelineOf } from '../film/index.ts';

const times = (hits: readonly { time: number }[]): number[] => hits.map(({ time }) => time);

describe('movement in the picture', () => {
  const [width, height] = [motionColumns * 2, motionRows * 2];
  it('is told cell by cell', () => {
    const before = new Uint8Array(width * height);
    const after = before.slice();
    after[width * 2 + 4] = 40;
    const grid = movementOf(after, before, width, height);
    expect([...grid.entries()].filter(([, value]) => value > 0)).to.deep.equal([[motionColumns + 2, 40]]);
  });
  const cells = motionColumns * motionRows;
  const timeline = timelineOf(Array.from({ length: 300 }, (_, n) => (n * 1000) / 60));
  const movement = new Uint8Array(cells * 300);
  for (const frame of [60, 120, 200])
    for (const near of [-2, -1, 0, 1, 2]) movement[(frame + near) * cells + 20] = 200 - 60 * Math.abs(near);
  it('has a peak where something moved fastest, and is never quite sure', () => {
    const peaks = findMotion(movement, timeline);
    expect(times(peaks).map((time) => Math.round((time * 60) / 1000))).to.deep.equal([60, 120, 200]);
    expect(Math.max(...peaks.map(({ prominence }) => prominence))).to.be.at.most(0.8);
  });
  it('counts only within the region', () => {
    expect(findMotion(movement, timeline, { left: 0.6, top: 0, width: 0.4, height: 1 })).to.deep.equal([]);
    expect(findMotion(movement, timeline, { left: 0.2, top: 0.1, width: 0.2, height: 0.2 })).to.have.length(3);
    expect(findMotion(movement, timeline, { left: 2, top: 2, width: 0, height: 0 })).to.deep.equal([]);
  });
});
