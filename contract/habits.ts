import { changes } from '@wax-fist/core/correction';
import { habitKinds, movingParts } from '@wax-fist/core/habits';
import { roundKinds } from '@wax-fist/core/rounds';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { count, id, milliseconds, rung, share } from './shapes.ts';

/** The strike to look at first for what is claimed. */
const proof = () => object({ filmId: id(), strikeId: id() });

/** What moves before strikes of a technique set out, see `FirstMove`. */
export const firstMoveShape = object({
  technique: string().required(),
  part: string().oneOf(movingParts).required(),
  times: count(),
  of: count(),
  low: share(),
  high: share(),
  /** Whether a partner could surely read it. */
  readable: boolean().required(),
  /** How long before, in the middle of those. */
  lead: milliseconds(),
  proof: proof().required(),
});
export type FirstMoveOfSession = InferType<typeof firstMoveShape>;

/** How often something was done in a session, of how many times it could have been. */
export const habitLookShape = object({
  sessionId: id(),
  times: count(),
  of: count(),
  low: share(),
  high: share(),
  /** Null where it was not done. */
  proof: proof().nullable().defined(),
});

/** A habit that a partner could read in some session, and whether that has changed. */
export const habitOverSessionsShape = object({
  kind: string().oneOf(habitKinds).required(),
  /** Technique after which it comes, before which it moves, or with which it falls. */
  technique: string().nullable().defined(),
  /** A technique, a side, a height or a part of the body; null where nothing follows. */
  what: string().nullable().defined(),
  looks: array(habitLookShape.required()).required(),
  /** Whether it is done less or more often than at the session `since`; null where there is nothing to hold the last one against. */
  change: string().oneOf(changes).nullable().defined(),
  since: string().nullable().defined(),
});
export type HabitRow = InferType<typeof habitOverSessionsShape>;

/** What a trainee does again and again, over sessions. */
export const traineeHabitsShape = object({
  /** Oldest first. */
  sessions: array(
    object({
      sessionId: id(),
      heldOn: string().required(),
      roundKind: string().oneOf(roundKinds).required(),
      rung: rung().required(),
      strikes: count(),
      /** Strikes of rounds that were called out: what is done there says who called, and is left out. */
      called: count(),
    }).required(),
  ).required(),
  habits: array(habitOverSessionsShape.required()).required(),
  /** Strikes a session has to have. */
  fewest: number().required(),
});
export type TraineeHabits = InferType<typeof traineeHabitsShape>;

/** What somebody does again and again, and what gives it away. */
export const habitEndpoints = {
  firstMoves: endpoint('GET', '/api/sessions/:sessionId/first-moves', staff, {
    reply: array(firstMoveShape.required()).required(),
  }),
  traineeHabits: endpoint('GET', '/api/trainees/:traineeId/habits', staff, { reply: traineeHabitsShape }),
};
