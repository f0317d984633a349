import type { PoseChange } from '../body/pose.ts';

export const thrownTechniques = [
  'jab', 'cross', 'lead-hook', 'rear-hook', 'lead-uppercut', 'rear-uppercut', 'overhand', 'body-jab', 'body-straight',
  'lead-body-hook', 'rear-body-hook',
] as const; // prettier-ignore
export type TechniqueId = (typeof thrownTechniques)[number];
export type Hand = 'lead' | 'rear';

/** A strike as it should be: what the body does by the moment of contact, and in which time. Seconds, metres, degrees. */
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
  /** Where the glove lands: aside from the middle of the bag (towards the lead side), and past the front of it. */
  aside: number;
  depth: number;
  contactHeight: number;
  /** How far hand and body stray from the straight way there, most at half of it. */
  arc: PoseChange;
  /** What sinks before it rises: there from before the launch, gone by contact. */
  load: PoseChange;
  /** How far it steps in for it, and out again. */
  advance: number;
  outTime: number;
  dwellTime: number;
  returnTime: number;
  bagPush: number;
}

const straight = { aside: 0, depth: 0, arc: {}, load: {}, advance: 0 } as const;

/** What hips, trunk and rear foot do in everything that the rear side throws. */
const rearTurn = { 'pelvis.yaw': 58, 'pelvis.x': 0.035, 'chest.yaw': 74, 'chest.pitch': 3, 'head.pitch': 4, 'head.yaw': 6 } as const; // prettier-ignore
const rearFoot = { 'rearFoot.yaw': 46, 'rearFoot.pitch': 14 } as const;
/** The lead side turns in behind its hook: hip, shoulder and foot. */
const leadTurn = { 'pelvis.yaw': -30, 'chest.yaw': -44, 'chest.pitch': 2, 'head.pitch': 4, 'head.yaw': -4 } as const;
const leadFoot = { 'leadFoot.yaw': -52, 'leadFoot.pitch': 22 } as const;
const hook = { elbowAngle: 94, depth: 0.085, contactHeight: 1.45, footLift: 0, outTime: 0.19, dwellTime: 0.03, returnTime: 0.24, bagPush: 0.045, load: {}, advance: 0.3 } as const; // prettier-ignore
const uppercut = { elbowAngle: 78, aside: 0, depth: 0.01, contactHeight: 1.24, footLift: 0, outTime: 0.2, dwellTime: 0.03, returnTime: 0.24, bagPush: 0.035, advance: 0.36 } as const; // prettier-ignore
/** Down with the knees: how a level changes. */
const low = { 'pelvis.y': -0.2, 'chest.pitch': 6, 'head.pitch': -4 } as const;

export const strikeModels: Record<TechniqueId, StrikeModel> = {
  jab: {
    ...straight,
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
    ...straight,
    id: 'cross',
    hand: 'rear',
    body: {
      ...rearTurn,
      'rearShoulder.y': 0.04, 'rearShoulder.z': 0.045, 'rearHand.turn': -80, 'rearElbow.out': 0.4,
      'leadHand.x': -0.03, 'leadHand.z': -0.09,
    }, // prettier-ignore
    feet: rearFoot,
    footLift: 0,
    elbowAngle: 167,
    contactHeight: 1.47,
    outTime: 0.185,
    dwellTime: 0.03,
    returnTime: 0.24,
    bagPush: 0.05,
  },
  'lead-hook': {
    ...hook,
    id: 'lead-hook',
    hand: 'lead',
    aside: 0.147,
    body: { ...leadTurn, 'leadShoulder.y': 0.05, 'leadShoulder.z': 0.03, 'leadHand.turn': -70, 'leadElbow.out': 6, 'pelvis.x': -0.03 },
    feet: leadFoot,
    arc: { 'leadHand.x': 0.14, 'leadElbow.out': 2 },
  },
  'rear-hook': {
    ...hook,
    id: 'rear-hook',
    hand: 'rear',
    aside: -0.147,
    body: { ...rearTurn, 'rearShoulder.y': 0.05, 'rearShoulder.z': 0.04, 'rearHand.turn': -70, 'rearElbow.out': 6, 'leadHand.x': -0.03, 'leadHand.z': -0.07 },
    feet: rearFoot,
    arc: { 'rearHand.x': -0.16, 'rearElbow.out': 2 },
    outTime: 0.21,
  },
  'lead-uppercut': {
    ...uppercut,
    id: 'lead-uppercut',
    hand: 'lead',
    body: { 'pelvis.yaw': -12, 'chest.yaw': -20, 'chest.pitch': -4, 'pelvis.y': -0.02, 'leadHand.turn': 80, 'leadElbow.out': -0.3 },
    feet: { 'leadFoot.yaw': -14, 'leadFoot.pitch': 8 },
    arc: { 'leadHand.y': -0.16, 'leadHand.z': -0.05 },
    load: { 'pelvis.y': -0.13, 'pelvis.x': 0.05, 'chest.yaw': 12, 'chest.roll': -7 },
  },
  'rear-uppercut': {
    ...uppercut,
    id: 'rear-uppercut',
    hand: 'rear',
    body: { ...rearTurn, 'pelvis.yaw': 46, 'chest.yaw': 58, 'chest.pitch': -4, 'pelvis.y': -0.02, 'rearHand.turn': 80, 'rearElbow.out': -0.3, 'leadHand.z': -0.07 },
    feet: rearFoot,
    arc: { 'rearHand.y': -0.18, 'rearHand.z': -0.04 },
    load: { 'pelvis.y': -0.13, 'pelvis.x': -0.05, 'chest.roll': 6 },
    outTime: 0.21,
  },
  overhand: {
    ...straight,
    id: 'overhand',
    hand: 'rear',
    body: {
      ...rearTurn, 'pelvis.x': 0.1, 'pelvis.y': -0.08, 'chest.roll': -16, 'chest.pitch': 9, 'head.roll': -8,
      'rearShoulder.y': 0.06, 'rearShoulder.z': 0.04, 'rearHand.turn': -95, 'rearElbow.out': 2.2, 'leadHand.x': -0.03, 'leadHand.z': -0.08,
    }, // prettier-ignore
    feet: { ...rearFoot, 'leadFoot.x': 0.05, 'leadFoot.z': 0.06 },
    footLift: 0.02,
    elbowAngle: 142,
    contactHeight: 1.48,
    arc: { 'rearHand.y': 0.12, 'rearHand.x': -0.1 },
    advance: 0.12,
    outTime: 0.22,
    dwellTime: 0.03,
    returnTime: 0.27,
    bagPush: 0.05,
  },
  'body-jab': {
    ...straight,
    id: 'body-jab',
    hand: 'lead',
    body: {
      ...low, 'pelvis.yaw': -6, 'chest.yaw': -14, 'pelvis.x': -0.07, 'chest.roll': 5,
      'leadShoulder.y': 0.03, 'leadShoulder.z': 0.035, 'leadHand.turn': -75, 'leadElbow.out': 0.35,
    }, // prettier-ignore
    feet: { 'leadFoot.z': 0.2, 'rearFoot.pitch': 16 },
    footLift: 0.03,
    elbowAngle: 166,
    contactHeight: 1.12,
    outTime: 0.19,
    dwellTime: 0.03,
    returnTime: 0.23,
    bagPush: 0.03,
  },
  'body-straight': {
    ...straight,
    id: 'body-straight',
    hand: 'rear',
    body: {
      ...rearTurn, ...low, 'pelvis.x': 0.08, 'chest.roll': -7,
      'rearShoulder.y': 0.03, 'rearShoulder.z': 0.045, 'rearHand.turn': -80, 'rearElbow.out': 0.4, 'leadHand.x': -0.03, 'leadHand.z': -0.08,
    }, // prettier-ignore
    feet: { ...rearFoot, 'leadFoot.z': 0.12, 'leadFoot.x': 0.04 },
    footLift: 0.025,
    elbowAngle: 165,
    contactHeight: 1.12,
    outTime: 0.21,
    dwellTime: 0.03,
    returnTime: 0.27,
    bagPush: 0.045,
  },
  'lead-body-hook': {
    ...hook,
    id: 'lead-body-hook',
    hand: 'lead',
    aside: 0.147,
    contactHeight: 1.12,
    body: { ...leadTurn, ...low, 'leadShoulder.y': 0.02, 'leadHand.turn': -60, 'leadElbow.out': 3, 'pelvis.x': 0.05 },
    feet: leadFoot,
    arc: { 'leadHand.x': 0.12, 'leadHand.y': -0.05, 'leadElbow.out': 1 },
    load: { 'pelvis.y': -0.1, 'chest.yaw': 10 },
    outTime: 0.21,
  },
  'rear-body-hook': {
    ...hook,
    id: 'rear-body-hook',
    hand: 'rear',
    aside: -0.147,
    contactHeight: 1.12,
    body: { ...rearTurn, ...low, 'rearShoulder.y': 0.02, 'rearHand.turn': -60, 'rearElbow.out': 3, 'pelvis.x': -0.03, 'leadHand.z': -0.07 },
    feet: rearFoot,
    arc: { 'rearHand.x': -0.13, 'rearHand.y': -0.05, 'rearElbow.out': 1 },
    load: { 'pelvis.y': -0.1 },
    outTime: 0.22,
  },
}; // prettier-ignore
