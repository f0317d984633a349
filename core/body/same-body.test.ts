import { expect } from 'chai';
import {
  emptyTrack,
  framesOfSameBody,
  hipsAt,
  isSameBody,
  numbersOfFrame,
  numbersOfPoint,
  packTrack,
  pointAt,
  unpackTrack,
  withPacked,
  type Track,
} from './index.ts';

/** Somebody with a trunk of 100 pixels whose hips are here. */
function standing(from: number, places: readonly (readonly [number, number] | undefined)[]): Track {
  const track = emptyTrack(from, places.length);
  for (const [frame, place] of places.entries()) {
    if (!place) continue;
    track.values.fill(0, frame * numbersOfFrame, (frame + 1) * numbersOfFrame);
    for (const [name, up] of [
      ...([
        ['leftHip', 0],
        ['rightHip', 0],
      ] as const),
      ...([
        ['leftShoulder', 100],
        ['rightShoulder', 100],
      ] as const),
    ])
      track.values.set([place[0], place[1] - up], frame * numbersOfFrame + pointAt[name] * numbersOfPoint);
  }
  return track;
}

describe('the same body', () => {
  it('stands nearly where it stood a frame before', () => {
    const one = standing(0, [[200, 300]]);
    expect(isSameBody(one, 0, standing(1, [[220, 310]]), 1)).to.equal(true);
    expect(isSameBody(one, 0, standing(1, [[300, 300]]), 1)).to.equal(false);
  });
  it('is nobody’s where nobody was found', () => {
    const one = standing(0, [[200, 300]]);
    expect(isSameBody(one, 0, standing(1, [undefined]), 1)).to.equal(false);
    expect(isSameBody(one, 0, one, 5)).to.equal(false);
    expect(hipsAt(one, 5)).to.equal(undefined);
  });
});

describe('frames of the same body', () => {
  const place = (x: number): [number, number] => [x, 300];
  it('end where the hips jump to somebody else, on either side', () => {
    const track = standing(0, [600, 600, 200, 210, 220, 230, 700, 710].map(place));
    expect(framesOfSameBody(track, 4, 0, 7)).to.deep.equal([2, 5]);
    expect(framesOfSameBody(track, 1, 0, 7)).to.deep.equal([0, 1]);
    expect(framesOfSameBody(track, 4, 3, 4)).to.deep.equal([3, 4]);
  });
  it('go on over frames without anybody, in which a body may get further', () => {
    const track = standing(0, [place(200), undefined, undefined, place(280), undefined, place(600)]);
    expect(framesOfSameBody(track, 0, 0, 5)).to.deep.equal([0, 4]);
  });
});

describe('a piece that was followed again', () => {
  const packed = (from: number, ...xs: number[]) => ({
    from,
    packed: packTrack(
      standing(
        from,
        xs.map((x) => [x, 300]),
      ),
    ),
  });
  const hipsOf = (from: number, bytes: Uint8Array): number[] => {
    const track = unpackTrack(from, bytes);
    return Array.from({ length: track.frames }, (_, place) => hipsAt(track, from + place)![0]);
  };
  it('is written over what was there, where both have a frame', () => {
    const whole = packed(10, 1, 2, 3, 4);
    expect(hipsOf(10, withPacked(whole, packed(11, 20, 30)))).to.deep.equal([1, 20, 30, 4]);
    expect(hipsOf(10, withPacked(whole, packed(8, 70, 80, 90)))).to.deep.equal([90, 2, 3, 4]);
    expect(hipsOf(10, withPacked(whole, packed(13, 40, 50, 60)))).to.deep.equal([1, 2, 3, 40]);
    expect(hipsOf(10, withPacked(whole, packed(20, 5)))).to.deep.equal([1, 2, 3, 4]);
    expect(hipsOf(10, withPacked(whole, packed(0, 5)))).to.deep.equal([1, 2, 3, 4]);
  });
});
