import type { PointName } from '../body/index.ts';
import type { Ms } from '../units.ts';
import { pointMeasureOf, type PointMeasure } from './of-points.ts';
import type { CheckpointId } from '../technique/index.ts';
import type { FollowedFilm } from './followed-film.ts';
import type { MeasurableStrike } from './measurable-strike.ts';

/** What a measure looks at: which points, and from when to when. */
export interface ReadFrom {
  points: readonly PointName[];
  from: Ms;
  to: Ms;
  /** Of whoever holds, and not of whoever strikes. */
  ofHolder: boolean;
}

/** Looks over the shoulder of a measure: what it reads on this strike; undefined where it is not read from points. */
export function readFrom(strike: MeasurableStrike, checkpoint: CheckpointId): ReadFrom | undefined {
  const measure = pointMeasureOf(checkpoint);
  const read = measure && readOf(strike, measure);
  return read && whatIsRead(read, measure);
}
/** Of whom a measure is read; undefined where whoever holds was not followed. */
export const readOf = (strike: MeasurableStrike, { of }: Pick<PointMeasure, 'of'>): MeasurableStrike | undefined =>
  of === 'holder' ? strike.held : strike;

/** The film as the body was followed in it that something is read of. */
export const bodyRead = (film: FollowedFilm, read: Pick<ReadFrom, 'ofHolder'> | undefined): FollowedFilm =>
  read?.ofHolder ? (film.holder ?? film) : film;

/** What a measure looks at of whom it is read of. */
export function whatIsRead({ sight }: MeasurableStrike, measure: PointMeasure): ReadFrom | undefined {
  const points = new Set<PointName>();
  let [from, to] = [Infinity, -Infinity];
  measure.read({
    ...sight,
    at(point, time) {
      points.add(point);
      [from, to] = [Math.min(from, time), Math.max(to, time)];
      return sight.at(point, time);
    },
  });
  return points.size === 0 ? undefined : { points: [...points], from, to, ofHolder: measure.of === 'holder' };
}
