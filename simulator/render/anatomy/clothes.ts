import { Vector3 } from 'three';
import type { Body, BoneName } from '../../body/skeleton.ts';
import type { WholeLook } from '../../look.ts';
import { cone, ellipsoid } from '../field.ts';
import { pointAt, between, girth, bodySides, type BodyPart } from './part.ts';
import { leg, seat, torsoPart } from './trunk-and-limbs.ts';

export function shirt(body: Body, look: WholeLook): BodyPart {
  const { joints, bones } = body;
  const thick = girth(look.build, 0.8);
  const sleeves = bodySides.flatMap((side) => {
    const [shoulder, elbow, wrist] = [joints[`${side}Shoulder`], joints[`${side}Elbow`], joints[`${side}Wrist`]];
    const bone = `${side}UpperArm` as BoneName;
    const short = [
      cone(bone, shoulder, between(shoulder, elbow, 0.3), 0.066 * thick, 0.062 * thick, 0.035),
      cone(bone, between(shoulder, elbow, 0.25), between(shoulder, elbow, 0.52), 0.06 * thick, 0.06 * thick, 0.02),
    ];
    if (look.topStyle === 'tank') return [];
    if (look.topStyle === 'tee') return short;
    const lower = `${side}Forearm` as BoneName;
    return [
      ...short,
      cone(bone, between(shoulder, elbow, 0.4), elbow, 0.056 * thick, 0.046, 0.03),
      cone(lower, elbow, between(elbow, wrist, 0.9), 0.046, 0.036, 0.03),
    ];
  });
  const collar = pointAt(bones.chest, 0, 0.505, 0.025);
  const cuffs = bodySides.map((side) => {
    const shoulder = joints[`${side}Shoulder`];
    return { shoulder, along: joints[`${side}Elbow`].clone().sub(shoulder).normalize() };
  });
  const cut = (x: number, y: number, z: number): number => {
    const point = new Vector3(x, y, z);
    let outside = 0.092 - point.distanceTo(collar);
    for (const { shoulder, along } of cuffs) {
      const from = point.clone().sub(shoulder);
      const past = from.dot(along);
      const aside = from.addScaledVector(along, -past).length();
      if (look.topStyle === 'tee' && past > 0.12 && aside < 0.09) outside = Math.max(outside, past - 0.16);
    }
    return outside;
  };
  return {
    name: 'shirt',
    clay: { lumps: [...torsoPart(body, look.build), ...sleeves], grow: 0.011, cut },
    step: 0.012,
    colour: look.top,
    roughness: 0.9,
    castsShadow: true,
  };
}

export function shorts(body: Body, look: WholeLook): BodyPart[] {
  const { joints, bones } = body;
  const [thick, wide] = [girth(look.build, 0.8), girth(look.build, 0.7)];
  const legs = bodySides.flatMap((side) => {
    const [hip, knee] = [joints[`${side}Hip`], joints[`${side}Knee`]];
    const bone = `${side}Thigh` as BoneName;
    if (look.legs === 'leggings') return leg(body, side, look.build);
    return [
      cone(bone, hip, between(hip, knee, 0.35), 0.1 * thick, 0.1 * thick, 0.05),
      cone(bone, between(hip, knee, 0.3), between(hip, knee, 0.66), 0.1 * thick, 0.092 * thick, 0.03),
    ];
  });
  const shortened = look.legs === 'shorts';
  const hems = bodySides.map((side) => {
    const hip = joints[`${side}Hip`];
    return { hip, along: joints[`${side}Knee`].clone().sub(hip).normalize() };
  });
  const cut = (x: number, y: number, z: number): number => {
    const point = new Vector3(x, y, z);
    let outside = -1;
    for (const { hip, along } of hems) {
      const from = point.clone().sub(hip);
      const past = from.dot(along);
      const aside = from.addScaledVector(along, -past).length();
      if (shortened && past > 0.1 && aside < 0.16) outside = Math.max(outside, past - 0.27);
    }
    return outside;
  };
  const cloth = [
    ellipsoid('pelvis', bones.pelvis, [0, 0.02, 0], [0.16 * wide, 0.1, 0.114 * wide], 0.05),
    ...seat(body, look.build),
    ...legs,
  ];
  const band = [ellipsoid('pelvis', bones.pelvis, [0, 0.085, 0.002], [0.156 * wide, 0.032, 0.114 * wide], 0.02)];
  return [
    {
      name: 'shorts',
      clay: { lumps: cloth, grow: shortened ? 0.014 : 0.0125, cut },
      step: 0.012,
      colour: look.shorts,
      roughness: 0.75,
      castsShadow: true,
    },
    { name: 'waistband', clay: { lumps: band, grow: 0.014 }, step: 0.01, colour: '#d9d4c8', roughness: 0.75, castsShadow: true },
  ];
}
