import type { PoseChange } from '../body/pose.ts';

export type TechniqueId = 'jab' | 'cross';
export type Hand = 'lead' | 'rear';

/** A straight as it should be: what the body does by the moment of contact, and in which time. Seconds, metres, degrees. */
export interface StrikeModel {
  id: TechniqueId;
  hand: Hand;
  /** Hips, trunk and shoulders at contact, on top of the stance. */
  body: PoseChange;
  /** Feet at contact, on top of the stance. */
  feet: PoseChange;
  /** Height of the lead foot's lift on the way. */
  footLift: number;
  elbowAngle: number;
  contactHeight: number;
  outTime: number;
  dwellTime: number;
  returnTime: number;
  bagPush: number;
}

export const strikeModels: Record<TechniqueId, StrikeModel> = {
  jab: {
    id: 'jab',
    hand: 'lead',
    body: {
      'pelvis.yaw': -6, 'chest.yaw': -13, 'chest.pitch': 2, 'head.pitch': 3,
      'leadShoulder.y': 0.035, 'leadShoulder.z': 0.035, 'leadHand.turn': -75, 'leadElbow.out': 0.35,
    }, // prettier-ignore
    feet: { 'leadFoot.z': 0.1, 'rearFoot.pitch': 6 },
    footLift: 0.03,
    elbowAngle: 168,
    contactHeight: 1.46,
    outTime: 0.155,
    dwellTime: 0.025,
    returnTime: 0.185,
    bagPush: 0.03,
  },
  cross: {
    id: 'cross',
    hand: 'rear',
    body: {
      'pelvis.yaw': 58, 'pelvis.x': 0.035, 'chest.yaw': 74, 'chest.pitch': 3, 'head.pitch': 4, 'head.yaw': 6,
      'rearShoulder.y': 0.04, 'rearShoulder.z': 0.045, 'rearHand.turn': -80, 'rearElbow.out': 0.4,
      'leadHand.x': -0.03, 'leadHand.z': -0.09,
    }, // prettier-ignore
    feet: { 'rearFoot.yaw': 46, 'rearFoot.pitch': 14 },
    footLift: 0,
    elbowAngle: 167,
    contactHeight: 1.47,
    outTime: 0.185,
    dwellTime: 0.03,
    returnTime: 0.24,
    bagPush: 0.05,
  },
};
