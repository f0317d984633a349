import type { Seconds } from '@wax-fist/core/units';
import { seededRandom } from './random.ts';
import type { Scene, SceneCamera } from './scene.ts';

/** Seconds of the round at a moment of the camera's own clock, which begins when the camera does and may run a little fast. */
export const roundTime = ({ starts = 0, drift = 0 }: SceneCamera, own: Seconds): Seconds => starts + own / (1 + drift);

/** The camera's own clock at a moment of the round. */
export const cameraTime = ({ starts = 0, drift = 0 }: SceneCamera, seconds: Seconds): Seconds => (seconds - starts) * (1 + drift);

/** Seconds for which a camera films a round that is so long. */
export const filmedSeconds = ({ starts = 0, drift = 0 }: SceneCamera, round: Seconds): Seconds =>
  Math.max(0, (round - starts) * (1 + drift));

/** When its frames are taken, in seconds of the camera's own clock: evenly, or as a phone does. */
export function frameMoments(scene: Scene, camera: SceneCamera, seconds: Seconds): Seconds[] {
  const even = Array.from({ length: Math.floor(seconds * camera.frameRate) }, (_, index) => index / camera.frameRate);
  const { uneven = 0 } = camera;
  if (uneven === 0) return even;
  const random = seededRandom(scene.seed + 77);
  // Never two frames in the wrong order: each is late by less than half of the distance.
  return even.map((moment, index) => (index === 0 ? 0 : moment + (random.next() * uneven * 0.5) / camera.frameRate));
}
