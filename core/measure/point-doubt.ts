import { partOf, type PointName } from '../body/index.ts';
import type { Px } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import { widerThanTrials } from './measured-points.ts';
import { pointErrors, type PointSeen } from './point-errors.ts';
import { nearSide } from './sight.ts';
import { handOf } from '../technique/index.ts';

/** From where a point is seen: its side of the body nearer to the camera, or the further one; along, where neither is. */
export function pointSeen({ view, stance }: Pick<FollowedFilm, 'view' | 'stance'>, point: PointName): PointSeen {
  const near = nearSide(view, handOf('lead', stance)!);
  if (near === undefined) return 'along';
  const side = /^(left|right)/.exec(point)?.[1];
  return side === undefined || side === near ? 'near' : 'far';
}

/**
 * How far a point may be off where the model has found it, across and upwards: in two of three frames of trials no further, made wider
 * by `widerThanTrials`. Undefined for points that nothing is measured by.
 */
export function pointDoubt(
  film: Pick<FollowedFilm, 'view' | 'stance' | 'size'>,
  point: PointName,
): readonly [across: Px, up: Px] | undefined {
  const part = partOf(point);
  const error = part && pointErrors[part][pointSeen(film, point)];
  const wide = widerThanTrials * film.size.torso;
  return error && [error[0] * wide, error[1] * wide];
}
