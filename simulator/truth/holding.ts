import { bodySides } from '@wax-fist/core/body';
import { degrees, middle, torso, type Seen } from './seen.ts';

/** How far the nearer pad hand of whoever holds is ahead of their own nose at contact, in their trunks; undefined where nobody holds. */
export function headClear({ round, part }: Seen): number | undefined {
  const joints = round.holder?.bodyAt(part.contact).joints;
  // Whoever holds looks against the way of the strike.
  return joints && Math.min(...bodySides.map((side) => joints.nose.z - joints[`${side}Wrist`].z)) / torso(joints);
}

/** The trunk of whoever holds from upright at contact, towards whoever strikes, in degrees; undefined where nobody holds. */
export function holderLean({ round, part }: Seen): number | undefined {
  const joints = round.holder?.bodyAt(part.contact).joints;
  const trunk = joints && middle(joints, 'Shoulder').sub(middle(joints, 'Hip'));
  return trunk && Math.atan2(-trunk.z, trunk.y) * degrees;
}
