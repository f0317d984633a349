import type { BodySide } from '@wax-fist/core/body';
import { jointAngle } from '../body/skeleton.ts';
import { degrees, footAngle, footLength, headHeight, middle, shoulderWidth, torso, type Joints, type Seen } from './seen.ts';

const sides: readonly BodySide[] = ['left', 'right'];

export const stanceWidth = (joints: Joints): number => Math.abs(joints.leftAnkle.x - joints.rightAnkle.x) / shoulderWidth(joints);
export const stanceLength = (joints: Joints): number => Math.abs(joints.leftAnkle.z - joints.rightAnkle.z) / torso(joints);
/** The lower of the two fists over the chin. */
export const guardHeight = (joints: Joints): number =>
  Math.min(...sides.map((side) => joints[`${side}Knuckles`].y - joints.chin.y)) / headHeight(joints);
export const heelHeight = (joints: Joints, side: BodySide): number =>
  (joints[`${side}Heel`].y - joints[`${side}Toe`].y) / footLength(joints, side);
/** The leg that is bent less. */
export const kneeAngle = (joints: Joints): number =>
  Math.max(...sides.map((side) => jointAngle(joints[`${side}Hip`], joints[`${side}Knee`], joints[`${side}Ankle`])));
/** Of the elbow that is further out: how far the upper arm hangs sideways, away from the body as the front sees it. */
export const elbowFlare = (joints: Joints): number =>
  Math.max(
    ...sides.map((side) => {
      const line = joints[`${side}Elbow`].clone().sub(joints[`${side}Shoulder`]);
      return Math.atan2((side === 'left' ? 1 : -1) * line.x, -line.y) * degrees;
    }),
  );
/** How far the chin is raised from level. */
export function headPitch(joints: Joints): number {
  const line = joints.nose.clone().sub(middle(joints, 'Ear'));
  return Math.atan2(line.y, Math.hypot(line.x, line.z)) * degrees;
}
export const rearFootAngle = ({ ready }: Seen): number => Math.abs(footAngle(ready, 'right'));
/** How much of the base the other foot is in front by; a swap is complete when the rear foot leads. */
export const leadOrder = ({ ready, landed }: Seen): number =>
  (landed.rightAnkle.z - landed.leftAnkle.z) / (ready.leftAnkle.z - ready.rightAnkle.z);
