import { numbersOfFrame, numbersOfPoint, pointNames, type Track } from '@wax-fist/core/body';
import type { PerspectiveCamera } from 'three';
import { jointAt } from '../simulator/body/model-points.ts';
import type { Body } from '../simulator/body/skeleton.ts';
import { projected } from '../simulator/camera.ts';
import type { SceneCamera } from '../simulator/scene.ts';

/** Writes into a frame of a track where the points of a body truly are. @param off by how much each number is put off */
export function putTruePoints(
  track: Track,
  frame: number,
  joints: Body['joints'],
  [lens, camera]: readonly [PerspectiveCamera, SceneCamera],
  off: () => number = () => 0,
): void {
  for (const [point, name] of pointNames.entries()) {
    const [x, y] = projected(jointAt(joints, name), lens, camera);
    track.values.set([x + off(), y + off(), 0, 1], frame * numbersOfFrame + point * numbersOfPoint);
  }
}
