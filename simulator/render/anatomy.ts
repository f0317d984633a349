import { Vector3, type Matrix4 } from 'three';
import type { Body, BoneName, Side } from '../body/skeleton.ts';
import type { Look } from '../scene.ts';
import { cone, ellipsoid, type Clay, type Lump } from './field.ts';

/** One mesh of the figure: what it is made of, how fine, and what it looks like. */
export interface Part {
  name: string;
  clay: Clay;
  /** Grid step in metres. */
  step: number;
  colour: string;
  roughness: number;
  /** Features of the face are too small to be seen in a shadow. */
  castsShadow: boolean;
}

const sides: readonly Side[] = ['left', 'right'];
const at = (frame: Matrix4, x: number, y: number, z: number): Vector3 => new Vector3(x, y, z).applyMatrix4(frame);
const between = (a: Vector3, b: Vector3, share: number): Vector3 => a.clone().lerp(b, share);
const sideSign = (side: Side): 1 | -1 => (side === 'left' ? 1 : -1);

function torso({ bones, joints }: Body): Lump[] {
  const { pelvis, chest } = bones;
  const top = at(chest, 0, 0.4, -0.01);
  const lumps = [
    ellipsoid('pelvis', pelvis, [0, 0.02, 0], [0.16, 0.115, 0.112], 0.05),
    ellipsoid('waist', chest, [0, 0.06, 0.005], [0.14, 0.16, 0.1], 0.06),
    ellipsoid('chest', chest, [0, 0.24, -0.008], [0.16, 0.2, 0.112], 0.05),
  ];
  for (const side of sides) {
    const s = sideSign(side);
    lumps.push(
      ellipsoid('chest', chest, [s * 0.078, 0.305, 0.07], [0.085, 0.065, 0.042], 0.04),
      ellipsoid('chest', chest, [s * 0.115, 0.25, -0.045], [0.058, 0.14, 0.062], 0.05),
      cone('chest', at(chest, s * 0.02, 0.45, -0.03), between(top, joints[`${side}Shoulder`], 0.8), 0.05, 0.048, 0.05),
    );
  }
  return lumps;
}

function seat({ bones }: Body): Lump[] {
  return sides.map((side) =>
    ellipsoid('pelvis', bones.pelvis, [sideSign(side) * 0.075, -0.045, -0.055], [0.085, 0.09, 0.078], 0.04),
  );
}

function arm({ joints }: Body, side: Side): Lump[] {
  const [shoulder, elbow, wrist] = [joints[`${side}Shoulder`], joints[`${side}Elbow`], joints[`${side}Wrist`]];
  const upper = `${side}UpperArm` as BoneName;
  const lower = `${side}Forearm` as BoneName;
  return [
    cone(upper, shoulder, between(shoulder, elbow, 0.35), 0.064, 0.054, 0.035),
    cone(upper, between(shoulder, elbow, 0.3), between(shoulder, elbow, 0.6), 0.051, 0.051, 0.03),
    cone(upper, between(shoulder, elbow, 0.55), elbow, 0.05, 0.039, 0.03),
    cone(lower, elbow, between(elbow, wrist, 0.28), 0.039, 0.046, 0.02),
    cone(lower, between(elbow, wrist, 0.25), wrist, 0.046, 0.029, 0.02),
  ];
}

function leg({ joints, bones }: Body, side: Side): Lump[] {
  const [hip, knee, ankle] = [joints[`${side}Hip`], joints[`${side}Knee`], joints[`${side}Ankle`]];
  const upper = `${side}Thigh` as BoneName;
  const lower = `${side}Shin` as BoneName;
  const backwards = at(bones.pelvis, 0, 0, -1).sub(at(bones.pelvis, 0, 0, 0));
  const calf = between(knee, ankle, 0.28).addScaledVector(backwards, 0.018);
  return [
    cone(upper, hip, between(hip, knee, 0.4), 0.092, 0.086, 0.05),
    cone(upper, between(hip, knee, 0.35), knee, 0.087, 0.055, 0.04),
    cone(lower, knee, between(knee, ankle, 0.12), 0.055, 0.052, 0.02),
    cone(lower, between(knee, ankle, 0.05).addScaledVector(backwards, 0.01), calf, 0.048, 0.056, 0.03),
    cone(lower, calf, between(knee, ankle, 0.62), 0.056, 0.041, 0.03),
    cone(lower, between(knee, ankle, 0.5), ankle, 0.043, 0.036, 0.02),
  ];
}

function headParts(body: Body, look: Look): Part[] {
  const { head, chest } = body.bones;
  const onHead = (offset: [number, number, number], radii: [number, number, number], blend: number): Lump =>
    ellipsoid('head', head, offset, radii, blend);
  const across = (x: number, y: number, z: number, toZ: number, radius: number): Lump =>
    cone('head', at(head, x, y, z), at(head, -x, y, toZ), radius, radius, 0.004);
  const origin = at(head, 0, 0, 0);
  const up = at(head, 0, 1, 0).sub(origin);
  const front = at(head, 0, 0, 1).sub(origin);
  const hairline = (x: number, y: number, z: number): number => {
    const from = new Vector3(x, y, z).sub(origin);
    return from.dot(front) - 0.012 - Math.max(0, from.dot(up) - 0.028) * 1.3;
  };
  const face: Clay = {
    lumps: [
      onHead([0, 0, 0], [0.074, 0.1, 0.094], 0.03),
      onHead([0, -0.058, 0.028], [0.054, 0.058, 0.062], 0.03),
      cone('neck', at(chest, 0, 0.4, -0.02), at(head, 0, -0.05, -0.015), 0.07, 0.058, 0.04),
      onHead([0, -0.108, 0.07], [0.022, 0.016, 0.018], 0.02),
      cone('head', at(head, 0, 0.02, 0.088), at(head, 0, -0.022, 0.11), 0.009, 0.013, 0.012),
      cone('head', at(head, 0.034, 0.028, 0.086), at(head, -0.034, 0.028, 0.086), 0.01, 0.01, 0.012),
      onHead([0, -0.068, 0.086], [0.022, 0.012, 0.012], 0.012),
      ...[1, -1].map((s) => onHead([s * 0.077, -0.008, 0], [0.01, 0.03, 0.018], 0.008)),
    ],
  };
  const both = (make: (s: 1 | -1) => Lump): Lump[] => [make(1), make(-1)];
  return [
    { name: 'face', clay: face, step: 0.006, colour: look.skin, roughness: 0.6, castsShadow: true },
    {
      name: 'hair',
      clay: {
        lumps: [onHead([0, 0.03, -0.02], [0.082, 0.092, 0.092], 0.02), onHead([0, -0.02, -0.045], [0.074, 0.07, 0.062], 0.03)],
        cut: hairline,
      },
      step: 0.007,
      colour: look.hair,
      roughness: 0.95, castsShadow: true,
    },
    { name: 'eyes', clay: { lumps: both((s) => onHead([s * 0.032, 0.006, 0.0805], [0.0125, 0.0115, 0.0125], 0.002)) }, step: 0.003, colour: '#f2efe8', roughness: 0.4, castsShadow: false },
    { name: 'pupils', clay: { lumps: both((s) => onHead([s * 0.031, 0.006, 0.0895], [0.0066, 0.0066, 0.0056], 0.002)) }, step: 0.0022, colour: '#2a1a10', roughness: 0.4, castsShadow: false },
    {
      name: 'brows',
      clay: { lumps: both((s) => cone('head', at(head, s * 0.015, 0.03, 0.0945), at(head, s * 0.05, 0.032, 0.08), 0.0045, 0.0035, 0.004)) },
      step: 0.003,
      colour: look.hair,
      roughness: 0.9, castsShadow: false,
    },
    { name: 'mouth', clay: { lumps: [across(0.02, -0.069, 0.0935, 0.0935, 0.0055)] }, step: 0.003, colour: '#8c4a40', roughness: 0.6, castsShadow: false },
  ]; // prettier-ignore
}

function shirt(body: Body, look: Look): Part {
  const { joints, bones } = body;
  const sleeves = sides.flatMap((side) => {
    const [shoulder, elbow] = [joints[`${side}Shoulder`], joints[`${side}Elbow`]];
    const bone = `${side}UpperArm` as BoneName;
    return [
      cone(bone, shoulder, between(shoulder, elbow, 0.3), 0.066, 0.062, 0.035),
      cone(bone, between(shoulder, elbow, 0.25), between(shoulder, elbow, 0.52), 0.06, 0.06, 0.02),
    ];
  });
  const collar = at(bones.chest, 0, 0.505, 0.025);
  const cuffs = sides.map((side) => {
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
      if (past > 0.12 && aside < 0.09) outside = Math.max(outside, past - 0.16);
    }
    return outside;
  };
  return {
    name: 'shirt',
    clay: { lumps: [...torso(body), ...sleeves], grow: 0.011, cut },
    step: 0.012,
    colour: look.top,
    roughness: 0.9,
    castsShadow: true,
  };
}

function shorts(body: Body, look: Look): Part[] {
  const { joints, bones } = body;
  const legs = sides.flatMap((side) => {
    const [hip, knee] = [joints[`${side}Hip`], joints[`${side}Knee`]];
    const bone = `${side}Thigh` as BoneName;
    return [
      cone(bone, hip, between(hip, knee, 0.35), 0.1, 0.1, 0.05),
      cone(bone, between(hip, knee, 0.3), between(hip, knee, 0.66), 0.1, 0.092, 0.03),
    ];
  });
  const hems = sides.map((side) => {
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
      if (past > 0.1 && aside < 0.16) outside = Math.max(outside, past - 0.27);
    }
    return outside;
  };
  const cloth = [ellipsoid('pelvis', bones.pelvis, [0, 0.02, 0], [0.16, 0.1, 0.114], 0.05), ...seat(body), ...legs];
  const band = [ellipsoid('pelvis', bones.pelvis, [0, 0.085, 0.002], [0.156, 0.032, 0.114], 0.02)];
  return [
    {
      name: 'shorts',
      clay: { lumps: cloth, grow: 0.014, cut },
      step: 0.012,
      colour: look.shorts,
      roughness: 0.75,
      castsShadow: true,
    },
    { name: 'waistband', clay: { lumps: band, grow: 0.014 }, step: 0.01, colour: '#d9d4c8', roughness: 0.75, castsShadow: true },
  ];
}

function glove(body: Body, side: Side, look: Look): Part[] {
  const frame = body.bones[`${side}Hand`];
  const bone = `${side}Hand` as BoneName;
  const thumb = sideSign(side) * -1;
  const fist = [
    cone(bone, at(frame, 0, 0.05, 0), at(frame, 0, 0.112, 0.004), 0.055, 0.062, 0.03),
    cone(bone, at(frame, thumb * 0.045, 0.03, 0.012), at(frame, thumb * 0.056, 0.092, 0.016), 0.022, 0.026, 0.015),
  ];
  const cuff = [cone(`${side}Forearm`, at(frame, 0, -0.055, 0), at(frame, 0, 0.02, 0), 0.043, 0.046, 0.02)];
  return [
    { name: `${side} glove`, clay: { lumps: fist }, step: 0.009, colour: look.gloves, roughness: 0.4, castsShadow: true },
    { name: `${side} cuff`, clay: { lumps: cuff }, step: 0.009, colour: '#e6e2d8', roughness: 0.6, castsShadow: true },
  ];
}

function shoe({ joints, bones }: Body, side: Side, look: Look): Part[] {
  const bone = `${side}Foot` as BoneName;
  const frame = bones[bone];
  const [ankle, toe, heel, knee] = [joints[`${side}Ankle`], joints[`${side}Toe`], joints[`${side}Heel`], joints[`${side}Knee`]];
  const middle = between(heel, toe, 0.55);
  const up = at(frame, 0, 1, 0).sub(at(frame, 0, 0, 0));
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

/** Everything a clothed trainee consists of, shaped round a body in its bind pose. */
export function figureParts(body: Body, look: Look): Part[] {
  const skin = [...torso(body), ...seat(body), ...sides.flatMap((side) => [...arm(body, side), ...leg(body, side)])];
  return [
    { name: 'skin', clay: { lumps: skin }, step: 0.012, colour: look.skin, roughness: 0.6, castsShadow: true },
    ...headParts(body, look),
    shirt(body, look),
    ...shorts(body, look),
    ...sides.flatMap((side) => [...glove(body, side, look), ...shoe(body, side, look)]),
  ];
}
