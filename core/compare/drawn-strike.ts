import { emptyTrack, numbersOfFrame, numbersOfPoint, pointCount, type Track } from '../body/index.ts';
import { timelineOf, type FrameTimeline } from '../film/index.ts';
import type { MomentFrames } from '../strikes/index.ts';
import { turnOfView, type View } from '../technique/index.ts';
import type { Metres, Px } from '../units.ts';

/** How a technique is thrown cleanly, as it ships: by nobody who was filmed, and so to be seen from anywhere. */
export interface DrawnStrike {
  moments: MomentFrames;
  timeline: FrameTimeline;
  /** Where its points are in the room, in millimetres: x to the left of an orthodox trainee, y up, z towards what is hit. */
  room: Track;
}

export const drawnFrameRate = 60;
/** @param room as it was packed */
export const drawnStrike = (moments: MomentFrames, room: Track): DrawnStrike => ({
  moments,
  timeline: timelineOf(Array.from({ length: room.frames }, (_, frame) => (frame * 1000) / drawnFrameRate)),
  room,
});

/** The picture into which it is drawn. */
export const drawnPicture: Readonly<{ width: Px; height: Px }> = { width: 1280, height: 720 };
/** Where it is seen from: so far away, so high, aimed at the middle of the body; degrees from the lower to the upper edge. */
const [away, high, fieldOfView]: [Metres, Metres, number] = [3.9, 1.1, 33];
const middle: Place = [0, 0.8, 0.2];

type Place = readonly [x: Metres, y: Metres, z: Metres];
const minus = (a: Place, b: Place): Place => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Place, b: Place): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Place, b: Place): Place => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const unit = (a: Place): Place => {
  const length = Math.sqrt(dot(a, a));
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** A strike in the room as a camera of a view sees it: points in pixels of `drawnPicture`, by a pinhole camera. */
export function drawnFrom({ room }: DrawnStrike, view: View): Track {
  const turn = (turnOfView[view] * Math.PI) / 180;
  const camera: Place = [middle[0] + away * Math.sin(turn), high, middle[2] + away * Math.cos(turn)];
  const forward = unit(minus(middle, camera));
  const right = unit(cross(forward, [0, 1, 0]));
  const up = cross(right, forward);
  const focal = drawnPicture.height / 2 / Math.tan((fieldOfView * Math.PI) / 360);
  const seen = emptyTrack(0, room.frames);
  for (let frame = 0; frame < room.frames; frame++)
    for (let point = 0; point < pointCount; point++) {
      const at = frame * numbersOfFrame + point * numbersOfPoint;
      const [x, y, z] = [0, 1, 2].map((axis) => room.values[at + axis]! / 1000) as [Metres, Metres, Metres];
      const from = minus([x, y, z], camera);
      const far = dot(from, forward);
      const scale = focal / far;
      const across = drawnPicture.width / 2 + scale * dot(from, right);
      const down = drawnPicture.height / 2 - scale * dot(from, up);
      seen.values.set([across, down, scale * (far - dot(minus(middle, camera), forward)), 1], at);
    }
  return seen;
}
