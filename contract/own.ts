import { roundKinds } from '@wax-fist/core/rounds';
import { stances, views } from '@wax-fist/core/technique';
import { array, boolean, object, string, type InferType } from 'yup';
import { endpoint, ownAndShown, ownPages, seen } from './endpoint.ts';
import { planRowShape } from './plan-lists.ts';
import { count, day, id, milliseconds, rung } from './shapes.ts';

/** A correction as whoever works on it sees it: what to think of, and when it is looked at again. */
export const ownCorrectionShape = object({
  id: id(),
  technique: string().required(),
  name: string().required(),
  cue: string().required(),
  rung: rung().required(),
  recheckOn: day().nullable().defined(),
});

/** A released session as a line of a list. */
const releasedFields = {
  id: id(),
  heldOn: day().required(),
  roundKind: string().oneOf(roundKinds).required(),
  films: count(),
  strikes: count(),
};

/** What was released to somebody of a trainee, and what is planned for them. */
export const ownTraineeShape = object({
  id: id(),
  name: string().required(),
  stance: string().oneOf(stances).required(),
  schoolId: id().nullable().defined(),
  /** Open ones that were released, those looked at soonest first. */
  corrections: array(ownCorrectionShape.required()).required(),
  /** From today on, and those of the last days that were not done; the next first. */
  plans: array(planRowShape.required()).required(),
  /** Released ones, newest first. */
  sessions: array(object(releasedFields).required()).required(),
});
export type OwnTrainee = InferType<typeof ownTraineeShape>;

/** A strike of a film, with what the coach said of it. */
export const ownStrikeShape = object({
  id: id(),
  technique: string().required(),
  /** When it lands, in the time of the review copy. */
  at: milliseconds(),
  /** What to change about it, and the cue for that; empty where nothing is. */
  faults: array(object({ name: string().required(), cue: string().defined() }).required()).required(),
  /** So many things were as they should be. */
  clean: count(),
});
export type OwnStrike = InferType<typeof ownStrikeShape>;

/** The review of a session, as it was released. */
export const ownReviewShape = object({
  id: id(),
  traineeId: id(),
  traineeName: string().required(),
  heldOn: day().required(),
  roundKind: string().oneOf(roundKinds).required(),
  /** Whether it is of somebody for whom they sign in: then there is a report, too. */
  own: boolean().required(),
  /** In the order in which they were filmed. */
  films: array(
    object({ id: id(), view: string().oneOf(views).required(), strikes: array(ownStrikeShape.required()).required() }).required(),
  ).required(),
});
export type OwnReview = InferType<typeof ownReviewShape>;

/** A review that is shown to everybody of the club. */
export const shownReviewShape = object({ traineeName: string().required(), ...releasedFields });
export type ShownReview = InferType<typeof shownReviewShape>;

/** What trainees and guardians see: what was released to them, and nothing else. */
export const ownEndpoints = {
  /** Of all for whom somebody signs in, by name. */
  ownTrainees: endpoint('GET', '/api/own', ownPages, { reply: array(ownTraineeShape.required()).required() }),
  ownReview: seen(
    'training_session',
    'sessionId',
    endpoint('GET', '/api/own/sessions/:sessionId', ownAndShown, { reply: ownReviewShape }),
  ),
  /** What others have agreed to have shown to everybody of the club, the newest first. */
  shownReviews: endpoint('GET', '/api/own/shown', ownPages, { reply: array(shownReviewShape.required()).required() }),
};
