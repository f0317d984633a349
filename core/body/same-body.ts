import type { FrameIndex, Px, Ratio } from '../units.ts';
import { pointAt, pointsOf } from './points.ts';
import { numbersOfFrame, numbersOfPoint, type Track } from './track.ts';

/** From one frame to the next nobody's hips get further than this, in lengths of the trunk; two people stand further apart. */
const nearest: Ratio = 0.35;

/** Where somebody is in a frame, and how long the trunk is. */
interface Stands {
  x: Px;
  y: Px;
  torso: Px;
}
/** Where the points of a pair lie among the numbers of a frame. */
const pairOf = (part: 'Hip' | 'Shoulder') =>
  [pointAt[pointsOf.left[part]] * numbersOfPoint, pointAt[pointsOf.right[part]] * numbersOfPoint] as const;
const [[leftHip, rightHip], [leftShoulder, rightShoulder]] = [pairOf('Hip'), pairOf('Shoulder')];
/** Asked of every frame round every strike, so that it reads the numbers themselves. */
function standsAt({ from, frames, values }: Track, frame: FrameIndex): Stands | undefined {
  if (frame < from || frame >= from + frames) return undefined;
  const at = (frame - from) * numbersOfFrame;
  const x = (values[at + leftHip]! + values[at + rightHip]!) / 2;
  const y = (values[at + leftHip + 1]! + values[at + rightHip + 1]!) / 2;
  const across = (values[at + leftShoulder]! + values[at + rightShoulder]!) / 2 - x;
  const up = (values[at + leftShoulder + 1]! + values[at + rightShoulder + 1]!) / 2 - y;
  const torso = Math.sqrt(across * across + up * up);
  return Number.isNaN(x + torso) ? undefined : { x, y, torso };
}

/** Whether somebody can have got from one place to the other within so many frames. */
const isWithinReach = (a: Stands, b: Stands, frames: number): boolean =>
  (a.x - b.x) ** 2 + (a.y - b.y) ** 2 <= (nearest * frames * Math.max(a.torso, b.torso)) ** 2;

/** Where the middle of the hips is in a frame, in pixels; undefined where nobody was found. */
export function hipsAt(track: Track, frame: FrameIndex): readonly [Px, Px] | undefined {
  const stands = standsAt(track, frame);
  return stands && [stands.x, stands.y];
}

/**
 * The frames round one of them in which it is the same body that is followed: it ends where the hips jump, as they do when what is
 * followed goes over to somebody else who crosses. Frames without anybody are passed over.
 * @param from the first frame that is of interest @param to the last one
 */
export function framesOfSameBody(
  track: Track,
  at: FrameIndex,
  from: FrameIndex,
  to: FrameIndex,
): readonly [FrameIndex, FrameIndex] {
  const until = (end: FrameIndex, step: 1 | -1): FrameIndex => {
    let known = standsAt(track, at);
    let since = 0;
    for (let frame = at + step; (end - frame) * step >= 0; frame += step) {
      since++;
      const now = standsAt(track, frame);
      if (!now) continue;
      if (known && !isWithinReach(known, now, since)) return frame - step;
      [known, since] = [now, 0];
    }
    return end;
  };
  return [until(from, -1), until(to, 1)];
}

/** Whether what two tracks follow is one body, as far as two frames tell that lie next to each other. Nobody is never the same. */
export function isSameBody(one: Track, frame: FrameIndex, other: Track, next: FrameIndex): boolean {
  const [a, b] = [standsAt(one, frame), standsAt(other, next)];
  return !!a && !!b && isWithinReach(a, b, 1);
}
