import { mirrored, type PoseChange } from '../../body/pose.ts';
import type { Limb } from '../part.ts';

export const handTechniques = [
  'jab',
  'cross',
  'lead-hook',
  'rear-hook',
  'lead-uppercut',
  'rear-uppercut',
  'overhand',
  'body-jab',
  'body-straight',
  'lead-body-hook',
  'rear-body-hook',
  'lead-overhand',
  'body-poke',
  'rising-body-hook',
  'elbow',
] as const;
export type HandId = (typeof handTechniques)[number];

/** A strike as it should be: what the body does by the moment of contact, and in which time. Seconds, metres, degrees. */
export interface StrikeModel {
  kind: 'hand';
  hand: Limb;
  /** What lands. */
  meets: 'glove' | 'elbow';
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
  /** How long it stays in range before it steps out again, seconds. */
  stay: number;
  /** How much later than the fist the hips turn and the feet turn or land, seconds; as it should be, they arrive together. */
  hipLag: number;
  feetLag: number;
  outTime: number;
  dwellTime: number;
  returnTime: number;
  bagPush: number;
}

const usual = { kind: 'hand', stay: 0, meets: 'glove', hipLag: 0, feetLag: 0 } as const;
const straight = { ...usual, aside: 0, depth: 0, arc: {}, load: {}, advance: 0 } as const;

/** What hips, trunk and rear foot do in everything that the rear side throws. */
const rearTurn = {
  'pelvis.yaw': 58,
  'pelvis.x': 0.035,
  'chest.yaw': 74,
  'chest.pitch': 3,
  'head.pitch': 4,
  'head.yaw': 6,
} as const;
const rearFoot = { 'rearFoot.yaw': 46, 'rearFoot.pitch': 14 } as const;
/** The lead side turns in behind its hook: hip, shoulder and foot. */
const leadTurn = { 'pelvis.yaw': -30, 'chest.yaw': -44, 'chest.pitch': 2, 'head.pitch': 4, 'head.yaw': -4 } as const;
const leadFoot = { 'leadFoot.yaw': -52, 'leadFoot.pitch': 22 } as const;
const hook = {
  ...usual,
  elbowAngle: 94,
  depth: 0.085,
  contactHeight: 1.45,
  footLift: 0,
  outTime: 0.19,
  dwellTime: 0.03,
  returnTime: 0.24,
  bagPush: 0.045,
  load: {},
  advance: 0.3,
} as const;
const uppercut = {
  ...usual,
  elbowAngle: 78,
  aside: 0,
  depth: 0.01,
  contactHeight: 1.24,
  footLift: 0,
  outTime: 0.2,
  dwellTime: 0.03,
  returnTime: 0.24,
  bagPush: 0.035,
  advance: 0.36,
} as const;
/** Down with the knees: how a level changes. */
const low = { 'pelvis.y': -0.2, 'chest.pitch': 6, 'head.pitch': -4 } as const;

export const handModels: Record<HandId, StrikeModel> = {
  jab: {
    ...straight,
    hand: 'lead',
    body: {
      'pelvis.yaw': -6,
      'chest.yaw': -13,
      'chest.pitch': 2,
      'head.pitch': 3,
      'leadShoulder.y': 0.035,
      'leadShoulder.z': 0.035,
      'leadHand.turn': -75,
      'leadElbow.out': 0.35,
    },
    feet: { 'leadFoot.z': 0.1, 'rearFoot.pitch': 6 },
    footLift: 0.03,
    elbowAngle: 168,
    contactHeight: 1.46,
    outTime: 0.155,
    dwellTime: 0.025,
    returnTime: 0.142,
    bagPush: 0.03,
  },
  cross: {
    ...straight,
    hand: 'rear',
    body: {
      ...rearTurn,
      'rearShoulder.y': 0.04,
      'rearShoulder.z': 0.045,
      'rearHand.turn': -80,
      'rearElbow.out': 0.4,
      'leadHand.x': -0.03,
      'leadHand.z': -0.09,
    },
    feet: rearFoot,
    footLift: 0,
    elbowAngle: 167,
    contactHeight: 1.47,
    outTime: 0.185,
    dwellTime: 0.03,
    returnTime: 0.168,
    bagPush: 0.05,
  },
  'lead-hook': {
    ...hook,
    hand: 'lead',
    aside: 0.147,
    body: {
      ...leadTurn,
      'leadShoulder.y': 0.05,
      'leadShoulder.z': 0.03,
      'leadHand.turn': -70,
      'leadElbow.out': 6,
      'pelvis.x': -0.03,
    },
    feet: leadFoot,
    load: { 'chest.yaw': 15, 'pelvis.yaw': 6 },
    arc: { 'leadHand.x': 0.14, 'leadElbow.out': 2 },
  },
  'rear-hook': {
    ...hook,
    hand: 'rear',
    aside: -0.147,
    body: {
      ...rearTurn,
      'rearShoulder.y': 0.05,
      'rearShoulder.z': 0.04,
      'rearHand.turn': -70,
      'rearElbow.out': 6,
      'leadHand.x': -0.03,
      'leadHand.z': -0.07,
    },
    feet: rearFoot,
    arc: { 'rearHand.x': -0.16, 'rearElbow.out': 2 },
    outTime: 0.21,
  },
  'lead-uppercut': {
    ...uppercut,
    hand: 'lead',
    body: {
      'pelvis.yaw': -12,
      'chest.yaw': -20,
      'chest.pitch': -4,
      'pelvis.y': -0.02,
      'leadHand.turn': 80,
      'leadElbow.out': -0.3,
    },
    feet: { 'leadFoot.yaw': -14, 'leadFoot.pitch': 8 },
    arc: { 'leadHand.y': -0.16, 'leadHand.z': -0.05 },
    load: { 'pelvis.y': -0.13, 'pelvis.x': 0.05, 'chest.yaw': 12, 'chest.roll': -7 },
  },
  'rear-uppercut': {
    ...uppercut,
    hand: 'rear',
    body: {
      ...rearTurn,
      'pelvis.yaw': 46,
      'chest.yaw': 58,
      'chest.pitch': -4,
      'pelvis.y': -0.02,
      'rearHand.turn': 80,
      'rearElbow.out': -0.3,
      'leadHand.z': -0.07,
    },
    feet: rearFoot,
    arc: { 'rearHand.y': -0.18, 'rearHand.z': -0.04 },
    load: { 'pelvis.y': -0.13, 'pelvis.x': -0.05, 'chest.roll': 6 },
    outTime: 0.21,
  },
  overhand: {
    ...straight,
    hand: 'rear',
    body: {
      ...rearTurn,
      'pelvis.x': 0.1,
      'pelvis.y': -0.08,
      'chest.roll': -16,
      'chest.pitch': 9,
      'head.roll': -8,
      'rearShoulder.y': 0.06,
      'rearShoulder.z': 0.04,
      'rearHand.turn': -95,
      'rearElbow.out': 2.2,
      'leadHand.x': -0.03,
      'leadHand.z': -0.08,
    },
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
    hand: 'lead',
    body: {
      ...low,
      'pelvis.yaw': -6,
      'chest.yaw': -14,
      'pelvis.x': -0.07,
      'chest.roll': 5,
      'leadShoulder.y': 0.03,
      'leadShoulder.z': 0.035,
      'leadHand.turn': -75,
      'leadElbow.out': 0.35,
    },
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
    hand: 'rear',
    body: {
      ...rearTurn,
      ...low,
      'pelvis.y': -0.175,
      'pelvis.x': 0.08,
      'chest.roll': -7,
      'rearShoulder.y': 0.03,
      'rearShoulder.z': 0.045,
      'rearHand.turn': -80,
      'rearElbow.out': 0.4,
      'leadHand.x': -0.03,
      'leadHand.z': -0.08,
    },
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
    hand: 'rear',
    aside: -0.147,
    contactHeight: 1.12,
    body: {
      ...rearTurn,
      ...low,
      'rearShoulder.y': 0.02,
      'rearHand.turn': -60,
      'rearElbow.out': 3,
      'pelvis.x': -0.03,
      'leadHand.z': -0.07,
    },
    feet: rearFoot,
    arc: { 'rearHand.x': -0.13, 'rearHand.y': -0.05, 'rearElbow.out': 1 },
    load: { 'pelvis.y': -0.1 },
    outTime: 0.22,
  },
  'lead-overhand': {
    ...straight,
    hand: 'lead',
    body: {
      ...leadTurn,
      'pelvis.x': -0.11,
      'pelvis.y': -0.07,
      'chest.roll': -3,
      'chest.pitch': 14,
      'head.roll': 8,
      'leadShoulder.y': 0.06,
      'leadShoulder.z': 0.04,
      'leadHand.turn': -95,
      'leadElbow.out': 2.6,
    },
    feet: leadFoot,
    load: { 'chest.yaw': 15, 'pelvis.yaw': 6 },
    footLift: 0,
    elbowAngle: 132,
    contactHeight: 1.48,
    arc: { 'leadHand.y': 0.1, 'leadHand.x': 0.1 },
    advance: 0.16,
    outTime: 0.22,
    dwellTime: 0.03,
    returnTime: 0.26,
    bagPush: 0.035,
  },
  'body-poke': {
    ...straight,
    hand: 'lead',
    body: {
      'pelvis.y': -0.1,
      'pelvis.yaw': -5,
      'chest.yaw': -10,
      'chest.pitch': 3,
      'head.pitch': -2,
      'leadShoulder.z': 0.035,
      'leadHand.turn': -60,
      'leadElbow.out': 0.35,
    },
    feet: { 'leadFoot.z': 0.09, 'rearFoot.pitch': 6 },
    footLift: 0.02,
    elbowAngle: 164,
    contactHeight: 1.14,
    outTime: 0.15,
    dwellTime: 0.02,
    returnTime: 0.17,
    bagPush: 0.015,
  },
  'rising-body-hook': {
    ...hook,
    hand: 'lead',
    aside: 0.12,
    depth: 0.05,
    elbowAngle: 114,
    contactHeight: 1.16,
    body: {
      ...leadTurn,
      'pelvis.y': -0.17,
      'chest.pitch': 3,
      'chest.roll': -5,
      'leadShoulder.y': 0.01,
      'leadHand.turn': 40,
      'leadElbow.out': 0.6,
      'pelvis.x': 0.05,
    },
    feet: leadFoot,
    arc: { 'leadHand.x': 0.06, 'leadHand.y': -0.14 },
    load: { 'pelvis.y': -0.06, 'chest.yaw': 10 },
    outTime: 0.21,
  },
  elbow: {
    ...hook,
    hand: 'rear',
    meets: 'elbow',
    aside: -0.1,
    depth: 0.06,
    elbowAngle: 50,
    contactHeight: 1.46,
    body: {
      ...rearTurn,
      'chest.yaw': 84,
      'rearShoulder.y': 0.06,
      'rearShoulder.z': 0.05,
      'rearHand.x': 0.2,
      'rearHand.y': 0,
      'rearHand.z': 0.12,
      'rearElbow.out': 3,
      'rearElbow.fore': 9,
      'leadHand.z': -0.08,
    },
    feet: rearFoot,
    arc: {},
    advance: 0.62,
    outTime: 0.2,
  },
};

/** The other hand does it. */
export const otherHand = (model: StrikeModel): StrikeModel => ({
  ...model,
  hand: model.hand === 'lead' ? 'rear' : 'lead',
  body: mirrored(model.body),
  feet: mirrored(model.feet),
  arc: mirrored(model.arc),
  load: mirrored(model.load),
  aside: -model.aside,
});
