import { otherHand, type StrikeModel } from './hand.ts';

/** One beat: a small circle of the fist at the height of the chin, elbow level with it. Two beats of the bag between two hits. */
const front: StrikeModel = {
  kind: 'hand',
  meets: 'glove',
  hand: 'rear',
  body: { 'chest.yaw': 3, 'rearHand.turn': -60 },
  feet: {},
  footLift: 0,
  elbowAngle: 62,
  aside: -0.03,
  depth: 0,
  contactHeight: 1.45,
  arc: { 'rearHand.y': 0.03 },
  load: {},
  advance: 0,
  stay: 0,
  hipLag: 0,
  feetLag: 0,
  outTime: 0.13,
  dwellTime: 0.012,
  returnTime: 0.16,
  bagPush: 0.09,
};
/** From the side the fist comes round with the flat of the first knuckle. */
const side: StrikeModel = {
  ...front,
  aside: -0.1,
  depth: 0.06,
  elbowAngle: 72,
  arc: { 'rearHand.x': -0.07, 'rearHand.y': 0.02 },
  body: { 'chest.yaw': 6, 'rearHand.turn': 10 },
};

/** From one hit to the next, seconds: the bag comes back for the third time. */
export const speedBagRhythm = 0.46;

export const speedBagModels = {
  'speed-bag-front': [front, otherHand(front)],
  'speed-bag-side': [side, otherHand(side)],
  'speed-bag-mix': [front, side, otherHand(front), otherHand(side)],
} as const satisfies Record<string, readonly StrikeModel[]>;
