import { Vector3 } from 'three';
import type { BodySide } from '@wax-fist/core/body';
import type { Body, BoneName } from '../../body/skeleton.ts';
import type { WholeLook } from '../../look.ts';
import { cone } from '../field.ts';
import { pointAt, between, type BodyPart } from './part.ts';

/** Toes to heel, without a shoe. */
export function bareFoot({ joints, bones }: Body, side: BodySide, look: WholeLook): BodyPart[] {
  const bone = `${side}Foot` as BoneName;
  const frame = bones[bone];
  const [ankle, toe, heel] = [joints[`${side}Ankle`], joints[`${side}Toe`], joints[`${side}Heel`]];
  const up = pointAt(frame, 0, 1, 0).sub(pointAt(frame, 0, 0, 0));
  const lifted = (point: Vector3, by: number): Vector3 => point.clone().addScaledVector(up, by);
  const ball = between(heel, toe, 0.72);
  const lumps = [
    cone(bone, lifted(heel, 0.006), lifted(ball, 0.002), 0.03, 0.03, 0.03),
    cone(bone, lifted(ball, 0.0), toe, 0.036, 0.022, 0.03),
    cone(bone, ankle, lifted(ball, 0.006), 0.036, 0.028, 0.03),
    cone(bone, ankle, lifted(heel, 0.008), 0.035, 0.028, 0.03),
  ];
  return [{ name: `${side} foot`, clay: { lumps }, step: 0.009, colour: look.skin, roughness: 0.6, castsShadow: true }];
}

/** A padded guard in front of the shin, as far as the instep. */
export function shinGuard({ joints }: Body, side: BodySide, look: WholeLook): BodyPart {
  const [knee, ankle, toe, heel] = [joints[`${side}Knee`], joints[`${side}Ankle`], joints[`${side}Toe`], joints[`${side}Heel`]];
  const front = toe.clone().sub(heel).normalize();
  const before = (share: number): Vector3 => between(knee, ankle, share).addScaledVector(front, 0.022);
  const lumps = [cone(`${side}Shin` as BoneName, before(0.1), before(0.9), 0.058, 0.048, 0.03)];
  return { name: `${side} shin guard`, clay: { lumps }, step: 0.01, colour: look.gloves, roughness: 0.5, castsShadow: true };
}

export function shoe({ joints, bones }: Body, side: BodySide, look: WholeLook): BodyPart[] {
  const bone = `${side}Foot` as BoneName;
  const frame = bones[bone];
  const [ankle, toe, heel, knee] = [joints[`${side}Ankle`], joints[`${side}Toe`], joints[`${side}Heel`], joints[`${side}Knee`]];
  const middle = between(heel, toe, 0.55);
  const up = pointAt(frame, 0, 1, 0).sub(pointAt(frame, 0, 0, 0));
  const lifted = (point: Vector3, by: number): Vector3 => point.clone().addScaledVector(up, by);
  const upper = [
    cone(bone, lifted(heel, 0.012), lifted(middle, 0.012), 0.036, 0.043, 0.03),
    cone(bone, lifted(middle, 0.008), toe, 0.042, 0.03, 0.03),
    cone(bone, ankle, between(ankle, middle, 0.6), 0.043, 0.036, 0.03),
    cone(`${side}Shin`, ankle, between(ankle, knee, 0.2), 0.043, 0.044, 0.02),
  ];
  const sole = [
    cone(bone, lifted(heel, -0.012), lifted(middle, -0.012), 0.034, 0.042, 0.02),
    cone(bone, lifted(middle, -0.012), lifted(toe, -0.01), 0.042, 0.03, 0.02),
  ];
  const under = (x: number, y: number, z: number): number => new Vector3(x, y, z).sub(middle).dot(up) + 0.012;
  return [
    { name: `${side} shoe`, clay: { lumps: upper }, step: 0.009, colour: look.shoes, roughness: 0.55, castsShadow: true },
    {
      name: `${side} sole`,
      clay: { lumps: sole, grow: 0.003, cut: under },
      step: 0.008,
      colour: '#dedad0',
      roughness: 0.8,
      castsShadow: true,
    },
  ];
}
