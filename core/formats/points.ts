import { emptyTrack, numbersOfFrame, numbersOfPoint, pointIn, pointNames, type Track } from '../body/index.ts';
import { timeOf, type FrameTimeline } from '../film/index.ts';
import type { Px } from '../units.ts';

/** What the points of a film come to as JSON; written down in `docs/points.md`. */
export interface PointsDocument {
  format: 'wax-fist-points';
  version: 1;
  film: string;
  /** Which model has found them, where one has. */
  model?: string;
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
  about: Pick<PointsDocument, 'film' | 'model' | 'width' | 'height'>,
): PointsDocument => ({
  ...{ format: 'wax-fist-points', version: 1, ...about, points: pointNames },
  frames: Array.from(timeline, (_, frame) => {
    const found = pointNames.map((__, point) => pointIn(track, frame, point));
    const points = found.flatMap((point) =>
      point ? [...[point.x, point.y, point.depth].map((value) => rounded(value, tenths)), rounded(point.seen, hundredths)] : [],
    );
    const all = found.every((point) => point !== undefined);
    return { time: rounded(timeOf(timeline, frame), tenths), points: all ? points : null };
  }),
});

const isPoints = (said: unknown): said is PointsDocument => {
  const { format, version, width, points, frames } = (said ?? {}) as Partial<Record<keyof PointsDocument, unknown>>;
  return (
    format === 'wax-fist-points' &&
    version === 1 &&
    Number(width) > 0 &&
    JSON.stringify(points) === JSON.stringify(pointNames) &&
    Array.isArray(frames) &&
    frames.every(isFrame)
  );
};
function isFrame(said: unknown): said is PointsDocument['frames'][number] {
  const { points } = (said ?? {}) as { points?: unknown };
  return points === null || (Array.isArray(points) && points.length === numbersOfFrame && points.every(Number.isFinite));
}

/**
 * The track that such a document tells of, from the first frame on, in pixels of a picture that is so wide; undefined where it is none,
 * or one that a later version wrote.
 */
export function trackOfPoints(said: unknown, width: Px): Track | undefined {
  if (!isPoints(said)) return undefined;
  const track = emptyTrack(0, said.frames.length);
  const scale = width / said.width;
  for (const [frame, { points }] of said.frames.entries()) {
    const inPixels = points?.map((number, place) => (place % numbersOfPoint < 3 ? scale * number : number));
    if (inPixels) track.values.set(inPixels, frame * numbersOfFrame);
  }
  return track;
}
