import type { PoseChange } from '../../body/pose.ts';
import { stepOf, type MotionPart } from '../part.ts';
import { whole, type MoveModel } from './move.ts';

const held = (change: PoseChange): MotionPart => ({ change, ...whole });
const times = { kind: 'move', outTime: 0.24, dwellTime: 0.08, returnTime: 0.3 } as const;
const inPlace = (...parts: MotionPart[]): MoveModel => ({ ...times, parts });

/** Head over the front knee or over the rear one; the hips stay under it. */
const slipTo = (side: 1 | -1): MotionPart =>
  held({
    'pelvis.x': side * 0.07,
    'pelvis.y': -0.06,
    'pelvis.roll': side * -4,
    'chest.roll': side * -15,
    'chest.yaw': side * -14,
    'chest.pitch': 3,
    'head.roll': side * -6,
    'leadHand.x': side * 0.07,
    'rearHand.x': side * 0.07,
    'leadHand.y': -0.03,
    'rearHand.y': -0.03,
  });

/** Down with the knees, across at the bottom, up on the other side. */
const under = (side: 1 | -1, across: number): MotionPart[] => [
  { change: { 'pelvis.y': -0.24, 'chest.pitch': 7, 'head.pitch': -6, 'pelvis.pitch': 2 }, come: [0, 1], go: [0.05, 1] },
  {
    change: { 'pelvis.x': side * across, 'chest.roll': side * -5, 'leadHand.x': side * 0.02, 'rearHand.x': side * 0.02 },
    come: [0.3, 1],
    go: [0.35, 1],
  },
  { change: { 'pelvis.x': side * -0.06, 'chest.roll': side * 6 }, passing: 'in', share: [0, 0.7] },
];

const weaveTo = (side: 1 | -1): MoveModel => ({
  ...times,
  outTime: 0.34,
  returnTime: 0.42,
  first: side === 1 ? 'lead' : 'rear',
  parts: [
    ...under(side, 0.2),
    ...stepOf(side === 1 ? 'lead' : 'rear', { x: side * 0.14 }, [0, 0.6], [0.5, 1]),
    ...stepOf(side === 1 ? 'rear' : 'lead', { x: side * 0.14 }, [0.5, 1], [0, 0.5]),
  ],
});

const parryWith = (hand: 'lead' | 'rear'): MoveModel => ({
  ...times,
  limb: hand,
  outTime: 0.14,
  dwellTime: 0.03,
  returnTime: 0.18,
  parts: [
    held({
      [`${hand}Hand.x`]: hand === 'rear' ? 0.1 : -0.1,
      [`${hand}Hand.z`]: 0.07,
      [`${hand}Hand.y`]: -0.02,
      'chest.yaw': hand === 'rear' ? 6 : -6,
    }),
  ],
});

const blockWith = (hand: 'lead' | 'rear'): MoveModel => {
  const side = hand === 'lead' ? 1 : -1;
  return inPlace(
    held({
      [`${hand}Hand.x`]: side * 0.06,
      [`${hand}Hand.y`]: 0.14,
      [`${hand}Hand.z`]: hand === 'lead' ? -0.22 : -0.09,
      [`${hand}Elbow.out`]: -0.2,
      'pelvis.y': -0.02,
      'chest.roll': side * 4,
      'chest.yaw': side * -5,
      'head.pitch': 4,
    }),
  );
};

const catchParts = [
  held({
    'leadHand.x': 0.2,
    'leadHand.y': -0.34,
    'leadHand.z': -0.02,
    'leadElbow.out': 1.4,
    'pelvis.y': -0.03,
    'pelvis.x': -0.03,
    'chest.yaw': 8,
    'rearHand.y': 0.03,
    'rearHand.x': 0.03,
    'head.pitch': 4,
  }),
];

export const defenceModels = {
  slip: [inPlace(slipTo(1)), inPlace(slipTo(-1))],
  roll: [
    { ...times, outTime: 0.3, returnTime: 0.34, parts: under(-1, 0.14) },
    { ...times, outTime: 0.3, returnTime: 0.34, parts: under(1, 0.14) },
  ],
  weave: [weaveTo(1), weaveTo(-1)],
  'pull-back': [
    {
      ...times,
      outTime: 0.26,
      returnTime: 0.36,
      first: 'rear',
      parts: [
        { change: { 'pelvis.z': -0.24, 'chest.pitch': -4, 'head.pitch': 3 }, come: [0.05, 1], go: [0, 0.95] },
        ...stepOf('rear', { z: -0.24 }, [0, 0.6], [0.45, 1]),
        ...stepOf('lead', { z: -0.24 }, [0.4, 1], [0, 0.6]),
      ],
    },
  ],
  parry: [parryWith('rear'), parryWith('lead')],
  'high-block': [blockWith('lead'), blockWith('rear')],
  'shin-check': [
    inPlace(
      held({
        'pelvis.x': -0.14,
        'pelvis.z': -0.1,
        'pelvis.y': 0.02,
        'pelvis.pitch': -6,
        'chest.pitch': -3,
        'pelvis.yaw': 14,
        'pelvis.roll': 4,
        'leadFoot.x': 0.2,
        'leadFoot.y': 0.46,
        'leadFoot.z': -0.08,
        'leadFoot.yaw': 34,
        'leadFoot.pitch': 24,
        'leadKnee.up': 0.6,
      }),
    ),
  ],
  'catch-kick': [{ ...inPlace(...catchParts), limb: 'lead' }],
  'level-follow': [
    {
      ...times,
      outTime: 0.3,
      dwellTime: 0.25,
      returnTime: 0.36,
      parts: [held({ 'pelvis.y': -0.27, 'chest.pitch': 5, 'head.pitch': -6 })],
    },
  ],
  sprawl: [
    {
      ...times,
      outTime: 0.42,
      dwellTime: 0.1,
      returnTime: 0.5,
      parts: [
        held({
          'pelvis.y': -0.56,
          'pelvis.z': -0.34,
          'pelvis.pitch': 50,
          'pelvis.yaw': 30,
          'chest.pitch': 52,
          'chest.yaw': 32,
          'head.pitch': -26,
          'head.yaw': 4,
          'leadHand.x': 0.1,
          'leadHand.y': -0.62,
          'leadHand.z': 0.32,
          'rearHand.x': -0.1,
          'rearHand.y': -0.62,
          'rearHand.z': 0.42,
        }),
        ...stepOf('rear', { x: -0.02, z: -0.6, yaw: 40 }, [0, 0.8], [0.2, 1]),
        ...stepOf('lead', { x: 0.12, z: -1.02, yaw: 10 }, [0.1, 0.95], [0.05, 0.9]),
        { change: { 'leadFoot.y': 0.06, 'rearFoot.y': 0.04 }, passing: 'in', share: [0.05, 0.95] },
        { change: { 'leadFoot.y': 0.06, 'rearFoot.y': 0.04 }, passing: 'out', share: [0.05, 0.95] },
        { change: { 'rearFoot.pitch': 34, 'leadFoot.pitch': 54 }, come: [0.2, 1], go: [0, 0.8] },
      ],
    },
  ],
} as const satisfies Record<string, readonly MoveModel[]>;
