import { expect } from 'chai';
import { bodyBox, emptyTrack, numbersOfPoint, pointCount } from './index.ts';

const picture = { width: 640, height: 360 };
/** A body whose points span from one place to another. */
function spanning(from: readonly [number, number], to: readonly [number, number]) {
  const track = emptyTrack(5, 1);
  for (let point = 0; point < pointCount; point++) {
    const [x, y] = [0, 1].map((axis) => from[axis]! + ((to[axis]! - from[axis]!) * point) / (pointCount - 1));
    track.values.set([x!, y!, 0, 1], point * numbersOfPoint);
  }
  return track;
}

describe('where a body is in the picture', () => {
  it('is round its points, with room', () => {
    expect(bodyBox(spanning([100, 50], [200, 250]), 5, picture)).to.deep.equal({ x: 92, y: 34, width: 116, height: 232 });
  });

  it('ends with the picture', () => {
    expect(bodyBox(spanning([-50, 50], [700, 400]), 5, picture)).to.deep.equal({ x: 0, y: 22, width: 640, height: 338 });
    expect(bodyBox(spanning([700, 50], [900, 100]), 5, picture)).to.equal(undefined);
  });

  it('is nowhere where nobody was found', () => {
    expect(bodyBox(emptyTrack(0, 1), 0, picture)).to.equal(undefined);
    expect(bodyBox(spanning([0, 0], [9, 9]), 4, picture)).to.equal(undefined);
  });
});
