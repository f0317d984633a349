import type { Metres, Seconds } from '@wax-fist/core/units';
import type { ShippedCheckpointId } from '@wax-fist/core/technique';
import type { Vector3 } from 'three';
import type { BodySide } from '@wax-fist/core/body';
import type { Body } from '../body/skeleton.ts';
import type { BagHit } from './bag.ts';
import type { HeldFault } from './fault/holder.ts';
import type { StrikeTimes } from './part.ts';
import type { StationId } from './station.ts';
import type { Single, SingleModel } from './technique/single.ts';
import type { Thrown } from './technique/thrown.ts';

/** Where a pad is and where it looks, in the room. */
export interface Pad {
  side: BodySide;
  position: Vector3;
  normal: Vector3;
}

/** A second person, who faces the trainee and is where the strikes land. */
export interface Holding {
  bodyAt: (seconds: Seconds) => Body;
  padsAt: (seconds: Seconds) => Pad[];
  /** Where the lead foot points its toes, as if the trainee were orthodox. */
  leadToesAt: (seconds: Seconds) => Vector3;
}

/** One movement as it was done, with what its faults made of it. */
export interface ThrownPart extends StrikeTimes {
  technique: Single;
  model: SingleModel;
  /** At contact; 0 for what is no strike with a hand. Degrees. */
  elbowAngle: number;
}

/** One thrown strike, move or series with everything that is true of it. Seconds of the round, degrees. */
export interface ThrownStrike extends StrikeTimes {
  technique: Thrown;
  /** Place in its combination, from 1, and how many there are. */
  place: number;
  faults: { id: string; checkpoint: ShippedCheckpointId; strength: number }[];
  /** Of its last strike with a hand, at contact; 0 where there is none. */
  elbowAngle: number;
  parts: readonly ThrownPart[];
  /** When anything of it begins: a switch, a step off the line, a step in. */
  begins: Seconds;
  /** When its feet step, with the foot that should go first; none where they stay. */
  feet?: StrikeTimes & { first: 'lead' | 'rear' };
  /** What the holder does wrong meanwhile; none where nobody holds. */
  held?: HeldFault[];
  /** Whether something is done after it. */
  exit: boolean;
}

/** Something that is heard and felt. */
export interface Impact extends BagHit {
  on: StationId;
  /** 0 a push, 1 a crack. */
  snap: number;
  /** Against a jab. */
  weight: number;
}

/** A round that was worked, whoever films it and from where. Seconds. */
export interface Performance {
  seconds: Seconds;
  strikes: ThrownStrike[];
  hits: Impact[];
  /** When the bell rings: at the beginning and at the end of every round. */
  rings: Seconds[];
  /** From first to last strike of each round. */
  rounds: [from: Seconds, to: Seconds][];
  bodyAt: (seconds: Seconds) => Body;
  /** The same as if the trainee were orthodox: a southpaw is the mirror image. */
  orthodoxAt: (seconds: Seconds) => Body;
  /** How far what is hit has moved away, at the reference stature. */
  bagAt: (seconds: Seconds) => Metres;
  /** How deep what is hit is dented, 0 to 1. */
  dentAt: (seconds: Seconds) => number;
  /** Degrees that the whole body has turned from the line of attack. */
  facingAt: (seconds: Seconds) => number;
  /** Who holds; none where nobody does. */
  holder?: Holding;
}
