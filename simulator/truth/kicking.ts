import { Vector3 } from 'three';
import { jointAngle } from '../body/skeleton.ts';
import { meetingPoint } from '../motion/plan/kick.ts';
import { degrees, fromLevel, middle, most, shoulderWidth, type Joints, type Seen } from './seen.ts';

/** A leg bent as far as this is folded, and one bent no further than that is straight. Degrees. */
const foldedKnee = 95;
const straightKnee = 110;

/** A kicker is turned to the side, so that leaning away is seen whichever way it goes. */
export function kickLean({ landed }: Seen): number {
  const trunk = middle(landed, 'Shoulder').sub(middle(landed, 'Hip'));
  return trunk.angleTo(new Vector3(0, 1, 0)) * degrees * (trunk.z < 0 ? -1 : 1);
}
/** How high the knee comes while the leg is folded; a leg that swings up straight never is, one that is half folded counts half. */
export function chamber({ during, part, ready, striking }: Seen): number {
  const kneeAngle = (joints: Joints): number =>
    jointAngle(joints[`${striking}Hip`], joints[`${striking}Knee`], joints[`${striking}Ankle`]);
  const folded = (joints: Joints): number =>
    Math.max(0, Math.min(1, (straightKnee - kneeAngle(joints)) / (straightKnee - foldedKnee)));
  return (
    most(during(part.launch, part.contact), (joints) => folded(joints) * joints[`${striking}Knee`].y) / middle(ready, 'Hip').y
  );
}
export const kneeLift = ({ landed, ready }: Seen): number => landed.leftKnee.y / middle(ready, 'Hip').y;
export const legTilt = ({ landed, striking }: Seen): number => fromLevel(landed[`${striking}Knee`], landed[`${striking}Ankle`]);
/** Of the last tenth of the way in, where the path of the shin has its direction. */
export function shinPath({ at, landed, part, striking }: Seen): number {
  const from = at(part.contact - (part.contact - part.launch) * 0.1)[`${striking}Ankle`];
  const to = landed[`${striking}Ankle`];
  return Math.abs(fromLevel(from, to));
}
/** How far it goes on past where it met, across for a round kick, forward for a straight one. */
export function kickThrough({ during, landed, part, striking }: Seen): number {
  const { model } = part;
  if (model.kind !== 'kick') return 0;
  const point = (joints: Joints): Vector3 => meetingPoint({ joints }, striking, model);
  const way = model.way === 'straight' ? new Vector3(0, 0, 1) : new Vector3(striking === 'right' ? 1 : -1, 0, 0);
  return (
    most(during(part.contact, part.leave + (part.home - part.leave) * 0.3), (joints) =>
      point(joints).sub(point(landed)).dot(way),
    ) / shoulderWidth(landed)
  );
}
/** From the hip to what meets, of the length of the leg as far as there: how straight it is. */
export function legReach({ landed, part, striking }: Seen): number {
  const { model } = part;
  if (model.kind !== 'kick') return 0;
  const [hip, knee, point] = [
    landed[`${striking}Hip`],
    landed[`${striking}Knee`],
    meetingPoint({ joints: landed }, striking, model),
  ];
  return hip.distanceTo(point) / (hip.distanceTo(knee) + knee.distanceTo(point));
}
