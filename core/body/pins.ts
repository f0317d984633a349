import { group } from 'd3-array';
import { timeOf, type FrameTimeline } from '../film/index.ts';
import type { FrameIndex, Ms, Px, Ratio } from '../units.ts';
import { pointAt, pointCount, type PointName } from './points.ts';
import { numbersOfFrame, numbersOfPoint, type Track } from './track.ts';

/** What a coach says of a point in a frame: that it is here, that it cannot be seen, or nothing after all. */
export const pinWords = ['here', 'hidden', 'free'] as const;
export type PinWord = (typeof pinWords)[number];

/** A point of the body as a coach has put it by hand. */
export interface Pin {
  frame: FrameIndex;
  point: PointName;
  said: PinWord;
  /** Where it is, in pixels of the review copy; null unless it is here. */
  x: Px | null;
  y: Px | null;
}

/** A track with what was put right by hand, and how far each of its points is held by a pin. */
export interface PinnedTrack extends Track {
  /** A share for each point of each frame: 1 where it is pinned, less beside a pin, 0 where only the model has looked. */
  held: Float32Array;
}

/** How far a pin may be off, in lengths of the trunk: two or three pixels of a hand that sees the joint under a glass, and where a joint is at all. */
export const pinSpread: Ratio = 0.02;

/** So far from a pin it still pulls, less and less: what a model has wrong in one frame it has wrong in the next ones, too. */
export const pinReach: Ms = 100;
/** Between two pins that are no further apart, what they pull goes over from one to the other. */
export const pinBridge: Ms = 300;

/** 1 at the pin, 0 at the end of its reach, level at both. */
const pull = (distance: Ms): Ratio => (distance >= pinReach ? 0 : (1 + Math.cos((Math.PI * distance) / pinReach)) / 2);

/** What a pin moves a point by. */
interface Pulled {
  time: Ms;
  dx: Px;
  dy: Px;
}

/** How far a point moves at an instant, between the pins before and after it. */
function pulledAt(time: Ms, before: Pulled | undefined, after: Pulled | undefined): readonly [dx: Px, dy: Px, held: Ratio] {
  const [ofBefore, ofAfter] = [before, after].map((pin) => (pin ? pull(Math.abs(time - pin.time)) : 0)) as [Ratio, Ratio];
  const held = Math.max(ofBefore, ofAfter);
  if (before && after && after.time - before.time <= pinBridge) {
    const share = after.time > before.time ? (time - before.time) / (after.time - before.time) : 0;
    return [before.dx + share * (after.dx - before.dx), before.dy + share * (after.dy - before.dy), held];
  }
  const nearest = ofBefore >= ofAfter ? before : after;
  return nearest ? [held * nearest.dx, held * nearest.dy, held] : [0, 0, 0];
}

/**
 * Puts right by hand what was found: a pinned point is where its pin is, and the frames beside follow it by as much, fading within
 * `pinReach`, or going over to the next pin. What is pinned as hidden is nowhere in that frame. The track itself stays as it was.
 * @param pins of which at most one speaks of a point in a frame; those outside of the track are left out
 */
export function withPins(track: Track, timeline: FrameTimeline, pins: readonly Pin[]): PinnedTrack {
  const values = track.values.slice();
  const held = new Float32Array(track.frames * pointCount);
  const inside = pins.filter(({ frame, said }) => said !== 'free' && frame >= track.from && frame < track.from + track.frames);
  const indexOf = (frame: FrameIndex, point: number): number => (frame - track.from) * numbersOfFrame + point * numbersOfPoint;

  for (const [name, ofPoint] of group(
    inside.filter(({ said }) => said === 'here'),
    ({ point: pinned }) => pinned,
  )) {
    const point = pointAt[name];
    const sorted = ofPoint.toSorted((a, b) => a.frame - b.frame);
    const found = ({ frame, x, y }: Pin): Pulled | undefined => {
      const at = indexOf(frame, point);
      const [foundX, foundY] = [track.values[at]!, track.values[at + 1]!];
      return Number.isNaN(foundX) ? undefined : { time: timeOf(timeline, frame), dx: x! - foundX, dy: y! - foundY };
    };
    const pulling = sorted.flatMap((pin) => found(pin) ?? []);
    if (pulling.length > 0) pullPoint(track, timeline, { point, pulling, values, held });
    for (const { frame, x, y } of sorted) {
      values.set([x!, y!], indexOf(frame, point));
      // Where nobody was found, nothing is known of its depth.
      if (Number.isNaN(values[indexOf(frame, point) + 2]!)) values.set([0, 1], indexOf(frame, point) + 2);
      held[(frame - track.from) * pointCount + point] = 1;
    }
  }
  for (const { frame, point } of inside.filter(({ said }) => said === 'hidden')) {
    values.fill(NaN, indexOf(frame, pointAt[point]), indexOf(frame, pointAt[point]) + numbersOfPoint);
  }
  return { ...track, values, held };
}

/** Moves one point in all frames that its pins reach. */
function pullPoint(
  track: Track,
  timeline: FrameTimeline,
  { point, pulling, values, held }: { point: number; pulling: readonly Pulled[]; values: Float32Array; held: Float32Array },
): void {
  const [first, last] = [pulling[0]!.time - pinReach, pulling.at(-1)!.time + pinReach];
  let next = 0;
  for (let frame = track.from; frame < track.from + track.frames; frame++) {
    const time = timeOf(timeline, frame);
    if (time < first) continue;
    if (time > last) break;
    while (next < pulling.length && pulling[next]!.time <= time) next++;
    const [dx, dy, share] = pulledAt(time, pulling[next - 1], pulling[next]);
    const at = (frame - track.from) * numbersOfFrame + point * numbersOfPoint;
    values[at]! += dx;
    values[at + 1]! += dy;
    held[(frame - track.from) * pointCount + point] = share;
  }
}
