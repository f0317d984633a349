import { Matrix4, Vector3 } from 'three';
import type { Body } from '../../body/skeleton.ts';
import type { WholeLook } from '../../look.ts';
import { cone, ellipsoid, type Clay, type Lump } from '../field.ts';
import { pointAt, type BodyPart } from './part.ts';

type OnHead = (offset: [number, number, number], radii: [number, number, number], blend: number) => Lump;

function hair(onHead: OnHead, hairline: NonNullable<Clay['cut']>, look: WholeLook): BodyPart[] {
  const cap = [onHead([0, 0.03, -0.02], [0.082, 0.092, 0.092], 0.02), onHead([0, -0.02, -0.045], [0.074, 0.07, 0.062], 0.03)];
  const close = [
    onHead([0, 0.024, -0.016], [0.0765, 0.084, 0.088], 0.02),
    onHead([0, -0.02, -0.045], [0.068, 0.062, 0.055], 0.03),
  ];
  const curls = [0, 1, 2, 3, 4, 5, 6, 7].map((turn) =>
    onHead(
      [Math.cos(turn * 0.785) * 0.058, 0.07 + 0.02 * Math.sin(turn * 2.1), Math.sin(turn * 0.785) * 0.058 - 0.025],
      [0.045, 0.042, 0.045],
      0.012,
    ),
  );
  const styles: Record<WholeLook['hairStyle'], Lump[]> = {
    short: cap,
    shaved: close,
    tail: [
      ...cap,
      onHead([0, 0.03, -0.115], [0.032, 0.034, 0.036], 0.02),
      onHead([0, -0.05, -0.135], [0.028, 0.085, 0.026], 0.02),
    ],
    bun: [...cap, onHead([0, 0.085, -0.085], [0.045, 0.042, 0.045], 0.015)],
    curls: [...cap, ...curls],
  };
  const onTop: BodyPart = {
    name: 'hair',
    clay: { lumps: styles[look.hairStyle], cut: hairline },
    step: 0.007,
    colour: look.hair,
    roughness: 0.95,
    castsShadow: true,
  };
  return [onTop];
}

export function headParts(body: Body, look: WholeLook): BodyPart[] {
  const { chest } = body.bones;
  // A child's head is larger for its body: everything of it is shaped in a larger frame.
  const head = body.bones.head.clone().multiply(new Matrix4().makeScale(look.head, look.head, look.head));
  const onHead = (offset: [number, number, number], radii: [number, number, number], blend: number): Lump =>
    ellipsoid('head', head, offset, radii, blend);
  const across = (x: number, y: number, z: number, toZ: number, radius: number): Lump =>
    cone('head', pointAt(head, x, y, z), pointAt(head, -x, y, toZ), radius, radius, 0.004);
  const origin = pointAt(head, 0, 0, 0);
  const up = pointAt(head, 0, 1, 0).sub(origin);
  const front = pointAt(head, 0, 0, 1).sub(origin);
  const hairline = (x: number, y: number, z: number): number => {
    const from = new Vector3(x, y, z).sub(origin);
    return from.dot(front) - 0.012 - Math.max(0, from.dot(up) - 0.028) * 1.3;
  };
  const face: Clay = {
    lumps: [
      onHead([0, 0, 0], [0.074, 0.1, 0.094], 0.03),
      onHead([0, -0.058, 0.028], [0.054, 0.058, 0.062], 0.03),
      cone('neck', pointAt(chest, 0, 0.4, -0.02), pointAt(head, 0, -0.05, -0.015), 0.07, 0.058, 0.04),
      onHead([0, -0.108, 0.07], [0.022, 0.016, 0.018], 0.02),
      cone('head', pointAt(head, 0, 0.02, 0.088), pointAt(head, 0, -0.022, 0.11), 0.009, 0.013, 0.012),
      cone('head', pointAt(head, 0.034, 0.028, 0.086), pointAt(head, -0.034, 0.028, 0.086), 0.01, 0.01, 0.012),
      onHead([0, -0.068, 0.086], [0.022, 0.012, 0.012], 0.012),
      ...[1, -1].map((s) => onHead([s * 0.077, -0.008, 0], [0.01, 0.03, 0.018], 0.008)),
    ],
  };
  const both = (make: (s: 1 | -1) => Lump): Lump[] => [make(1), make(-1)];
  return [
    { name: 'face', clay: face, step: 0.006, colour: look.skin, roughness: 0.6, castsShadow: true },
    ...hair(onHead, hairline, look),
    {
      name: 'eyes',
      clay: { lumps: both((s) => onHead([s * 0.032, 0.006, 0.0805], [0.0125, 0.0115, 0.0125], 0.002)) },
      step: 0.003,
      colour: '#f2efe8',
      roughness: 0.4,
      castsShadow: false,
    },
    {
      name: 'pupils',
      clay: { lumps: both((s) => onHead([s * 0.031, 0.006, 0.0895], [0.0066, 0.0066, 0.0056], 0.002)) },
      step: 0.0022,
      colour: '#2a1a10',
      roughness: 0.4,
      castsShadow: false,
    },
    {
      name: 'brows',
      clay: {
        lumps: both((s) =>
          cone('head', pointAt(head, s * 0.015, 0.03, 0.0945), pointAt(head, s * 0.05, 0.032, 0.08), 0.0045, 0.0035, 0.004),
        ),
      },
      step: 0.003,
      colour: look.hair,
      roughness: 0.9,
      castsShadow: false,
    },
    {
      name: 'mouth',
      clay: { lumps: [across(0.02, -0.069, 0.0935, 0.0935, 0.0055)] },
      step: 0.003,
      colour: '#8c4a40',
      roughness: 0.6,
      castsShadow: false,
    },
  ];
}
