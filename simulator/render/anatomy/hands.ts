import type { BodySide } from '@wax-fist/core/body';
import type { Body, BoneName } from '../../body/skeleton.ts';
import type { WholeLook } from '../../look.ts';
import { cone } from '../field.ts';
import { pointAt, sideSign, type BodyPart } from './part.ts';

/** A fist in cloth, thumb across. */
export function wraps(body: Body, side: BodySide, look: WholeLook): BodyPart[] {
  const frame = body.bones[`${side}Hand`];
  const bone = `${side}Hand` as BoneName;
  const thumb = sideSign(side) * -1;
  const cloth = [
    cone(bone, pointAt(frame, 0, 0.005, 0), pointAt(frame, 0, 0.055, 0), 0.034, 0.042, 0.02),
    cone(`${side}Forearm`, pointAt(frame, 0, -0.05, 0), pointAt(frame, 0, 0.012, 0), 0.034, 0.034, 0.02),
  ];
  const fingers = [
    cone(bone, pointAt(frame, -0.02, 0.07, 0.004), pointAt(frame, 0.02, 0.07, 0.004), 0.034, 0.034, 0.02),
    cone(bone, pointAt(frame, thumb * 0.03, 0.045, 0.024), pointAt(frame, 0, 0.075, 0.036), 0.014, 0.013, 0.01),
  ];
  return [
    { name: `${side} wraps`, clay: { lumps: cloth }, step: 0.008, colour: look.gloves, roughness: 0.9, castsShadow: true },
    { name: `${side} fingers`, clay: { lumps: fingers }, step: 0.008, colour: look.skin, roughness: 0.6, castsShadow: true },
  ];
}

export function glove(body: Body, side: BodySide, look: WholeLook): BodyPart[] {
  const frame = body.bones[`${side}Hand`];
  const bone = `${side}Hand` as BoneName;
  const thumb = sideSign(side) * -1;
  const fist = [
    cone(bone, pointAt(frame, 0, 0.05, 0), pointAt(frame, 0, 0.112, 0.004), 0.055, 0.062, 0.03),
    cone(bone, pointAt(frame, thumb * 0.045, 0.03, 0.012), pointAt(frame, thumb * 0.056, 0.092, 0.016), 0.022, 0.026, 0.015),
  ];
  const cuff = [cone(`${side}Forearm`, pointAt(frame, 0, -0.055, 0), pointAt(frame, 0, 0.02, 0), 0.043, 0.046, 0.02)];
  return [
    { name: `${side} glove`, clay: { lumps: fist }, step: 0.009, colour: look.gloves, roughness: 0.4, castsShadow: true },
    { name: `${side} cuff`, clay: { lumps: cuff }, step: 0.009, colour: '#e6e2d8', roughness: 0.6, castsShadow: true },
  ];
}
