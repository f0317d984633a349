import { pointIn, pointNames, type Track } from '../body/index.ts';
import { timeOf, type FrameTimeline } from '../film/index.ts';
import type { Px } from '../units.ts';

/** What the points of a film come to as JSON; written down in `docs/points.md`. */
export interface PointsDocument {
  format: 'wax-fist-points';
  version: 1;
  film: string;
  /** Pixels of the picture in which they lie. */
  width: Px;
  height: Px;
  /** In this order they stand in every frame. */
  points: readonly string[];
  /** Of each frame its time in milliseconds and, where somebody was found, x, y, depth and how far it is seen of every point. */
  frames: { time: number; points: number[] | null }[];
}

const [tenths, hundredths] = [10, 100];
const rounded = (value: number, parts: number): number => Math.round(value * parts) / parts + 0;

/** Where the body was in every frame of a film. */
export const pointsDocument = (
  track: Track,
  timeline: FrameTimeline,
  { film, width, height }: Pick<PointsDocument, 'film' | 'width' | 'height'>,
): PointsDocument => ({
  ...{ format: 'wax-fist-points', version: 1, film, width, height, points: pointNames },
  frames: Array.from(timeline, (_, frame) => {
    const found = pointNames.map((__, point) => pointIn(track, frame, point));
    const points = found.flatMap((point) =>
      point ? [...[point.x, point.y, point.depth].map((value) => rounded(value, tenths)), rounded(point.seen, hundredths)] : [],
    );
    const all = found.every((point) => point !== undefined);
    return { time: rounded(timeOf(timeline, frame), tenths), points: all ? points : null };
  }),
});
