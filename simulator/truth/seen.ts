import type { Ms, Seconds } from '@wax-fist/core/units';
import type { Vector3 } from 'three';
import type { BodySide } from '@wax-fist/core/body';
import type { Body } from '../body/skeleton.ts';
import type { Performance, ThrownPart, ThrownStrike } from '../motion/thrown-round.ts';
import { limbOf } from '../motion/technique/single.ts';

export type Joints = Body['joints'];

/** Long enough before the launch that nothing of the strike has begun. Seconds. */
export const before = 0.26;
const steps = 40;
export const degrees = 180 / Math.PI;

/** One movement as somebody sees it who sees everything, told for an orthodox trainee. Seconds, metres. */
export interface Seen {
  round: Performance;
  strike: ThrownStrike;
  part: ThrownPart;
  /** Ready, before anything of it, and at contact. */
  ready: Joints;
  landed: Joints;
  /** Side that strikes, the other one, and the sign of outwards for it. */
  striking: BodySide;
  idle: BodySide;
  outwards: 1 | -1;
  at: (seconds: Seconds) => Joints;
  during: (from: number, to: number) => Joints[];
}

export function seenOf(round: Performance, strike: ThrownStrike, part: ThrownPart): Seen {
  const known = new Map<number, Joints>();
  const at = (seconds: Seconds): Joints => {
    const joints = known.get(seconds) ?? round.orthodoxAt(seconds).joints;
    known.set(seconds, joints);
    return joints;
  };
  const limb = limbOf(part.model) ?? (part.model.kind === 'move' ? part.model.limb : undefined);
  const striking: BodySide = limb === 'rear' ? 'right' : 'left';
  return {
    round,
    strike,
    part,
    ready: at(strike.begins - before),
    landed: at(part.contact),
    striking,
    idle: striking === 'left' ? 'right' : 'left',
    outwards: striking === 'left' ? 1 : -1,
    at,
    during: (from, to) => Array.from({ length: steps + 1 }, (_, step) => at(from + ((to - from) * step) / steps)),
  };
}

export const middle = (joints: Joints, part: 'Hip' | 'Shoulder' | 'Ankle' | 'Ear'): Vector3 =>
  joints[`left${part}`].clone().add(joints[`right${part}`]).multiplyScalar(0.5);
export const torso = (joints: Joints): number => middle(joints, 'Shoulder').distanceTo(middle(joints, 'Hip'));
/** Chin to crown is about 0.45 of the torso: 0.130 and 0.288 of the stature after Drillis and Contini (1966). */
export const headHeight = (joints: Joints): number => torso(joints) * 0.45;
export const headWidth = (joints: Joints): number => headHeight(joints) * 0.68;
export const shoulderWidth = (joints: Joints): number => joints.leftShoulder.distanceTo(joints.rightShoulder);
export const forearm = (joints: Joints, side: BodySide): number => joints[`${side}Elbow`].distanceTo(joints[`${side}Wrist`]);
export const footLength = (joints: Joints, side: BodySide): number => joints[`${side}Heel`].distanceTo(joints[`${side}Toe`]);
export const most = <One>(list: readonly One[], value: (one: One) => number): number => Math.max(...list.map(value));

/** Direction of a line as seenOf from above, degrees from the line of attack. */
export const heading = (from: Vector3, to: Vector3): number => Math.atan2(to.x - from.x, to.z - from.z) * degrees;
/** Difference of two directions, degrees, −180 to 180. */
export const turnBetween = (from: number, to: number): number => ((((to - from + 180) % 360) + 360) % 360) - 180;
export const footAngle = (joints: Joints, side: BodySide): number => heading(joints[`${side}Heel`], joints[`${side}Toe`]);
export const fromLevel = (from: Vector3, to: Vector3): number => Math.asin((to.y - from.y) / to.distanceTo(from)) * degrees;
/** Balance point: hips, shoulders and head with about the mass above and below them, after de Leva (1996). */
export const balance = (joints: Joints): Vector3 =>
  middle(joints, 'Hip').multiplyScalar(0.55).addScaledVector(middle(joints, 'Shoulder'), 0.35).addScaledVector(joints.nose, 0.1);

/** Milliseconds between two moments in seconds. */
export const inMilliseconds = (from: Seconds, to: Seconds): Ms => (to - from) * 1000;

/** When something moves fastest, in steps of 4 ms. */
export function fastest(from: number, to: number, speed: (seconds: Seconds) => number): number {
  let [best, when] = [-Infinity, from];
  for (let seconds = from; seconds <= to; seconds += 0.004) {
    const value = speed(seconds);
    if (value > best) [best, when] = [value, seconds];
  }
  return when;
}
