import type { BodySide } from '@wax-fist/core/body';
import type { Body, BoneName } from '../../body/skeleton.ts';
import { cone, ellipsoid, type Lump } from '../field.ts';
import { pointAt, between, girth, sideSign, bodySides } from './part.ts';

export function torsoPart({ bones, joints }: Body, build: number): Lump[] {
  const [hips, waist, ribs] = [girth(build, 0.7), girth(build, 1.25), girth(build, 0.8)];
  const { pelvis, chest } = bones;
  const top = pointAt(chest, 0, 0.4, -0.01);
  const lumps = [
    ellipsoid('pelvis', pelvis, [0, 0.02, 0], [0.16 * hips, 0.115, 0.112 * hips], 0.05),
    ellipsoid('waist', chest, [0, 0.06, 0.005], [0.14 * waist, 0.16, 0.1 * waist], 0.06),
    ellipsoid('chest', chest, [0, 0.24, -0.008], [0.16 * ribs, 0.2, 0.112 * ribs], 0.05),
  ];
  for (const side of bodySides) {
    const s = sideSign(side);
    lumps.push(
      ellipsoid('chest', chest, [s * 0.078, 0.305, 0.07], [0.085 * ribs, 0.065, 0.042 * ribs], 0.04),
      ellipsoid('chest', chest, [s * 0.115, 0.25, -0.045], [0.058, 0.14, 0.062 * ribs], 0.05),
      cone('chest', pointAt(chest, s * 0.02, 0.45, -0.03), between(top, joints[`${side}Shoulder`], 0.8), 0.05, 0.048, 0.05),
    );
  }
  return lumps;
}

export function seat({ bones }: Body, build: number): Lump[] {
  const wide = girth(build, 0.8);
  return bodySides.map((side) =>
    ellipsoid('pelvis', bones.pelvis, [sideSign(side) * 0.075, -0.045, -0.055], [0.085 * wide, 0.09, 0.078 * wide], 0.04),
  );
}

export function arm({ joints }: Body, side: BodySide, build: number): Lump[] {
  const thick = girth(build, 0.8);
  const [shoulder, elbow, wrist] = [joints[`${side}Shoulder`], joints[`${side}Elbow`], joints[`${side}Wrist`]];
  const upper = `${side}UpperArm` as BoneName;
  const lower = `${side}Forearm` as BoneName;
  return [
    cone(upper, shoulder, between(shoulder, elbow, 0.35), 0.064 * thick, 0.054 * thick, 0.035),
    cone(upper, between(shoulder, elbow, 0.3), between(shoulder, elbow, 0.6), 0.051 * thick, 0.051 * thick, 0.03),
    cone(upper, between(shoulder, elbow, 0.55), elbow, 0.05 * thick, 0.039, 0.03),
    cone(lower, elbow, between(elbow, wrist, 0.28), 0.039, 0.046 * thick, 0.02),
    cone(lower, between(elbow, wrist, 0.25), wrist, 0.046 * thick, 0.029, 0.02),
  ];
}

export function leg({ joints, bones }: Body, side: BodySide, build: number): Lump[] {
  const thick = girth(build, 0.8);
  const [hip, knee, ankle] = [joints[`${side}Hip`], joints[`${side}Knee`], joints[`${side}Ankle`]];
  const upper = `${side}Thigh` as BoneName;
  const lower = `${side}Shin` as BoneName;
  const backwards = pointAt(bones.pelvis, 0, 0, -1).sub(pointAt(bones.pelvis, 0, 0, 0));
  const calf = between(knee, ankle, 0.28).addScaledVector(backwards, 0.018);
  return [
    cone(upper, hip, between(hip, knee, 0.4), 0.092 * thick, 0.086 * thick, 0.05),
    cone(upper, between(hip, knee, 0.35), knee, 0.087 * thick, 0.055, 0.04),
    cone(lower, knee, between(knee, ankle, 0.12), 0.055, 0.052, 0.02),
    cone(lower, between(knee, ankle, 0.05).addScaledVector(backwards, 0.01), calf, 0.048, 0.056 * thick, 0.03),
    cone(lower, calf, between(knee, ankle, 0.62), 0.056 * thick, 0.041, 0.03),
    cone(lower, between(knee, ankle, 0.5), ankle, 0.043, 0.036, 0.02),
  ];
}
