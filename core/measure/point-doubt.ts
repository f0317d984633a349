import { partOf, type BodySide, type PointName } from '../body/index.ts';
import type { Px } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import { widerThanTrials } from './measured-points.ts';
import { pointErrors, type PointSeen } from './point-errors.ts';
import { nearSide } from './sight.ts';
import { handOf } from '../technique/index.ts';

/** From where a point is seen: its side of the body nearer to the camera, or the further one; along, where neither is. */
export function pointSeen(point: PointName, near: BodySide | undefined): PointSeen {
  if (near === undefined) return 'along';
  const side = /^(left|right)/.exec(point)?.[1];
  return side === undefined || side === near ? 'near' : 'far';
}

/**
 * How far a point may be off where the model has found it, across and upwards: in two of three frames of trials no further, made wider
 * by `widerThanTrials`. Undefined for points that nothing is measured by.
 */
export function pointDoubt(
  { view, stance, size }: Pick<FollowedFilm, 'view' | 'stance' | 'size'>,
  point: PointName,
): readonly [across: Px, up: Px] | undefined {
  const part = partOf(point);
  const error = part && pointErrors[part][pointSeen(point, nearSide(view, handOf('lead', stance)!))];
  return error && [widerThanTrials * size.torso * error[0], widerThanTrials * size.torso * error[1]];
}
