import type { Limb } from '../part.ts';
import { whole, type MoveModel } from './move.ts';

/** A straight that is begun and taken back: the hand goes a part of the way, the shoulder with it, the weight stays. */
const feintWith = (hand: Limb, forward: number): MoveModel => {
  const side = hand === 'lead' ? -1 : 1;
  return {
    ...{ kind: 'move', limb: hand, outTime: 0.13, dwellTime: 0.03, returnTime: 0.17 },
    parts: [
      {
        change: {
          [`${hand}Hand.z`]: forward,
          [`${hand}Hand.x`]: side * 0.05,
          'chest.yaw': side * (hand === 'lead' ? 8 : 14),
          'pelvis.y': -0.015,
        },
        ...whole,
      },
    ],
  };
};

export const feintModels = {
  feint: [
    feintWith('lead', 0.17),
    feintWith('rear', 0.18),
    feintWith('lead', 0.24),
    feintWith('lead', 0.12),
    feintWith('rear', 0.12),
  ],
} as const satisfies Record<string, readonly MoveModel[]>;
