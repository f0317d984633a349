import type { Px, Ratio } from '../units.ts';
import { inPicture, type Square } from './crop.ts';
import { pointCount } from './points.ts';
import { numbersOfFrame, numbersOfPoint } from './track.ts';

/** Pixels of a side of what the model of the body looks at. */
export const bodySide: Px = 256;
/** What it tells of each point: x, y, depth in its pixels, and as logits how far it is seen and how far it is there at all. */
const numbersTold = 5;
/** Behind the points of the body come two that say where to look next: the middle of the hips, and the rim round the body. */
const [hipsAt, rimAt] = [pointCount, pointCount + 1];
/** So much wider than the circle round the body is the square that is looked at. */
const roomRound = 1.25;
const share = (logit: number): Ratio => 1 / (1 + Math.exp(-logit));

/** The square round a body whose hips and rim lie here: centred on the hips, upright along the body. */
export function squareRound([x, y]: readonly [Px, Px], [rimX, rimY]: readonly [Px, Px]): Square {
  const [across, down] = [rimX - x, rimY - y];
  return { x, y, side: 2 * roomRound * Math.hypot(across, down), turn: Math.atan2(across, -down) };
}

/** What a look at one square said. */
export interface Look {
  /** The points in pixels of the picture, as a frame of a track. */
  points: Float32Array;
  /** Where the body will be looked for in the next frame. */
  next: Square;
}

/** Reads what the model of the body answers about a square of a picture. */
export function lookOf(square: Square, told: Float32Array): Look {
  const place = (point: number): [Px, Px] =>
    inPicture(square, told[point * numbersTold]! / bodySide, told[point * numbersTold + 1]! / bodySide);
  const points = new Float32Array(numbersOfFrame);
  for (let point = 0; point < pointCount; point++) {
    const [x, y] = place(point);
    const depth = (told[point * numbersTold + 2]! / bodySide) * square.side;
    points.set([x, y, depth, share(told[point * numbersTold + 3]!)], point * numbersOfPoint);
  }
  return { points, next: squareRound(place(hipsAt), place(rimAt)) };
}
