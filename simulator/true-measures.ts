import type { MeasureId } from '@wax-fist/core/technique';
import { Vector3 } from 'three';
import { jointAngle, type Body, type JointName, type Side } from './body/skeleton.ts';
import { kickModels } from './motion/kick.ts';
import type { Performance, ThrownStrike } from './motion/performance.ts';
import { strikeModels } from './motion/technique.ts';
import { isKick } from './motion/thrown.ts';

/** Long enough before the launch that nothing of the strike has begun. */
const before = 0.26;
const steps = 40;
/** A leg that is bent more than this has not opened yet. Degrees. */
const foldedKnee = 95;
const degrees = 180 / Math.PI;

type Joints = Body['joints'];
const middle = (joints: Joints, part: 'Hip' | 'Shoulder' | 'Ankle'): Vector3 =>
  joints[`left${part}`].clone().add(joints[`right${part}`]).multiplyScalar(0.5);
const torso = (joints: Joints): number => middle(joints, 'Shoulder').distanceTo(middle(joints, 'Hip'));
/** Chin to crown is about 0.45 of the torso: 0.130 and 0.288 of the stature after Drillis and Contini (1966). */
const headHeight = (joints: Joints): number => torso(joints) * 0.45;
const shoulderWidth = (joints: Joints): number => joints.leftShoulder.distanceTo(joints.rightShoulder);
const forearm = (joints: Joints, side: Side): number => joints[`${side}Elbow`].distanceTo(joints[`${side}Wrist`]);
const footAngle = (joints: Joints, side: Side): number => {
  const line = joints[`${side}Toe`].clone().sub(joints[`${side}Heel`]);
  return Math.atan2(line.x, line.z) * degrees;
};
const fromLevel = (from: Vector3, to: Vector3): number => Math.asin((to.y - from.y) / to.distanceTo(from)) * degrees;
/** Balance point: hips, shoulders and head with about the mass above and below them, after de Leva (1996). */
const balance = (joints: Joints): Vector3 =>
  middle(joints, 'Hip').multiplyScalar(0.55).addScaledVector(middle(joints, 'Shoulder'), 0.35).addScaledVector(joints.nose, 0.1);

/** Of a strike, seen by somebody who sees everything. Written for an orthodox trainee; a southpaw is the mirror image. */
export function trueMeasures(round: Performance, strike: ThrownStrike): Partial<Record<MeasureId, number>> {
  const { launch, contact, leave, home, technique } = strike;
  const at = (seconds: number): Joints => round.bodyAt(seconds).joints;
  const during = (from: number, to: number): Joints[] =>
    Array.from({ length: steps + 1 }, (_, step) => at(from + ((to - from) * step) / steps));
  const most = (list: readonly Joints[], value: (joints: Joints) => number): number => Math.max(...list.map(value));
  const [ready, landed] = [at(launch - before), at(contact)];
  const kick = isKick(technique);
  const striking: Side = (kick ? kickModels[technique].foot : strikeModels[technique].hand) === 'lead' ? 'left' : 'right';
  const idle: Side = striking === 'left' ? 'right' : 'left';
  const outwards = striking === 'left' ? 1 : -1;

  const trunk = middle(landed, 'Shoulder').sub(middle(landed, 'Hip'));
  const [front, rear] = landed.leftAnkle.z > landed.rightAnkle.z ? [landed.leftAnkle, landed.rightAnkle] : [landed.rightAnkle, landed.leftAnkle]; // prettier-ignore
  const underChin = (joints: Joints): number => joints.chin.y - joints[`${idle}Wrist`].y;
  // A kick is turned on the foot that stands, a strike on the one of its own side.
  const pivot: Side = kick ? idle : striking;
  const common: Partial<Record<MeasureId, number>> = {
    'snap-ratio': (home - contact) / (contact - launch),
    'trunk-lean': Math.atan2(trunk.z, trunk.y) * degrees,
    'foot-pivot': Math.abs(footAngle(landed, pivot) - footAngle(ready, pivot)),
    // Against the head, so that whoever changes level is not said to drop the hand.
    'other-hand-drop': (most(during(launch, home), underChin) - underChin(ready)) / headHeight(ready),
    'head-offset': Math.abs(landed.nose.x - middle(ready, 'Ankle').x) / (headHeight(ready) * 0.68),
  };
  if (kick) {
    const shin = (name: JointName): Vector3 => landed[name];
    // A kicker is turned to the side, so that leaning away is seen whichever way it goes.
    const tilt = trunk.angleTo(new Vector3(0, 1, 0)) * degrees * (trunk.z < 0 ? -1 : 1);
    const kneeAngle = (joints: Joints): number =>
      jointAngle(joints[`${striking}Hip`], joints[`${striking}Knee`], joints[`${striking}Ankle`]);
    const folded = during(launch, contact).filter((joints) => kneeAngle(joints) < foldedKnee);
    return {
      ...common,
      // How high the knee comes while the leg is still folded; a leg that swings up straight never is.
      'knee-height': Math.max(0, ...folded.map((joints) => joints[`${striking}Knee`].y)) / middle(ready, 'Hip').y,
      'trunk-lean': tilt,
      'leg-tilt': fromLevel(shin(`${striking}Knee`), shin(`${striking}Ankle`)),
    };
  }

  const wrist = (joints: Joints): Vector3 => joints[`${striking}Wrist`];
  const onBody = (joints: Joints): Vector3 => wrist(joints).clone().sub(middle(joints, 'Hip'));
  const [from, to] = [wrist(at(launch)), wrist(landed)];
  const way = from.distanceTo(to);
  /** Off the line between two places, sideways as the front sees it. */
  const aside = (point: Vector3): number => {
    const share = point.clone().sub(from).dot(to.clone().sub(from)) / way ** 2;
    return Math.abs(point.x - from.x - (to.x - from.x) * share);
  };
  const back = wrist(at(home));
  const under = (point: Vector3): number => {
    const line = back.clone().sub(to);
    const share = Math.max(0, Math.min(1, point.clone().sub(to).dot(line) / line.lengthSq()));
    return to.y + line.y * share - point.y;
  };
  const early = during(launch - before, launch);
  const rest = onBody(ready);
  // How far the legs have sunk when it is launched.
  const loaded = at(launch);
  const falls = { head: ready.nose.y - landed.nose.y, hips: middle(ready, 'Hip').y - middle(landed, 'Hip').y };
  return {
    ...common,
    'base-fraction': (balance(landed).z - rear.z) / (front.z - rear.z),
    'elbow-angle': jointAngle(landed[`${striking}Shoulder`], landed[`${striking}Elbow`], wrist(landed)),
    'reach-use': landed[`${striking}Shoulder`].distanceTo(wrist(landed)) / (landed[`${striking}Shoulder`].distanceTo(landed[`${striking}Elbow`]) + forearm(landed, striking)), // prettier-ignore
    'knee-angle': jointAngle(loaded[`${striking}Hip`], loaded[`${striking}Knee`], loaded[`${striking}Ankle`]),
    'forearm-tilt': fromLevel(landed[`${striking}Elbow`], wrist(landed)),
    'path-deviation': most(during(launch, contact), (joints) => aside(wrist(joints))) / way,
    'return-drop': most(during(leave, home), (joints) => under(wrist(joints))) / forearm(landed, striking),
    'pre-move': most(early, (joints) => Math.hypot(Math.max(0, rest.z - onBody(joints).z), Math.max(0, rest.y - onBody(joints).y))) / forearm(landed, striking), // prettier-ignore
    'wind-up': most(early, (joints) => (onBody(joints).x - rest.x) * outwards) / forearm(landed, striking),
    overrun:
      Math.max(
        0,
        most(during(contact, home), (joints) => -joints[`${striking}Knuckles`].x * outwards),
      ) / shoulderWidth(landed),
    ...(falls.head > 0.05 && { 'legs-share': falls.hips / falls.head }),
  };
}
