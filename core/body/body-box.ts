import type { FrameIndex, Px, Ratio } from '../units.ts';
import { pointCount } from './points.ts';
import { pointIn, type Track } from './track.ts';

/** A body is larger than its points: by so much of what they span, on every side. */
const margin: Ratio = 0.08;

/** Where a body is in a picture: whole pixels, within it. Undefined where nobody was found, or only outside of it. */
export function bodyBox(
  track: Track,
  frame: FrameIndex,
  picture: { width: Px; height: Px },
): { x: Px; y: Px; width: Px; height: Px } | undefined {
  const points = Array.from({ length: pointCount }, (_, point) => pointIn(track, frame, point)).filter(
    (one) => one !== undefined,
  );
  if (points.length === 0) return undefined;
  const span = (axis: 'x' | 'y', end: Px): [from: Px, to: Px] => {
    const values = points.map((point) => point[axis]);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const room = margin * (high - low);
    const within = (value: Px): Px => Math.max(0, Math.min(end, value));
    return [Math.floor(within(low - room)), Math.ceil(within(high + room))];
  };
  const [[left, right], [top, bottom]] = [span('x', picture.width), span('y', picture.height)];
  return right > left && bottom > top ? { x: left, y: top, width: right - left, height: bottom - top } : undefined;
}
