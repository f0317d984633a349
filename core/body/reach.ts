import { median, quantile } from 'd3-array';
import type { Px } from '../units.ts';
import { bodySides, pointAt, type PointName, pointsOf } from './points.ts';
import { hasBody, pointIn, type BodyPoint, type Track } from './track.ts';

/** More of the time it is nearer than this. */
const mostOfTheTime = 0.95;

/** How far a hand or foot of a body gets from where it mostly is, in lengths of its trunk: jitter adds up to nothing. */
export function reachOfLimbs(track: Track): number {
  const frames = Array.from({ length: track.frames }, (_, place) => track.from + place).filter((frame) => hasBody(track, frame));
  const places = (point: PointName): readonly BodyPoint[] => frames.map((frame) => pointIn(track, frame, pointAt[point])!);
  const usual = (point: PointName): readonly [Px, Px] => [
    median(places(point), ({ x }) => x) ?? 0,
    median(places(point), ({ y }) => y) ?? 0,
  ];
  const [shoulder, hip] = [usual('leftShoulder'), usual('leftHip')];
  const torso = Math.max(1, Math.hypot(shoulder[0] - hip[0], shoulder[1] - hip[1]));
  const reach = (point: PointName): number => {
    const [x, y] = usual(point);
    return quantile(places(point), mostOfTheTime, (one) => Math.hypot(one.x - x, one.y - y)) ?? 0;
  };
  return Math.max(...bodySides.flatMap((side) => [reach(pointsOf[side].Wrist), reach(pointsOf[side].Ankle)])) / torso;
}
