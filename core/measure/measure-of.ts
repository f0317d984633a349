import type { FrameTimeline } from '../film/index.ts';
import type { StrikeMoments } from '../strikes/index.ts';
import { isMeasureId, type Checkpoint } from '../technique/index.ts';
import type { MeasurableStrike } from './measurable-strike.ts';
import { measureByPoints } from './measured-points.ts';
import type { Measured } from './measured.ts';
import { measuresOfRounds, type MarkedRound } from './of-rounds.ts';
import { measuresOfMoments } from './timing.ts';
import { secondTrials } from './second-trials.ts';
import { trials } from './trials.ts';
import type { Widenings } from './widening.ts';

/**
 * What can be measured of a checkpoint on one strike; undefined where nothing tells of it.
 * @param points the strike as it is seen, where the body was followed
 * @param round the round that it is in, where what a round tells as a whole is asked for as well
 */
export function measureOf(
  timeline: FrameTimeline,
  strike: StrikeMoments,
  points: MeasurableStrike | undefined,
  { id, measure }: Pick<Checkpoint, 'id' | 'measure'>,
  round?: MarkedRound,
): Measured | undefined {
  const ofRound = isMeasureId(measure) ? measuresOfRounds[measure] : undefined;
  if (ofRound) return round && ofRound(round);
  const read = isMeasureId(measure) ? measuresOfMoments[measure] : undefined;
  return read ? read(timeline, points?.strike ?? strike, points?.doubts) : points && measureByPoints(points, id);
}

/**
 * Changes whenever what is measured comes out otherwise: with every new trial, and with what checks of points say. FNV-1a of 32 bits
 * (Fowler, Noll and Vo 1991).
 */
export const measuresVersion = (widenings: Widenings): string =>
  Array.from(
    JSON.stringify([
      trials,
      secondTrials,
      widenings.all,
      Object.entries(widenings.of).sort(([one], [other]) => (one < other ? -1 : 1)),
    ]),
  )
    .reduce((hash, letter) => Math.imul(hash ^ letter.charCodeAt(0), 0x01000193), 0x811c9dc5 | 0)
    .toString(36);
