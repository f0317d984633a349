import { turnOfView } from '@wax-fist/core/technique';
import type { Seconds } from '@wax-fist/core/units';
import { PerspectiveCamera, Vector3 } from 'three';
import { referenceStature } from './body/skeleton.ts';
import { isHeld } from './motion/station.ts';
import type { Scene, SceneCamera, SceneView } from './scene.ts';

/** Somebody who holds stands in the way of what is in front: it is filmed from further round, and both are in the picture. */
const besideHolder: Partial<Record<SceneView, number>> = { front: -50, quarter: -68 };

const usualFieldOfView = 33;

/** Where the camera is and what it sees at a moment; its shake is slow and smooth, like two hands and a breath. */
export function cameraAt(
  plan: SceneCamera,
  { stance, stature, station }: Pick<Scene, 'stance' | 'stature' | 'station'>,
  seconds: Seconds,
): PerspectiveCamera {
  const camera = new PerspectiveCamera(plan.fieldOfView ?? usualFieldOfView, plan.pictureWidth / plan.pictureHeight, 0.1, 40);
  const leadSide = stance === 'orthodox' ? 1 : -1;
  const held = station !== undefined && isHeld(station);
  const round = ((held ? besideHolder[plan.view] : undefined) ?? turnOfView[plan.view]) + (plan.turned ?? 0);
  const turn = (leadSide * round * Math.PI) / 180;
  const size = stature / referenceStature;
  const wave = (hertz: number, phase: number): number => Math.sin(2 * Math.PI * hertz * seconds + phase);
  const shake = plan.shake * 0.012;
  const middle = new Vector3(0, 0.86 * size, held ? 0.62 : plan.view.endsWith('side') ? 0.42 : 0.3);
  camera.position.set(
    middle.x + Math.sin(turn) * plan.distance + shake * 0.6 * wave(0.23, 1),
    plan.height + shake * 0.6 * wave(0.31, 2),
    middle.z + Math.cos(turn) * plan.distance,
  );
  middle.x += shake * (wave(0.47, 0) + 0.5 * wave(1.3, 3));
  middle.y += shake * (wave(0.39, 4) + 0.5 * wave(1.7, 5));
  middle.z += shake * wave(0.53, 6);
  camera.lookAt(middle);
  camera.rotateZ(plan.shake * 0.004 * wave(0.29, 7) + ((plan.roll ?? 0) * Math.PI) / 180);
  if (plan.aim) {
    camera.translateX(plan.aim.x);
    camera.translateY(plan.aim.y);
  }
  camera.updateMatrixWorld();
  camera.updateProjectionMatrix();
  return camera;
}

/** Where a point of the room falls in the picture, in pixels from the upper left corner. */
export function projected(point: Vector3, camera: PerspectiveCamera, plan: SceneCamera): [number, number] {
  const onScreen = point.clone().project(camera);
  return [((onScreen.x + 1) / 2) * plan.pictureWidth, ((1 - onScreen.y) / 2) * plan.pictureHeight];
}
