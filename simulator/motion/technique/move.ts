import type { Limb, MotionPart } from '../part.ts';

/** A movement that meets nothing: a defence or a piece of footwork, there and back again. Seconds. */
export interface MoveModel {
  kind: 'move';
  parts: readonly MotionPart[];
  outTime: number;
  dwellTime: number;
  returnTime: number;
  /** Foot that goes first on the way there; none where the feet stay. */
  first?: Limb;
  /** Hand that does it; none where it is the whole body. */
  limb?: Limb;
}

/** Everything comes and goes together with the body. */
export const whole = { come: [0, 1], go: [0, 1] } as const;
