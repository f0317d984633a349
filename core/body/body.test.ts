import { expect } from 'chai';
import fc from 'fast-check';
import {
  bodySide,
  bodySizeOf,
  cropped,
  detectionsOf,
  detectorSide,
  emptyTrack,
  guessCount,
  hasBody,
  inPicture,
  joinPacked,
  lookOf,
  numbersOfFrame,
  numbersOfPoint,
  packTrack,
  pieceOfTrack,
  pointAt,
  pointCount,
  pointIn,
  reachOfLimbs,
  squareRound,
  unpackTrack,
  type PointName,
  type Track,
} from './index.ts';

/** A track in which every point lies where it is told, in each frame. */
function trackOf(frames: number, place: (point: PointName, frame: number) => readonly [number, number]): Track {
  const track = emptyTrack(0, frames);
  for (let frame = 0; frame < frames; frame++)
    for (const [name, point] of Object.entries(pointAt) as [PointName, number][])
      track.values.set([...place(name, frame), 0, 1], frame * numbersOfFrame + point * numbersOfPoint);
  return track;
}

describe('a track of points', () => {
  it('is cut into pieces; a frame that it does not have has nobody in it', () => {
    const track = { ...trackOf(10, (_name, frame) => [frame, 0]), from: 20 };
    const piece = pieceOfTrack(track, 27, 6);
    expect([27, 28, 29].map((frame) => pointIn(piece, frame, 0)!.x)).to.deep.equal([7, 8, 9]);
    expect([30, 31, 32].map((frame) => hasBody(piece, frame))).to.deep.equal([false, false, false]);
    expect(hasBody(pieceOfTrack(track, 0, 5), 2)).to.equal(false);
    expect(pointIn(pieceOfTrack(track, 18, 4), 20, 0)!.x).to.equal(0);
  });
  const number = fc.float({ min: -2000, max: 2000, noNaN: true });
  const point = fc.tuple(number, number, number, fc.float({ min: 0, max: 1, noNaN: true }));

  it('comes back from its bytes, to a sixteenth of a pixel, with nobody where nobody was', () => {
    fc.assert(
      fc.property(fc.array(fc.option(point), { minLength: 1, maxLength: 6 }), (frames) => {
        const track = emptyTrack(7, frames.length);
        frames.forEach((one, frame) => {
          if (one) for (let at = 0; at < pointCount; at++) track.values.set(one, frame * numbersOfFrame + at * numbersOfPoint);
        });
        const back = unpackTrack(7, packTrack(track));
        frames.forEach((one, frame) => {
          expect(hasBody(back, 7 + frame)).to.equal(one !== null);
          if (!one) return;
          const { x, y, depth, seen } = pointIn(back, 7 + frame, 20)!;
          expect(Math.max(Math.abs(x - one[0]), Math.abs(y - one[1]), Math.abs(depth - one[2]))).to.be.at.most(1 / 32 + 1e-9);
          expect(seen).to.be.closeTo(one[3], 1 / 500);
        });
      }),
    );
  });

  it('three minutes at 60 frames a second are less than 8 MB', () => {
    expect(packTrack(emptyTrack(0, 3 * 60 * 60)).length).to.be.below(8 * 1024 ** 2);
  });

  it('is joined from its pieces; what lies beyond the film is left out, and what is missing has nobody', () => {
    const piece = (x: number, frames: number) => packTrack(trackOf(frames, () => [x, 0]));
    const whole = unpackTrack(
      0,
      joinPacked(
        [
          { from: 2, packed: piece(5, 2) },
          { from: 6, packed: piece(9, 4) },
        ],
        8,
      ),
    );
    expect(Array.from({ length: 8 }, (_, frame) => pointIn(whole, frame, 0)?.x)).to.deep.equal([
      ...[undefined, undefined, 5, 5, undefined, undefined, 9, 9],
    ]);
  });

  it('is not read from what is none', () => {
    expect(() => unpackTrack(0, new Uint8Array(8))).to.throw('not a track');
  });
});

describe('a square of a picture', () => {
  it('shows what lies in it, however it is turned: its brightest place is that of the picture', () => {
    const [width, height] = [120, 90];
    const inside = fc.integer({ min: 30, max: 60 });
    fc.assert(
      fc.property(
        inside,
        inside,
        fc.double({ min: 40, max: 80, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (x, y, side, turn) => {
          const rgb = new Uint8Array(width * height * 3);
          for (const [dx, dy] of [
            [0, 0],
            [1, 0],
            [0, 1],
            [1, 1],
          ] as const)
            rgb[((y + dy) * width + x + dx) * 3] = 255;
          const square = { x: 50, y: 45, side, turn };
          const seen = cropped({ width, height, rgb }, square, 64, [0, 1]);
          let best = 0;
          for (let at = 0; at < seen.length; at += 3) if (seen[at]! > seen[best]!) best = at;
          if (seen[best]! < 0.6) return;
          const [column, row] = [(best / 3) % 64, Math.floor(best / 3 / 64)];
          const [u, v] = inPicture(square, (column + 0.5) / 64, (row + 0.5) / 64);
          expect(Math.hypot(u - x - 1, v - y - 1)).to.be.below(1.6);
        },
      ),
    );
  });

  it('is as dark as can be outside of the picture', () => {
    const seen = cropped(
      { width: 4, height: 4, rgb: new Uint8Array(48).fill(255) },
      { x: -50, y: -50, side: 10, turn: 0 },
      8,
      [-1, 1],
    );
    expect(new Set(seen)).to.deep.equal(new Set([-1]));
  });
});

describe('somebody in a picture', () => {
  const answers = (...sure: [guess: number, logit: number][]) => {
    const places = new Float32Array(guessCount * 12);
    for (let guess = 0; guess < guessCount; guess++) places.set([0, 0, 40, 40, 0, 10, 0, -30], guess * 12);
    const logits = new Float32Array(guessCount).fill(-9);
    for (const [guess, logit] of sure) logits[guess] = logit;
    return detectionsOf(places, logits);
  };

  it('is found where the detector is sure of it, once, the surest first', () => {
    expect(answers()).to.deep.equal([]);
    // Two guesses of one cell, and a cell in the other half of the picture.
    const found = answers([0, 2], [1, 3], [2 * (28 * 20 + 20), 1]);
    expect(found.map(({ score }) => score.toFixed(2))).to.deep.equal(['0.95', '0.73']);
    expect(found[1]!.x).to.be.closeTo(20.5 / 28, 1e-6);
    expect(found[1]!.hips[1] - found[1]!.y).to.be.closeTo(10 / detectorSide, 1e-6);
  });

  it('is looked at in a square that stands as they do', () => {
    expect(squareRound([10, 50], [10, 10])).to.deep.equal({ x: 10, y: 50, side: 100, turn: 0 });
    expect(squareRound([10, 50], [50, 50]).turn).to.be.closeTo(Math.PI / 2, 1e-9);
  });

  it('has its points in the picture, and says where to look next', () => {
    const told = new Float32Array(39 * 5);
    told.set([bodySide / 2, bodySide / 4, -bodySide / 8, 20], pointAt.nose * 5);
    told.set([bodySide / 2, bodySide / 2], 33 * 5);
    told.set([bodySide / 2, bodySide / 4], 34 * 5);
    const { points, next } = lookOf({ x: 300, y: 200, side: 400, turn: 0 }, told);
    expect(Array.from(points.slice(0, 3))).to.deep.equal([300, 100, -50]);
    expect(points[3]).to.be.closeTo(1, 1e-6);
    expect(next).to.deep.equal({ x: 300, y: 200, side: 250, turn: 0 });
  });
});

describe('the lengths of a body', () => {
  const standing = (name: PointName): readonly [number, number] => {
    const side = name.startsWith('left') ? 1 : -1;
    const heights: [RegExp, number, number][] = [
      [/Shoulder/, 100, 20],
      [/Elbow/, 100 + 65, 20],
      [/Wrist/, 100 + 65 + 50, 20],
      [/Hip/, 200, 10],
      [/Knee/, 285, 10],
      [/Ankle/, 370, 10],
      [/Heel/, 380, 0],
      [/Toe/, 380, 52],
    ];
    const [, y, x] = heights.find(([part]) => part.test(name)) ?? [/./, 60, 0];
    return [300 + side * x, y];
  };

  it('are those that are seen, as far as proportions allow', () => {
    const size = bodySizeOf(trackOf(9, standing))!;
    expect(size.torso).to.be.closeTo(100, 1e-4);
    expect(size).to.include({ head: 45 });
    expect([size.upperArm, size.forearm, size.thigh, size.shin].map(Math.round)).to.deep.equal([65, 50, 85, 85]);
    const tiny = bodySizeOf(
      trackOf(9, (name) => (name.endsWith('Wrist') ? standing(name.replace('Wrist', 'Elbow') as PointName) : standing(name))),
    )!;
    expect(tiny.forearm, 'nobody has no forearm').to.be.closeTo(0.8 * 50.7, 0.1);
  });

  it('are not told of nobody', () => expect(bodySizeOf(emptyTrack(0, 5))).to.equal(undefined));

  it('whoever strikes reaches further than whoever only trembles', () => {
    const striking = trackOf(40, (name, frame) => {
      const [x, y] = standing(name);
      return name === 'leftWrist' && frame > 30 ? [x + 120, y] : [x, y];
    });
    const trembling = trackOf(40, (name, frame) => {
      const [x, y] = standing(name);
      return name === 'leftWrist' ? [x + (frame % 2) * 30, y] : [x, y];
    });
    expect(reachOfLimbs(striking)).to.be.above(2 * reachOfLimbs(trembling));
  });
});
