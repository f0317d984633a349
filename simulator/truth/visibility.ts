import { Ray, Vector3, type PerspectiveCamera } from 'three';
import { referenceStature, type Body, type JointName } from '../body/skeleton.ts';
import { projected } from '../camera.ts';
import { bagFace, bagRadius } from '../motion/station.ts';
import type { Scene, SceneCamera } from '../scene.ts';

/** 0 outside of the picture, 1 hidden behind something, 2 seen. */
export type Visibility = 0 | 1 | 2;

/** Limbs and trunk as capsules that hide what is behind them. Radii in metres at the reference stature. */
const capsules: readonly { from: JointName; to: JointName; radius: number }[] = [
  { from: 'leftShoulder', to: 'leftHip', radius: 0.1 },
  { from: 'rightShoulder', to: 'rightHip', radius: 0.1 },
  { from: 'leftShoulder', to: 'rightHip', radius: 0.1 },
  { from: 'rightShoulder', to: 'leftHip', radius: 0.1 },
  { from: 'chin', to: 'crown', radius: 0.075 },
  ...(['left', 'right'] as const).flatMap((side): { from: JointName; to: JointName; radius: number }[] => [
    { from: `${side}Shoulder`, to: `${side}Elbow`, radius: 0.045 },
    { from: `${side}Elbow`, to: `${side}Wrist`, radius: 0.038 },
    { from: `${side}Wrist`, to: `${side}Knuckles`, radius: 0.055 },
    { from: `${side}Hip`, to: `${side}Knee`, radius: 0.07 },
    { from: `${side}Knee`, to: `${side}Ankle`, radius: 0.045 },
  ]),
];

/** What stands in the room apart from the trainee: bags as upright columns, a holder as another body. */
export interface Obstacles {
  columns: readonly { x: number; z: number; radius: number; from: number; to: number }[];
  others: readonly Body[];
}

/** What hides a joint is at least so much nearer to the camera. Metres. */
const nearer = 0.03;

export function obstaclesOf(scene: Scene, travel: number, holder: Body | undefined): Obstacles {
  const size = scene.stature / referenceStature;
  const hangs = scene.station === undefined || scene.station === 'heavy-bag' || scene.station === 'uppercut-bag';
  const bag = { x: 0, z: (bagFace + bagRadius + travel) * size, radius: bagRadius, from: 0.7, to: 1.86 };
  return { columns: hangs ? [bag] : [], others: holder ? [holder] : [] };
}

/** Whether the line from a camera to a point is crossed before it is there. */
function crossed(eye: Vector3, name: JointName, body: Body, { columns, others }: Obstacles, size: number): boolean {
  const point = body.joints[name];
  const way = point.distanceTo(eye);
  const ray = new Ray(eye, point.clone().sub(eye).normalize());
  const onRay = new Vector3();
  const behind = (of: Body): boolean =>
    capsules.some(({ from, to, radius }) => {
      // A joint lies inside of its own limb.
      if (of === body && (from === name || to === name)) return false;
      const away = Math.sqrt(ray.distanceSqToSegment(of.joints[from], of.joints[to], onRay));
      return away < radius * size && onRay.distanceTo(eye) < way - nearer;
    });
  if ([body, ...others].some(behind)) return true;
  return columns.some(({ x, z, radius, from, to }) => {
    const along =
      new Vector3(x, 0, z).sub(eye).setY(0).dot(ray.direction.clone().setY(0).normalize()) /
      Math.hypot(ray.direction.x, ray.direction.z);
    const nearest = eye.clone().addScaledVector(ray.direction, along);
    return (
      along > 0 && along < way - 0.05 && Math.hypot(nearest.x - x, nearest.z - z) < radius && nearest.y > from && nearest.y < to
    );
  });
}

/** How each of the wanted joints is seen by a camera at one moment. */
export function visibilityOf(
  body: Body,
  names: readonly JointName[],
  lens: PerspectiveCamera,
  plan: SceneCamera,
  around: Obstacles,
  size: number,
): Visibility[] {
  return names.map((name) => {
    const [x, y] = projected(body.joints[name], lens, plan);
    if (x < 0 || y < 0 || x >= plan.pictureWidth || y >= plan.pictureHeight) return 0;
    return crossed(lens.position, name, body, around, size) ? 1 : 2;
  });
}
