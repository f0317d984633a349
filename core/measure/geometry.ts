import { greatest } from 'd3-array';
import { chinHeight, pointsOf } from '../body/index.ts';
import type { Degrees, Ms, Px, Ratio } from '../units.ts';
import type { Sight, Spot } from './sight.ts';

export const degrees = 180 / Math.PI;
/** How closely an instant is looked for between two others. */
const step: Ms = 8;

export const between = ([x, y]: Spot, [u, v]: Spot): Px => Math.hypot(u - x, v - y);
export const middleOf = (one: Spot, other: Spot): Spot => [(one[0] + other[0]) / 2, (one[1] + other[1]) / 2];

/** The middle of both sides of a part of the body. */
export const middle = (sight: Sight, part: 'Shoulder' | 'Hip' | 'Ankle' | 'Ear' | 'Mouth', time: Ms): Spot =>
  middleOf(sight.at(pointsOf.left[part], time), sight.at(pointsOf.right[part], time));

/** Angle at a joint, 180° where it is straight. */
export function jointAngle(first: Spot, joint: Spot, last: Spot): Degrees {
  const [a, b] = [Math.atan2(first[1] - joint[1], first[0] - joint[0]), Math.atan2(last[1] - joint[1], last[0] - joint[0])];
  const turn = Math.abs(a - b) * degrees;
  return turn > 180 ? 360 - turn : turn;
}
/** How far a line rises, from level, when its true length is known: it may point towards the camera. −90° to 90°. */
export const riseOf = (from: Spot, to: Spot, length: Px): Degrees =>
  Math.asin(Math.max(-1, Math.min(1, (to[1] - from[1]) / Math.max(length, between(from, to))))) * degrees;
/** From upright, towards the target. */
export const leanOf = (low: Spot, high: Spot): Degrees => Math.atan2(high[0] - low[0], high[1] - low[1]) * degrees;

/** How many instants are looked at between two times, one of them not counted; gone through a hundred thousand times a film. */
const countBetween = (from: Ms, to: Ms): number => Math.max(1, Math.ceil((to - from) / step));
/** Instants from one time to another, both included. */
export function instants(from: Ms, to: Ms): Ms[] {
  const count = countBetween(from, to);
  const times: Ms[] = [];
  for (let place = 0; place <= count; place++) times.push(from + ((to - from) * place) / count);
  return times;
}
/** The least and the most that something comes to between two times. */
export function rangeOf(from: Ms, to: Ms, value: (time: Ms) => number): readonly [least: number, most: number] {
  const count = countBetween(from, to);
  let [least, most] = [Infinity, -Infinity];
  for (let place = 0; place <= count; place++) {
    const now = value(from + ((to - from) * place) / count);
    [least, most] = [Math.min(least, now), Math.max(most, now)];
  }
  return [least, most];
}
/** The most alone. */
export const mostOf = (from: Ms, to: Ms, value: (time: Ms) => number): number => rangeOf(from, to, value)[1];

/** When that is. */
export const whenMost = (from: Ms, to: Ms, value: (time: Ms) => number): Ms => greatest(instants(from, to), value)!;

/** When something has gone a share of the furthest that it goes between two times; undefined where it does not go so far as this. */
export function whenGoneFurther(least: number, share: Ratio, from: Ms, to: Ms, gone: (time: Ms) => number): Ms | undefined {
  const times = instants(from, to);
  const all = times.map(gone);
  const furthest = Math.max(...all);
  return furthest > least ? times[all.findIndex((value) => value >= share * furthest)] : undefined;
}
/** The same of what goes as far as it may; the end where it is not seen. */
export const whenGone = (share: Ratio, from: Ms, to: Ms, gone: (time: Ms) => number): Ms =>
  whenGoneFurther(-Infinity, share, from, to, gone) ?? to;

/** The chin, drawn in a little from the mouth. */
export function chin(sight: Sight, time: Ms): Spot {
  const [mouth, nose] = [middle(sight, 'Mouth', time), sight.at('nose', time)];
  return [mouth[0] - 0.05 * sight.size.head, chinHeight(mouth[1], nose[1])];
}
/** The knuckles, between those of index and little finger. */
export const knuckles = (sight: Sight, side: 'left' | 'right', time: Ms): Spot =>
  middleOf(sight.at(pointsOf[side].IndexKnuckle, time), sight.at(pointsOf[side].LittleKnuckle, time));

/** A share of a way that begins and ends at rest: 3u² − 2u³. */
export const smooth = (u: Ratio): Ratio => (u <= 0 ? 0 : u >= 1 ? 1 : u * u * (3 - 2 * u));
