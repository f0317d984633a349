import { mirrored, type PoseChange } from '../../body/pose.ts';
import { stepOf, type Limb, type MotionPart } from '../part.ts';
import { swap } from './footwork.ts';

export const kickTechniques = [
  'rear-round',
  'lead-round',
  'low-kick',
  'rising-45',
  'push-kick',
  'thrust-kick',
  'rear-knee',
  'switch-round',
  'switch-knee',
  'step-off-round',
  'side-kick',
  'stomp-kick',
] as const;
export type KickId = (typeof kickTechniques)[number];

/** A kick or knee as it should be. Seconds, metres, degrees; everything on top of the stance, by the moment of contact. */
export interface KickModel {
  kind: 'kick';
  foot: Limb;
  /** Hips, trunk, arms. */
  body: PoseChange;
  /** The standing foot: its turn, and up on its ball. */
  support: PoseChange;
  /** Where the kicking foot goes. */
  leg: PoseChange;
  /** How it strays from the straight way there. */
  arc: PoseChange;
  /** What meets the bag, as a share of the way from knee to ankle; 0 is the knee, 1 the ankle, above it the sole. */
  meets: number;
  /** From which side the leg comes: round towards the bag's flank, or straight at its face. */
  way: 'round' | 'straight';
  /** How far it goes on past where it met the bag, metres. */
  through: number;
  /** How much too close it is thrown from, metres. */
  crowded: number;
  /** What has to happen before it, or goes on beside it. */
  beside: readonly MotionPart[];
  outTime: number;
  dwellTime: number;
  returnTime: number;
  bagPush: number;
}

/** A full round kick turns the standing heel to the target and lets the kicking-side arm swing down. */
const rearRound = {
  body: {
    'pelvis.yaw': 88,
    'pelvis.z': 0.24,
    'pelvis.y': 0.05,
    'pelvis.x': 0.05,
    'pelvis.roll': -22,
    'pelvis.pitch': -8,
    'chest.yaw': 74,
    'chest.pitch': -14,
    'chest.roll': 8,
    'head.yaw': 4,
    'rearHand.y': -0.38,
    'rearHand.x': -0.12,
    'rearHand.z': -0.12,
    'leadHand.z': -0.06,
  },
  support: { 'leadFoot.yaw': 96, 'leadFoot.pitch': 16 },
  through: 0.12,
} as const;
const leadRound = {
  body: {
    'pelvis.yaw': -62,
    'pelvis.z': 0.2,
    'pelvis.y': 0.05,
    'pelvis.roll': 22,
    'pelvis.pitch': -8,
    'chest.yaw': -60,
    'chest.pitch': -14,
    'chest.roll': -8,
    'leadHand.y': -0.36,
    'leadHand.x': 0.12,
    'leadHand.z': -0.14,
  },
  support: { 'rearFoot.yaw': -88, 'rearFoot.pitch': 6, 'rearFoot.z': 0.22 },
  through: 0.12,
} as const;
const times = {
  kind: 'kick',
  beside: [],
  through: 0,
  crowded: 0,
  outTime: 0.3,
  dwellTime: 0.04,
  returnTime: 0.46,
  bagPush: 0.07,
} as const;
const straightAhead = { ...times, way: 'straight', arc: {} } as const;

const own = {
  'rear-round': {
    ...times,
    ...rearRound,
    foot: 'rear',
    way: 'round',
    meets: 0.86,
    leg: { 'rearFoot.x': 0.02, 'rearFoot.y': 0.99, 'rearFoot.z': 1.38, 'rearFoot.yaw': 78, 'rearFoot.pitch': 20 },
    arc: { 'rearFoot.x': -0.34, 'rearFoot.y': 0.08, 'rearFoot.z': -0.08 },
  },
  'lead-round': {
    ...times,
    ...leadRound,
    foot: 'lead',
    way: 'round',
    meets: 0.86,
    leg: { 'leadFoot.x': 0.1, 'leadFoot.y': 0.95, 'leadFoot.z': 0.74, 'leadFoot.yaw': -50, 'leadFoot.pitch': 40 },
    arc: { 'leadFoot.x': 0.3, 'leadFoot.y': 0.08, 'leadFoot.z': -0.1 },
  },
  'low-kick': {
    ...times,
    ...rearRound,
    foot: 'rear',
    way: 'round',
    meets: 0.8,
    body: { ...rearRound.body, 'pelvis.y': -0.05, 'pelvis.z': 0.31, 'pelvis.roll': -4, 'chest.pitch': -2 },
    leg: { 'rearFoot.x': 0.02, 'rearFoot.y': 0.46, 'rearFoot.z': 1.33, 'rearFoot.yaw': 78, 'rearFoot.pitch': 20 },
    arc: { 'rearFoot.x': -0.3, 'rearFoot.y': 0.05, 'rearFoot.z': -0.08 },
    outTime: 0.27,
  },
  'rising-45': {
    ...times,
    foot: 'rear',
    way: 'round',
    meets: 0.8,
    body: {
      'pelvis.yaw': 44,
      'pelvis.z': 0.26,
      'pelvis.y': 0.07,
      'pelvis.x': 0.04,
      'pelvis.roll': -12,
      'pelvis.pitch': -6,
      'chest.yaw': 34,
      'chest.pitch': -8,
      'rearHand.z': 0.02,
    },
    support: { 'leadFoot.yaw': 30, 'leadFoot.pitch': 30 },
    leg: {
      'rearFoot.x': 0.04,
      'rearFoot.y': 0.88,
      'rearFoot.z': 1.3,
      'rearKnee.up': 0.25,
      'rearFoot.yaw': 56,
      'rearFoot.pitch': 24,
    },
    arc: { 'rearFoot.x': -0.12, 'rearFoot.y': -0.16 },
    outTime: 0.28,
  },
  'push-kick': {
    ...straightAhead,
    foot: 'lead',
    meets: 1.12,
    body: { 'pelvis.z': 0.08, 'pelvis.y': 0.05, 'pelvis.pitch': -16, 'chest.pitch': -20, 'pelvis.yaw': 18, 'chest.yaw': 14 },
    support: { 'rearFoot.z': 0.16, 'rearFoot.yaw': 10, 'rearFoot.pitch': -4 },
    leg: {
      'leadFoot.x': -0.1,
      'leadFoot.y': 1.02,
      'leadFoot.z': 0.6,
      'leadKnee.up': 0.9,
      'leadFoot.yaw': 18,
      'leadFoot.pitch': -68,
    },
    arc: { 'leadFoot.y': 0.16, 'leadFoot.z': -0.2 },
    outTime: 0.32,
  },
  'thrust-kick': {
    ...straightAhead,
    foot: 'rear',
    meets: 1.12,
    body: {
      'pelvis.z': 0.04,
      'pelvis.y': 0.05,
      'pelvis.pitch': -16,
      'chest.pitch': -20,
      'pelvis.yaw': 52,
      'chest.yaw': 44,
      'rearHand.z': 0.05,
      'leadHand.z': -0.08,
    },
    support: { 'leadFoot.yaw': 34, 'leadFoot.pitch': 10 },
    leg: {
      'rearFoot.x': 0.24,
      'rearFoot.y': 1.02,
      'rearFoot.z': 1.2,
      'rearKnee.up': 0.9,
      'rearFoot.yaw': 48,
      'rearFoot.pitch': -92,
    },
    arc: { 'rearFoot.y': 0.14, 'rearFoot.z': -0.22 },
    outTime: 0.34,
  },
  'rear-knee': {
    ...straightAhead,
    foot: 'rear',
    meets: 0,
    body: {
      'pelvis.z': 0.52,
      'pelvis.y': 0.07,
      'pelvis.pitch': -14,
      'chest.pitch': -16,
      'pelvis.yaw': 50,
      'chest.yaw': 34,
      'rearHand.y': -0.1,
      'rearHand.z': -0.08,
      'leadHand.y': -0.03,
    },
    support: { 'leadFoot.yaw': 24, 'leadFoot.pitch': 32, 'leadFoot.z': 0.06 },
    leg: {
      'rearFoot.x': 0.22,
      'rearFoot.y': 0.52,
      'rearFoot.z': 0.86,
      'rearKnee.up': 0.6,
      'rearFoot.yaw': 48,
      'rearFoot.pitch': 40,
    },
    arc: { 'rearFoot.y': 0.02, 'rearFoot.z': -0.1 },
    outTime: 0.28,
    returnTime: 0.4,
  },
  'side-kick': {
    ...straightAhead,
    foot: 'lead',
    meets: 1.12,
    body: {
      'pelvis.z': 0.02,
      'pelvis.y': 0.05,
      'pelvis.x': -0.02,
      'pelvis.yaw': -52,
      'pelvis.roll': 24,
      'pelvis.pitch': -4,
      'chest.yaw': -42,
      'chest.roll': 5,
      'chest.pitch': -7,
      'head.yaw': 6,
      'leadHand.y': -0.06,
      'leadHand.x': 0.05,
    },
    support: { 'rearFoot.yaw': -84, 'rearFoot.pitch': -10, 'rearFoot.z': 0.12 },
    leg: {
      'leadFoot.x': -0.1,
      'leadFoot.y': 0.98,
      'leadFoot.z': 0.6,
      'leadKnee.up': 0.9,
      'leadFoot.yaw': -66,
      'leadFoot.pitch': -6,
    },
    arc: { 'leadFoot.y': 0.16, 'leadFoot.z': -0.22 },
    outTime: 0.36,
  },
  'stomp-kick': {
    ...straightAhead,
    foot: 'rear',
    meets: 1.12,
    through: 0.1,
    body: {
      'pelvis.z': -0.08,
      'pelvis.y': 0.03,
      'pelvis.pitch': -8,
      'chest.pitch': -10,
      'pelvis.yaw': 56,
      'chest.yaw': 48,
      'rearHand.z': 0.04,
      'leadHand.z': -0.07,
    },
    support: { 'leadFoot.yaw': 24, 'leadFoot.pitch': 6 },
    leg: {
      'rearFoot.x': 0.24,
      'rearFoot.y': 0.5,
      'rearFoot.z': 1.06,
      'rearKnee.up': 0.9,
      'rearFoot.yaw': 48,
      'rearFoot.pitch': -40,
    },
    arc: { 'rearFoot.y': 0.42, 'rearFoot.z': -0.26 },
    outTime: 0.34,
  },
} as const satisfies Record<string, KickModel>;

/** The leads are changed before the kick, and again after it: the other leg throws it from the mirrored stance. */
const switched = (model: KickModel): KickModel => ({
  ...model,
  foot: model.foot === 'rear' ? 'lead' : 'rear',
  body: mirrored(model.body),
  support: mirrored(model.support),
  leg: mirrored(model.leg),
  arc: mirrored(model.arc),
  beside: swap([-0.85, -0.02], [1.05, 1.6]),
});

/** Off the line to the lead side, so that the kick goes where the partner stood. */
const offLine = 0.3;
const steppedOff: readonly MotionPart[] = [
  { change: { 'pelvis.x': offLine * 0.8, 'chest.roll': -5 }, come: [-1.1, -0.1], go: [1.9, 2.8] },
  ...stepOf('lead', { x: offLine }, [-1.15, -0.35], [2.2, 2.9]),
  ...stepOf('rear', { x: offLine * 0.6 }, [-0.5, 0], [1.9, 2.4]),
];

export const kickModels: Record<KickId, KickModel> = {
  ...own,
  'switch-round': switched(own['rear-round']),
  'switch-knee': switched(own['rear-knee']),
  'step-off-round': { ...own['rear-round'], beside: steppedOff },
};
