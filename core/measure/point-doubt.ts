import { partOf, type BodySide, type PointName } from '../body/index.ts';
import type { Px } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import { pointErrors, type PointSeen } from './point-errors.ts';
import { nearSide } from './sight.ts';
import { handOf } from '../technique/index.ts';
import { wideningOf } from './widening.ts';

/** From where a point is seen: its side of the body nearer to the camera, or the further one; along, where neither is. */
export const pointSeen = ({ view, stance }: Pick<FollowedFilm, 'view' | 'stance'>, point: PointName): PointSeen =>
  seenAs(nearSide(view, handOf('lead', stance)!), point);

/** The same by the side that is nearer; undefined where neither is. */
export function seenAs(near: BodySide | undefined, point: PointName): PointSeen {
  if (near === undefined) return 'along';
  const side = /^(left|right)/.exec(point)?.[1];
  return side === undefined || side === near ? 'near' : 'far';
}

/**
 * How far a point may be off where the model has found it, across and upwards: in two of three frames of trials no further, made wider
 * as `Widenings` say. Undefined for points that nothing is measured by.
 */
export function pointDoubt(
  film: Pick<FollowedFilm, 'view' | 'stance' | 'size' | 'widenings'>,
  point: PointName,
): readonly [across: Px, up: Px] | undefined {
  const part = partOf(point);
  if (!part) return undefined;
  const seen = pointSeen(film, point);
  const error = pointErrors[part][seen];
  const wide = wideningOf(film.widenings, { part, seen }) * film.size.torso;
  return error && [error[0] * wide, error[1] * wide];
}
