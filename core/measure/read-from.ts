import type { PointName } from '../body/index.ts';
import type { Ms } from '../units.ts';
import { pointMeasureOf, type PointMeasure } from './of-points.ts';
import type { CheckpointId } from '../technique/index.ts';
import { steadyFilm, type FollowedFilm } from './followed-film.ts';
import type { MeasurableStrike } from './measurable-strike.ts';
import { seenFrom, trialOf } from './calibration.ts';
import type { Pass, Steadiness } from './seen.ts';

/** What a measure looks at: which points, and from when to when. */
export interface ReadFrom {
  points: readonly PointName[];
  from: Ms;
  to: Ms;
  /** Of whoever holds, and not of whoever strikes. */
  ofHolder: boolean;
  pass: Pass;
  steadiness: Steadiness;
}

/** Looks over the shoulder of a measure: what it reads on this strike; undefined where it is not read from points. */
export function readFrom(strike: MeasurableStrike, checkpoint: CheckpointId): ReadFrom | undefined {
  const measure = pointMeasureOf(checkpoint);
  const read = measure && bestReadOf(strike, checkpoint, measure);
  return read && whatIsRead(read, measure);
}
/** Of whom a measure is read; undefined where whoever holds was not followed. */
export function readOf(strike: MeasurableStrike, { of }: Pick<PointMeasure, 'of'>): MeasurableStrike | undefined {
  if (of === 'holder') return strike.held;
  return of === 'both' && !strike.held ? undefined : strike;
}

/** The same by the points of a second pass, where there was one and trials say that it tells more of this, and as steady as tells most. */
export function bestReadOf(
  strike: MeasurableStrike,
  checkpoint: CheckpointId,
  measure: Pick<PointMeasure, 'of'>,
): MeasurableStrike | undefined {
  const one = readOf(strike, measure);
  if (!one) return undefined;
  const seen = seenFrom(one.sight);
  const second = one.again && trialOf(checkpoint, seen, 'second');
  return second ? one.again!.steady(second.steadiness) : one.steady(trialOf(checkpoint, seen)?.steadiness ?? 'found');
}

/** The film as the body was followed in it that something is read of. */
export function bodyRead(film: FollowedFilm, read: Omit<ReadFrom, 'points' | 'from' | 'to'> | undefined): FollowedFilm {
  if (!read) return film;
  const { ofHolder, pass, steadiness } = read;
  const of = (ofHolder ? film.holder : pass === 'second' ? film.again : film) ?? film;
  return steadyFilm(of, steadiness);
}

/** What a measure looks at of whom it is read of. */
export function whatIsRead({ sight, pass, steadiness }: MeasurableStrike, measure: PointMeasure): ReadFrom | undefined {
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
  return points.size === 0 ? undefined : { points: [...points], from, to, ofHolder: measure.of === 'holder', pass, steadiness };
}
