import { extent } from 'd3-array';
import { pointAt, pointIn, pointNames, type PointName } from '../body/index.ts';
import type { FollowedFilm } from '../measure/index.ts';
import type { WalkStop } from '../technique/index.ts';
import type { FrameIndex, Px, Ratio } from '../units.ts';

/** A part of a picture. */
export interface Part {
  x: Px;
  y: Px;
  width: Px;
  height: Px;
}

/** Width over height of a still on a card. */
export const stillShape: Ratio = 4 / 3;
/** Round what it is about, in lengths of the trunk; and no smaller than this is what is shown. */
const [room, least]: readonly [Ratio, Ratio] = [0.45, 1.7];

const upper = /nose|Mouth|Shoulder|Elbow|Wrist|Knuckle/;
const lower = /Hip|Knee|Ankle|Heel|Toe/;
/** Which points belong to a place that the eye goes to. */
const pointsOfStop: Readonly<Record<WalkStop, RegExp>> = {
  feet: lower,
  hips: /Shoulder|Hip|Knee|Ankle/,
  leg: lower,
  'striking hand': upper,
  'other hand': upper,
  head: upper,
  after: /./,
  round: /./,
  holder: /./,
};

/** The largest part of a picture with the shape of a still, in its middle. */
export function middlePart({ width, height }: { width: Px; height: Px }): Part {
  const wide = Math.min(width, height * stillShape);
  const high = wide / stillShape;
  return { x: (width - wide) / 2, y: (height - high) / 2, width: wide, height: high };
}

/**
 * The part of a frame that something is about, with the shape of a still: round what is measured, or round where the eye goes for it.
 * Where the body is not seen it is the middle of the picture.
 */
export function shownPart(film: FollowedFilm, frame: FrameIndex, stop: WalkStop, measured: readonly PointName[]): Part {
  const { picture, size, track } = film;
  const wanted = pointNames.filter((name) => measured.includes(name) || pointsOfStop[stop].test(name));
  const places = wanted.flatMap((name) => pointIn(track, frame, pointAt[name]) ?? []);
  const [[left, right], [top, bottom]] = [extent(places, ({ x }) => x), extent(places, ({ y }) => y)];
  if (left === undefined || top === undefined) return middlePart(picture);
  const [across, down] = [right - left + 2 * room * size.torso, bottom - top + 2 * room * size.torso];
  const wide = Math.max(across, down * stillShape, least * size.torso * stillShape);
  const width = Math.min(wide, picture.width, picture.height * stillShape);
  const height = width / stillShape;
  const inside = (middle: Px, length: Px, most: Px): Px => Math.max(0, Math.min(most - length, middle - length / 2));
  return {
    x: inside((left + right) / 2, width, picture.width),
    y: inside((top + bottom) / 2, height, picture.height),
    width,
    height,
  };
}
