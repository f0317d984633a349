import { measures } from '@wax-fist/core/technique';
import type { Seconds } from '@wax-fist/core/units';
import type { Vector3 } from 'three';
import { jointAngle } from '../body/skeleton.ts';
import { meetingPoint } from '../motion/plan/kick.ts';
import type { ThrownPart, ThrownStrike } from '../motion/thrown-round.ts';
import {
  balance,
  before,
  degrees,
  fastest,
  footAngle,
  forearm,
  fromLevel,
  headHeight,
  headWidth,
  heading,
  middle,
  inMilliseconds,
  most,
  shoulderWidth,
  torso,
  turnBetween,
  type Joints,
  type Seen,
} from './seen.ts';

const wrist = ({ striking }: Seen, joints: Joints): Vector3 => joints[`${striking}Wrist`];
const onBody = (seen: Seen, joints: Joints): Vector3 => wrist(seen, joints).clone().sub(middle(joints, 'Hip'));
const armLength = ({ landed, striking }: Seen): number =>
  landed[`${striking}Shoulder`].distanceTo(landed[`${striking}Elbow`]) + forearm(landed, striking);
const chestHeading = (joints: Joints): number => heading(joints.leftShoulder, joints.rightShoulder);
const hipHeading = (joints: Joints): number => heading(joints.leftHip, joints.rightHip);

export function trunkLean({ landed, part, round }: Seen): number {
  const facing = round.facingAt(part.contact) / degrees;
  const trunk = middle(landed, 'Shoulder').sub(middle(landed, 'Hip'));
  return Math.atan2(trunk.z * Math.cos(facing) + trunk.x * Math.sin(facing), trunk.y) * degrees;
}
export const trueSnapRatio = ({ part: { launch, contact, home } }: Seen): number => (home - contact) / (contact - launch);
/** Against the head, so that whoever changes level is not said to drop the hand. */
export function otherHandDrop({ ready, idle, part, during }: Seen): number {
  const underChin = (joints: Joints): number => joints.chin.y - joints[`${idle}Wrist`].y;
  return (most(during(part.launch, part.home), underChin) - underChin(ready)) / headHeight(ready);
}
export const headOffset = (joints: Joints, { ready }: Seen): number =>
  Math.abs(joints.nose.x - middle(ready, 'Ankle').x) / headWidth(ready);
export function baseFraction({ landed }: Seen): number {
  const [front, rear] =
    landed.leftAnkle.z > landed.rightAnkle.z ? [landed.leftAnkle, landed.rightAnkle] : [landed.rightAnkle, landed.leftAnkle];
  return (balance(landed).z - rear.z) / (front.z - rear.z);
}
export const elbowAngle = ({ landed, striking }: Seen): number =>
  jointAngle(landed[`${striking}Shoulder`], landed[`${striking}Elbow`], landed[`${striking}Wrist`]);
export const reachUse = (seen: Seen): number =>
  seen.landed[`${seen.striking}Shoulder`].distanceTo(wrist(seen, seen.landed)) / armLength(seen);
/** How far the legs have sunk when it is launched. */
export function loadedKnee({ at, part, striking }: Seen): number {
  const joints = at(part.launch);
  return jointAngle(joints[`${striking}Hip`], joints[`${striking}Knee`], joints[`${striking}Ankle`]);
}
export const forearmTilt = (seen: Seen): number => fromLevel(seen.landed[`${seen.striking}Elbow`], wrist(seen, seen.landed));
/** Off the line between two places, sideways as the front sees it. */
export function pathDeviation(seen: Seen): number {
  const { at, during, landed, part } = seen;
  const [from, to] = [wrist(seen, at(part.launch)), wrist(seen, landed)];
  const way = from.distanceTo(to);
  const aside = (point: Vector3): number => {
    const share = point.clone().sub(from).dot(to.clone().sub(from)) / way ** 2;
    return Math.abs(point.x - from.x - (to.x - from.x) * share);
  };
  return most(during(part.launch, part.contact), (joints) => aside(wrist(seen, joints))) / way;
}
export function returnDrop(seen: Seen): number {
  const { at, during, landed, part, striking } = seen;
  const [to, back] = [wrist(seen, landed), wrist(seen, at(part.home))];
  const line = back.clone().sub(to);
  const under = (point: Vector3): number => {
    const share = Math.max(0, Math.min(1, point.clone().sub(to).dot(line) / line.lengthSq()));
    return to.y + line.y * share - point.y;
  };
  return most(during(part.leave, part.home), (joints) => under(wrist(seen, joints))) / forearm(landed, striking);
}
/** How far the hand that struck is, once it is home, from where it was ready: against the chin, in heads. */
export function homeMiss({ at, ready, part, striking }: Seen): number {
  const fromChin = (joints: Joints): Vector3 => joints[`${striking}Wrist`].clone().sub(joints.chin);
  return fromChin(at(part.home)).distanceTo(fromChin(ready)) / headHeight(ready);
}
/** Where a hand and a shoulder cover nothing any more, over and under the chin, in heads. */
const [handOpen, shoulderOpen] = [measures['guard-height'].band!.clean[0]!, measures['shoulder-chin'].band!.clean[1]!];
/** How long nothing covers the chin, from launch to home. */
export function exposureTime({ during, part, striking, idle }: Seen): number {
  const all = during(part.launch, part.home);
  const uncovered = all.filter((joints) => {
    const head = headHeight(joints);
    return (
      joints[`${idle}Knuckles`].y - joints.chin.y < handOpen * head &&
      joints.chin.y - joints[`${striking}Shoulder`].y > shoulderOpen * head
    );
  });
  return (uncovered.length / all.length) * inMilliseconds(part.launch, part.home);
}
/** A switch or a step off the line is no telegraph: what counts is what comes before it. */
const begins = (strike: ThrownStrike, part: ThrownPart): number =>
  part.model.kind === 'kick' && part === strike.parts[0] ? strike.begins : part.launch;
const early = ({ during, part, strike }: Seen): Joints[] => during(begins(strike, part) - before, begins(strike, part));
export function preMove(seen: Seen): number {
  const rest = onBody(seen, seen.at(begins(seen.strike, seen.part) - before));
  const wrongWay = (joints: Joints): number => {
    const now = onBody(seen, joints);
    return Math.hypot(Math.max(0, rest.z - now.z), Math.max(0, rest.y - now.y));
  };
  return most(early(seen), wrongWay) / forearm(seen.landed, seen.striking);
}
export function windUp(seen: Seen): number {
  const rest = onBody(seen, seen.at(seen.part.launch - before)).x;
  return most(early(seen), (joints) => (onBody(seen, joints).x - rest) * seen.outwards) / forearm(seen.landed, seen.striking);
}
/** Fist past the line of attack. */
export function overrun({ during, landed, part, striking, outwards }: Seen): number {
  const past = most(during(part.contact, part.home), (joints) => -joints[`${striking}Knuckles`].x * outwards);
  return Math.max(0, past) / shoulderWidth(landed);
}
/** Part of the head's fall that the hips share; undefined where the head hardly falls. */
export function legsShare({ ready, landed }: Seen): number | undefined {
  const head = ready.nose.y - landed.nose.y;
  return head > 0.05 ? (middle(ready, 'Hip').y - middle(landed, 'Hip').y) / head : undefined;
}
/** Gap between chin and the shoulder that covers it. */
export const shoulderChin = ({ landed, striking }: Seen): number =>
  (landed.chin.y - landed[`${striking}Shoulder`].y) / headHeight(landed);
export const wristBend = ({ landed, striking }: Seen): number => {
  const hand = landed[`${striking}Knuckles`].clone().sub(landed[`${striking}Wrist`]);
  return (hand.angleTo(landed[`${striking}Wrist`].clone().sub(landed[`${striking}Elbow`])) || 0) * degrees;
};
/** From the furthest wound up to the furthest turned in. */
export function shoulderTurn({ during, part }: Seen): number {
  const turns = during(part.launch - (part.model.kind === 'kick' ? 0.02 : 0.16), part.contact).map(chestHeading);
  const away = turns.map((turn) => turnBetween(turns.at(-1)!, turn));
  return Math.max(...away) - Math.min(...away);
}
/** Time within 3% of the furthest point. */
export function dwell(seen: Seen): number {
  const { part } = seen;
  const forward = (seconds: Seconds): number => wrist(seen, seen.at(seconds)).z;
  const [from, to] = [part.contact - 0.1, part.home];
  const times = Array.from({ length: Math.round((to - from) * 500) }, (_, step) => from + step / 500);
  const furthest = most(times, forward);
  const near = furthest - 0.03 * (furthest - forward(part.launch));
  return times.filter((seconds) => forward(seconds) >= near).length * 2;
}
const speedOf =
  (seen: Seen, place: (joints: Joints) => Vector3) =>
  (seconds: Seconds): number =>
    place(seen.at(seconds + 0.004)).distanceTo(place(seen.at(seconds - 0.004)));
/** Between the fastest moments of hip and fist. */
export function hipFistLag(seen: Seen): number {
  const { part, at } = seen;
  const [from, to] = [part.launch - 0.1, part.contact + 0.2];
  const hip = fastest(from, to, (seconds) =>
    Math.abs(turnBetween(hipHeading(at(seconds - 0.004)), hipHeading(at(seconds + 0.004)))),
  );
  return inMilliseconds(
    fastest(
      from,
      part.contact,
      speedOf(seen, (joints) => wrist(seen, joints)),
    ),
    hip,
  );
}
/**
 * Between half of the rear elbow's way and half of the rear knee's turn. A knee points where its foot points, and half-way moments,
 * unlike peaks of speed, neither jump nor mind a step that is taken meanwhile.
 */
export function kneeElbowLag({ part, at }: Seen): number {
  const from = part.launch - 0.04;
  const half = (until: number, way: (joints: Joints) => number): number => {
    const times = Array.from({ length: Math.ceil((until - from) / 0.004) }, (_, step) => from + step * 0.004);
    const gone = times.map((seconds) => way(at(seconds)));
    return times[gone.findIndex((value) => value >= Math.max(...gone) / 2)]!;
  };
  const onHips = (joints: Joints): Vector3 => joints.rightElbow.clone().sub(middle(joints, 'Hip'));
  const elbow = half(part.contact, (joints) => onHips(joints).distanceTo(onHips(at(from))));
  const knee = half(part.leave + 0.2, (joints) =>
    Math.abs(turnBetween(footAngle(at(from), 'right'), footAngle(joints, 'right'))),
  );
  return inMilliseconds(elbow, knee);
}
export const footPivot = ({ at, landed, part, ready }: Seen, side: 'left' | 'right'): number =>
  Math.abs(turnBetween(footAngle(part.model.kind === 'kick' ? at(part.launch - 0.02) : ready, side), footAngle(landed, side)));
/** How far the ball of the rear foot slides; its heel turns, which is no slide. */
export const rearSlide = ({ at, landed, part }: Seen): number =>
  Math.abs(landed.rightToe.z - at(part.launch).rightToe.z) / landed.rightHeel.distanceTo(landed.rightToe);
/** A hand that leaves the body's own frame. */
export const handTravel = (seen: Seen): number =>
  onBody(seen, seen.landed).distanceTo(onBody(seen, seen.ready)) / forearm(seen.landed, seen.striking);
export const fistElbow = (seen: Seen): number =>
  (wrist(seen, seen.landed).y - seen.landed[`${seen.striking}Elbow`].y) / forearm(seen.landed, seen.striking);
export const hipTravel = ({ at, landed, part }: Seen): number =>
  (middle(landed, 'Hip').z - middle(at(part.launch), 'Hip').z) / torso(landed);
/** How high it lands over the hips as they stood, in trunks. */
export function landingHeight({ landed, part, ready, striking }: Seen): number {
  const { model } = part;
  const point = model.kind === 'kick' ? meetingPoint({ joints: landed }, striking, model) : landed[`${striking}Knuckles`];
  return (point.y - middle(ready, 'Hip').y) / torso(ready);
}
