import { pointAt, pointCount, type BodySize, type PointName } from '../body/index.ts';
import type { Ms, Px, Ratio } from '../units.ts';
import type { StrikePoints } from './sight.ts';

/** A way that fits worse, as a share of its length, is another movement. */
const mostOff: Ratio = 0.15;
/** Whether a point has gone along a way. @param least how far it goes at the least, in trunks */
export const isWay = ({ off, way }: { off: number; way: Ratio }, least: Ratio): boolean =>
  way >= least && Math.sqrt(2 * off) <= mostOff * way;

/** Places of a point, in trunks, and when: against the hips, or in the picture. */
export interface Path {
  times: readonly Ms[];
  places: readonly (readonly [Ratio, Ratio])[];
}

/** Where a point goes between two times, in the frames in which it was found. @param on against what */
export function pathOf(
  { times, places }: StrikePoints,
  limb: PointName,
  { torso }: Pick<BodySize, 'torso'>,
  [from, to]: readonly [Ms, Ms],
  on: 'hips' | 'picture',
): Path {
  const at = (frame: number, point: PointName): [Px, Px] => {
    const place = (frame * pointCount + pointAt[point]) * 2;
    return [places[place]!, places[place + 1]!];
  };
  const frames = [...times.keys()].filter(
    (frame) => times[frame]! >= from && times[frame]! <= to && !Number.isNaN(at(frame, limb)[0]),
  );
  return {
    times: frames.map((frame) => times[frame]!),
    places: frames.map((frame) => {
      const [x, y] = at(frame, limb);
      if (on === 'picture') return [x / torso, y / torso];
      const [left, right] = [at(frame, 'leftHip'), at(frame, 'rightHip')];
      return [(x - (left[0] + right[0]) / 2) / torso, (y - (left[1] + right[1]) / 2) / torso];
    }),
  };
}

/** What a path that goes along `shares` of one straight way is off by, and how long that way is; what lies far off weighs less (Huber 1964). */
export function fitOf({ places }: Path, shares: readonly Ratio[]): { off: number; way: Ratio } {
  const tolerance = 0.05;
  let weights = places.map(() => 1);
  let way = 0;
  let off = Infinity;
  for (let round = 0; round < 3; round++) {
    let [all, s, ss] = [0, 0, 0];
    const [p, sp] = [
      [0, 0],
      [0, 0],
    ] as [[number, number], [number, number]];
    for (const [place, share] of shares.entries()) {
      const weight = weights[place]!;
      all += weight;
      s += weight * share;
      ss += weight * share * share;
      for (const one of [0, 1] as const) {
        p[one] += weight * places[place]![one];
        sp[one] += weight * share * places[place]![one];
      }
    }
    const whole = all * ss - s * s;
    if (whole < 1e-9) return { off: Infinity, way: 0 };
    const begin = ([0, 1] as const).map((one) => (p[one] * ss - sp[one] * s) / whole);
    const along = ([0, 1] as const).map((one) => (all * sp[one] - s * p[one]) / whole);
    const misses = places.map(([x, y], place) =>
      Math.hypot(x - begin[0]! - along[0]! * shares[place]!, y - begin[1]! - along[1]! * shares[place]!),
    );
    weights = misses.map((miss) => (miss < tolerance ? 1 : tolerance / miss));
    off = misses.reduce((sum, miss) => sum + (miss < tolerance ? miss ** 2 / 2 : tolerance * (miss - tolerance / 2)), 0);
    way = Math.hypot(along[0]!, along[1]!);
  }
  return { off: off / places.length, way };
}
