import type { PointName } from '@wax-fist/core/body';
import type { Body } from './skeleton.ts';

type Joints = Body['joints'];

/** Where the pose model would see a point of a body; what the simulated body has no joint for is put where it is looked for. */
export function jointAt(joints: Joints, name: PointName): Joints[keyof Joints] {
  const side = name.startsWith('left') ? 'left' : 'right';
  if (name in joints) return joints[name as keyof Joints];
  if (/Knuckle|Thumb/.test(name)) return joints[`${side}Knuckles`];
  // The chin is looked for below the mouth, nine tenths of the way from the nose to there.
  if (name.endsWith('Mouth')) return joints.chin.clone().addScaledVector(joints.nose, 0.9).divideScalar(1.9);
  return joints[`${side}Eye`];
}
