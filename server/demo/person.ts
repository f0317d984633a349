import type { SessionDraft } from '@wax-fist/contract/sessions';
import type { TraineeDraft } from '@wax-fist/contract/trainees';
import type { CheckpointId, TechniqueId, View } from '@wax-fist/core/technique';
import type { CorrectionEventDraft } from '../features/corrections/write-corrections.ts';

/** A film of the demo club, and how far its review has come. */
export interface DemoFilm {
  /** Name in the footage folder, without ending. */
  name: string;
  view: View;
  /** Rows judged on every strike; none leaves the strikes tagged only. Undefined leaves the film untouched. */
  rows?: readonly CheckpointId[];
  done: boolean;
  /** The row that a second coach, who marked it blind, reads in their own way. */
  readOtherwise?: CheckpointId;
}

/** What a correction is about. */
export interface DemoSubject {
  technique: TechniqueId;
  checkpointId: CheckpointId;
}

/** The re-check is due so many days after the session. */
export interface DemoCorrection extends DemoSubject {
  cue: string;
  target: number;
  recheckAfter: number;
}

/** What a coach said of an earlier correction after seeing this session. */
export interface DemoWord extends DemoSubject {
  kind: CorrectionEventDraft['kind'];
  note: string;
  recheckAfter?: number;
}

export interface DemoSession extends Omit<
  SessionDraft,
  'id' | 'traineeId' | 'heldOn' | 'holderId' | 'schoolNote' | 'holderStance'
> {
  /** How long before today. */
  daysAgo: number;
  schoolNote?: string;
  /** Who of the club holds the pads. */
  holder?: string;
  holderStance?: SessionDraft['holderStance'];
  /** What the round is made of, in words. */
  planned?: string;
  films: readonly DemoFilm[];
  /** Its review is shown to everybody of the club. */
  shown?: boolean;
  corrections?: readonly DemoCorrection[];
  words?: readonly DemoWord[];
}

export interface DemoTrainee extends Omit<TraineeDraft, 'id' | 'schoolId'> {
  /** Where it is not the club’s. */
  schoolId?: string;
  /** Oldest first. */
  sessions: readonly DemoSession[];
}

/** Upstairs, where the bags hang. */
export const upstairs = 'Boathouse, upper floor';
/** The jetty floor, where pads are held. */
export const padFloor = 'Boathouse, jetty floor';
