import type { Seconds } from '@wax-fist/core/units';
import { jointNames } from '../body/skeleton.ts';
import { cameraAt, projected } from '../camera.ts';
import type { Performance } from '../motion/thrown-round.ts';
import type { Scene, SceneCamera } from '../scene.ts';

/** One more picture for every so many pixels that something moves while the shutter is open. */
const pixelsApart = 7;
const most = 6;

/** The moments whose pictures make up a frame: one where nothing moves or the shutter is only just open. Seconds of the round. */
export function exposuresOf(scene: Scene, camera: SceneCamera, round: Performance, seconds: Seconds): Seconds[] {
  const open = (camera.exposure ?? 0) / camera.frameRate;
  if (open === 0) return [seconds];
  const seen = (at: number): [number, number][] => {
    const { joints } = round.bodyAt(at);
    const lens = cameraAt(camera, scene, at);
    return jointNames.map((name) => projected(joints[name], lens, camera));
  };
  const [from, to] = [seen(seconds - open / 2), seen(seconds + open / 2)];
  const furthest = Math.max(...from.map(([x, y], index) => Math.hypot(to[index]![0] - x, to[index]![1] - y)));
  const count = Math.max(1, Math.min(most, Math.ceil(furthest / pixelsApart)));
  if (count === 1) return [seconds];
  return Array.from({ length: count }, (_, index) => seconds - open / 2 + (open * (index + 0.5)) / count);
}
