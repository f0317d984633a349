import type { PointName } from '../body/index.ts';
import type { Ms } from '../units.ts';
import { pointMeasureOf } from './of-points.ts';
import type { CheckpointId } from '../technique/index.ts';
import type { MeasurableStrike } from './measurable-strike.ts';

/** What a measure looks at: which points, and from when to when. */
export interface ReadFrom {
  points: readonly PointName[];
  from: Ms;
  to: Ms;
}

/** Looks over the shoulder of a measure: what it reads on this strike; undefined where it is not read from points. */
export function readFrom({ sight }: MeasurableStrike, checkpoint: CheckpointId): ReadFrom | undefined {
  const measure = pointMeasureOf(checkpoint);
  if (!measure) return undefined;
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
  return points.size === 0 ? undefined : { points: [...points], from, to };
}
