import { changes, ladderSteps } from '@wax-fist/core/correction';
import { array, number, object, string, type InferType } from 'yup';
import { coaches, endpoint, staff } from './endpoint.ts';
import { tallyShape } from './review.ts';
import { count, id, note, share } from './shapes.ts';

/** A level at one session, told by all sessions at its rung. */
export const levelAtShape = object({
  sessionId: id(),
  heldOn: string().required(),
  tally: tallyShape.required(),
  level: share(),
  low: share(),
  high: share(),
});

/** What all sessions at a rung say of one thing after the last of them. */
export const answerShape = object({
  technique: string().max(80).required(),
  checkpointId: string().required(),
  rung: number().required(),
  /** The session against which the last one is held; null when it is the only one. */
  since: object({ sessionId: id(), heldOn: string().required() }).nullable().default(null),
  change: string().oneOf(changes).nullable().defined(),
  /** Probabilities: that it fell since then by as much as is worth a word, that it rose, that it is at or below the aim. */
  fell: share(),
  rose: share(),
  atAim: share(),
  /** Oldest first; of a session’s answers only at the opening and now. */
  levels: array(levelAtShape.required()).required(),
  /** How many sessions tell of it. */
  sessions: count(),
  /** So many more sessions of so many strikes would settle it; null when it is settled, or no such number would. */
  settling: object({ sessions: count(), strikes: count() }).nullable().default(null),
  weeksToAim: number().nullable().defined(),
  /** The correction that asks, if one does. */
  correctionId: id().nullable().defined(),
  /** The step on the ladder that this proposes. */
  proposed: object({ kind: string().oneOf(ladderSteps).required(), rung: number().required() })
    .nullable()
    .default(null),
});
export type LevelAnswer = InferType<typeof answerShape>;

/** How often a cause of the checklists and what it may bring about were faults on the same strikes of a session. */
export const togetherShape = object({
  technique: string().max(80).required(),
  cause: string().required(),
  effect: string().required(),
  both: count(),
  onlyCause: count(),
  onlyEffect: count(),
  neither: count(),
});

const placed = () =>
  array(object({ technique: string().max(80).required(), checkpointId: string().max(80).required() }).required())
    .max(200)
    .required();
/** In which order a coach would mend what a session showed, against the sum. */
export const ownOrderDraftShape = object({
  id: id(),
  placed: placed(),
  reason: note()
    .default('')
    .when('placed', ([placed], reason) =>
      Array.isArray(placed) && placed.length > 0
        ? reason.required('Say in a few words why this order is better than the sum.')
        : reason,
    ),
});
export type OwnOrderDraft = InferType<typeof ownOrderDraftShape>;
export const ownOrderShape = object({
  placed: placed(),
  reason: string().required(),
  saidBy: string().required(),
  at: string().required(),
});
export type OwnOrder = InferType<typeof ownOrderShape>;

const levelShape = object({ level: share(), low: share(), high: share() });
/** Under what a level is held against itself. */
export const conditions = ['tired', 'rung', 'lead'] as const;
/** One level against another: the last thirds of rounds against the first ones, a harder rung against an easier one, the other foot in front against the usual one. */
export const comparedShape = object({
  correctionId: id(),
  condition: string().oneOf(conditions).required(),
  /** The rung of each; of thirds the same. */
  rungs: array(number().required()).length(2).required(),
  first: levelShape.required(),
  second: levelShape.required(),
  /** Strikes seen of each. */
  seen: array(number().required()).length(2).required(),
  higher: share(),
  lower: share(),
});
export type ComparedLevels = InferType<typeof comparedShape>;

const reply = array(answerShape.required()).required();

/** What was counted over sessions, and what it comes to. */
export const answerEndpoints = {
  /** Every question of a session, trainee's and holder's, as it stood after it. */
  sessionAnswers: endpoint('GET', '/api/sessions/:sessionId/answers', staff, { reply }),
  /** How the open corrections of a trainee stand when tired, and from rung to rung. */
  traineeConditions: endpoint('GET', '/api/trainees/:traineeId/conditions', staff, {
    reply: array(comparedShape.required()).required(),
  }),
  sessionTogether: endpoint('GET', '/api/sessions/:sessionId/together', staff, {
    reply: array(togetherShape.required()).required(),
  }),
  /** The order that counts; null where the sum does. */
  sessionOrder: endpoint('GET', '/api/sessions/:sessionId/order', staff, { reply: ownOrderShape.nullable().defined() }),
  /** An empty order goes back to the sum. */
  orderSession: endpoint('PUT', '/api/sessions/:sessionId/order', coaches, {
    body: ownOrderDraftShape,
    reply: ownOrderShape.nullable().defined(),
  }),
  /** Every correction of a trainee at every rung at which it was looked at, as it stands now; or one thing, whether it is worked on or not. */
  traineeAnswers: endpoint('GET', '/api/trainees/:traineeId/answers', staff, {
    query: object({ technique: string().max(80).optional(), checkpointId: string().max(80).optional() }),
    reply,
  }),
};
