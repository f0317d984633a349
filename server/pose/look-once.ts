import { emptyTrack, pointAt, pointIn, type Picture, type PointName } from '@wax-fist/core/body';
import type { CameraPicture } from '@wax-fist/core/setup';
import type { Px, Ratio } from '@wax-fist/core/units';
import { mean } from 'd3-array';
import type { SeenBody } from './pose-work.ts';
import { inPoseThread } from './film-points.ts';

/** How bright a part of a picture is, from 0 to 1: the mean of its pixels, green weighing most (ITU-R BT.601). */
function brightnessOf({ width, rgb }: Picture, from: readonly [Px, Px], to: readonly [Px, Px]): Ratio {
  let [sum, count] = [0, 0];
  for (let y = from[1]; y < to[1]; y++)
    for (let x = from[0]; x < to[0]; x++, count++) {
      const at = (y * width + x) * 3;
      sum += 0.299 * rgb[at]! + 0.587 * rgb[at + 1]! + 0.114 * rgb[at + 2]!;
    }
  return count === 0 ? 0 : sum / count / 255;
}
const trunk: readonly PointName[] = ['leftShoulder', 'rightShoulder', 'leftHip', 'rightHip'];

/** Looks for the body in one picture, and how light it is. */
export async function lookAtPicture(picture: Picture): Promise<CameraPicture> {
  const { width, height } = picture;
  const { points, bodies } = await inPoseThread<SeenBody>('lookOnce', { picture });
  const brightness = brightnessOf(picture, [0, 0], [width, height]);
  if (!points) return { width, height, point: undefined, bodies: 0, brightness, bodyBrightness: brightness };
  const track = emptyTrack(0, 1);
  track.values.set(points);
  const point = (name: PointName) => pointIn(track, 0, pointAt[name])!;
  const clamped = (value: number, most: Px): Px => Math.round(Math.min(most, Math.max(0, value)));
  const across = trunk.map((name) => point(name).x);
  const down = trunk.map((name) => point(name).y);
  // Seen from the side a trunk is narrow: some room on both sides belongs to it.
  const half = Math.max((Math.max(...across) - Math.min(...across)) / 2, (Math.max(...down) - Math.min(...down)) / 6);
  const middle = mean(across)!;
  const bodyBrightness = brightnessOf(
    picture,
    [clamped(middle - half, width), clamped(Math.min(...down), height)],
    [clamped(middle + half, width), clamped(Math.max(...down), height)],
  );
  return { width, height, point, bodies: Math.max(1, bodies), brightness, bodyBrightness };
}
