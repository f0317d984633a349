import { median, quantile } from 'd3-array';
import type { Px } from '../units.ts';
import { bodySides, pointAt, type PointName, pointsOf } from './points.ts';
import { numbersOfFrame, numbersOfPoint, type Track } from './track.ts';

/** Lengths of one body in a film, in pixels, as they are where nothing is turned away from the camera. */
export interface BodySize {
  torso: Px;
  head: Px;
  shoulderWidth: Px;
  upperArm: Px;
  forearm: Px;
  thigh: Px;
  shin: Px;
  foot: Px;
}

/**
 * Shares of the trunk, from the middle of the shoulders to that of the hips: after Drillis and Contini (1966), trunk 0.288, head
 * 0.130, upper arm 0.186, forearm 0.146, thigh 0.245, shin 0.246, foot 0.152 of the stature. Between the joints of the shoulders it
 * is less than between their outsides (0.259): about 0.21.
 */
const ofTorso: Readonly<Record<Exclude<keyof BodySize, 'torso'>, number>> = {
  head: 0.45,
  shoulderWidth: 0.73,
  upperArm: 0.646,
  forearm: 0.507,
  thigh: 0.851,
  shin: 0.854,
  foot: 0.528,
};
/** Limbs that are learned: seen at their full length at some time in a film. */
const learned: Readonly<Partial<Record<keyof BodySize, readonly [from: string, to: string]>>> = {
  upperArm: ['Shoulder', 'Elbow'],
  forearm: ['Elbow', 'Wrist'],
  thigh: ['Hip', 'Knee'],
  shin: ['Knee', 'Ankle'],
  foot: ['Heel', 'Toe'],
};
/** A limb points straight at right angles to the camera at least so rarely. */
const longest = 0.9;
/** What is learned is believed as far as this from what proportions say. */
const [least, most] = [0.8, 1.2];

/** Lengths change slowly: every third frame tells as much as all. */
const everySoMany = 3;

/** Learns the lengths of a body over a film; undefined when nobody is in it. */
export function bodySizeOf({ frames, values }: Track): BodySize | undefined {
  const at = (frame: number, name: PointName): [Px, Px] => {
    const place = frame * numbersOfFrame + pointAt[name] * numbersOfPoint;
    return [values[place]!, values[place + 1]!];
  };
  const between = ([x, y]: [Px, Px], [u, v]: [Px, Px]): Px => Math.hypot(x - u, y - v);
  const middle = (frame: number, part: 'Shoulder' | 'Hip'): [Px, Px] => {
    const [left, right] = [at(frame, pointsOf.left[part]), at(frame, pointsOf.right[part])];
    return [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
  };
  const seen = Array.from({ length: Math.ceil(frames / everySoMany) }, (_, place) => place * everySoMany).filter(
    (frame) => !Number.isNaN(values[frame * numbersOfFrame]!),
  );
  const torso = median(seen, (frame) => between(middle(frame, 'Shoulder'), middle(frame, 'Hip')));
  if (torso === undefined) return undefined;
  const size = { torso } as BodySize;
  for (const [name, share] of Object.entries(ofTorso) as [Exclude<keyof BodySize, 'torso'>, number][]) {
    const limb = learned[name];
    const usual = torso * share;
    const lengths = limb
      ? bodySides.flatMap((side) =>
          seen.map((frame) => between(at(frame, `${side}${limb[0]}` as PointName), at(frame, `${side}${limb[1]}` as PointName))),
        )
      : [];
    const told = limb ? quantile(lengths, longest)! : usual;
    size[name] = Math.max(usual * least, Math.min(usual * most, told));
  }
  return size;
}
