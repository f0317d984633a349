import type { ShippedCheckpointId } from '@wax-fist/core/technique';
import type { Contribution, Limb, MotionPart, StrikeTimes } from '../part.ts';
import type { StrikeModel } from '../technique/hand.ts';
import type { KickModel } from '../technique/kick.ts';
import type { Thrown } from '../technique/thrown.ts';
import type { SingleModel } from '../technique/single.ts';

/** Where the feet go in a step. Metres. */
export interface Footstep {
  first: Limb;
  by: { x?: number; z?: number };
}

/** The moments of what is thrown, and when anything of it begins. */
export interface FaultMoments extends StrikeTimes {
  begins: number;
}

/** A fault that can be switched on. Strength 0 is none, 1 is as plain as a beginner's. */
export interface FaultModel {
  id: string;
  /** The checkpoint that a coach would mark. */
  checkpoint: ShippedCheckpointId;
  /** What it can be seen in. A series shows the faults of its parts besides. */
  of: readonly Thrown[];
  reshapeHand?: (model: StrikeModel, strength: number) => StrikeModel;
  reshapeKick?: (model: KickModel, strength: number) => KickModel;
  /** Changes the parts of a move, or the feet of a series that steps. */
  reshapeParts?: (parts: readonly MotionPart[], strength: number, step: Footstep | undefined) => MotionPart[];
  /** Adds movement around it, whatever is thrown. */
  around?: (moments: FaultMoments, strength: number, model: SingleModel) => Contribution[];
  /** What it adds is held: of several strikes that follow each other closely the furthest counts, not the sum. */
  held?: boolean;
  /** Seconds that a plain one needs more before the next can be thrown. */
  lasts?: number;
  /** A series that has it as a part, but does not show it. */
  notIn?: readonly Thrown[];
  /** What follows from it by the geometry of a body is seen as well. */
  alsoShows?: readonly ShippedCheckpointId[];
  /** It is heard as a push. */
  pushed?: boolean;
  /** How much more uneven a plain one makes a beat. */
  uneven?: number;
  /** What is done after the last strike comes so much later, seconds of a plain one. */
  lateExit?: number;
}
