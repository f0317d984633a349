import {
  correctionEventKinds,
  correctionStates,
  frequencies,
  isLadderStep,
  ladderSteps,
  largestTarget,
  usualTopRung,
} from '@wax-fist/core/correction';
import { families, views } from '@wax-fist/core/technique';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { coaches, endpoint, staff } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { count, day, frame, id, instant, note, rung, share, text } from './shapes.ts';
import { tallyShape } from './review.ts';

/** The numbers that made a step on the ladder. */
export const stepNumbersShape = object({
  /** Level with its 90% interval, at the session of the step. */
  level: share(),
  low: share(),
  high: share(),
  /** Probability that it is at or below the aim. */
  atAim: share(),
  /** Sessions at this rung that told of it. */
  sessions: count(),
});
export type StepNumbers = InferType<typeof stepNumbersShape>;

/** One line of a correction's history. */
export const correctionEventShape = object({
  id: id(),
  kind: string().oneOf(correctionEventKinds).required(),
  at: instant(),
  by: string().required(),
  sessionId: string().nullable().defined(),
  /** The day of that session. */
  heldOn: string().nullable().defined(),
  note: string().required(),
  /** What was counted when it was re-checked. */
  tally: tallyShape.nullable().default(null),
  /** Of a step on the ladder. */
  rung: rung().nullable().defined(),
  /** What made it; null when it was taken by hand. */
  numbers: stepNumbersShape.nullable().default(null),
  /** Of a drill. */
  often: string().oneOf(frequencies).nullable().default(null),
});
export type CorrectionEvent = InferType<typeof correctionEventShape>;

/** Something that is being worked on, with everything that has happened to it, oldest first. */
export const correctionShape = object({
  id: id(),
  traineeId: id(),
  traineeName: string().required(),
  checkpointId: string().required(),
  technique: string().max(80).required(),
  cue: string().required(),
  /** Highest share of faults that is good enough. */
  target: number().min(0).max(1).required(),
  openedIn: id(),
  openedOn: string().required(),
  recheckOn: string().nullable().defined(),
  state: string().oneOf(correctionStates).required(),
  /** Where it is worked on or held. */
  rung: rung().required(),
  /** How far it has to hold before it is kept. */
  topRung: rung().required(),
  /** The trainee's newest session: where the answer is. */
  newestSession: id(),
  history: array(correctionEventShape.required()).required(),
  /** How often it was a fault when it was counted last, see `FaultRate`: told, so that a list need not know how it is reckoned. */
  counted: object({
    faults: number().required(),
    seen: number().required(),
    rate: share(),
    low: share(),
    high: share(),
    enough: boolean().required(),
  })
    .nullable()
    .defined(),
});
export type Correction = InferType<typeof correctionShape>;

/** Opening a correction: for whom, what, in which words, and when it is looked at again. */
export const correctionDraftShape = object({
  id: id(),
  sessionId: id(),
  checkpointId: string().required(),
  technique: string().max(80).required(),
  cue: text().required('A cue is needed: one short sentence.').max(80, 'A cue has to be short: at most 80 letters.'),
  target: number()
    .typeError('The target is a percentage.')
    .min(0, 'The target cannot be below 0%.')
    .max(largestTarget, `The target cannot be above ${largestTarget * 100}%.`)
    .required(),
  topRung: rung().default(usualTopRung),
  recheckOn: day().nullable().defined(),
});
export type CorrectionDraft = InferType<typeof correctionDraftShape>;

/**
 * Something that happens to a correction. What was counted is added by the server, and so are the numbers of a step on the ladder; a
 * step that the numbers do not propose needs a reason.
 */
export const correctionEventDraftShape = object({
  id: id(),
  kind: string()
    .oneOf(['cue-given', 'drill-given', 're-checked', ...ladderSteps, 'rescheduled', 'closed', 're-opened'])
    .required(),
  /** Only of a step on the ladder. */
  rung: rung().nullable().default(null),
  sessionId: id().nullable().defined(),
  note: note().default(''),
  /** Only of a drill: how often it is done. */
  often: string().oneOf(frequencies).nullable().default(null),
  /** When to look again; of a re-check or a step the usual time after it when not given, else left as it is. */
  recheckOn: day().optional(),
})
  .test(
    'rung',
    'A step on the ladder needs its rung, and nothing else has one.',
    ({ kind, rung: of }) => isLadderStep(kind) === (of !== null),
  )
  .test('often', 'Only a drill is done so and so often.', ({ kind, often }) => kind === 'drill-given' || often === null);

/** A strike that shows a correction's fault, or the thing done well. */
export const evidenceShape = object({
  strikeId: id(),
  filmId: id(),
  sessionId: id(),
  heldOn: string().required(),
  view: string().oneOf(views).required(),
  verdict: string().oneOf(['clean', 'fault']).required(),
  launchFrame: frame(),
  contactFrame: frame(),
  homeFrame: frame(),
});
export type Evidence = InferType<typeof evidenceShape>;

const ofState = pageQuery.shape({
  state: string()
    .oneOf(['open', ...correctionStates])
    .optional(),
});
/** Which corrections a list of the whole club shows. */
const wanted = ofState.shape({
  rung: rung().optional(),
  family: string().oneOf(families).optional(),
  /** Those due up to this day. */
  dueBy: day().optional(),
  /** Those on which nothing has moved on the ladder for four weeks. */
  stuck: string().oneOf(['yes']).optional(),
});
export type WantedCorrections = Omit<InferType<typeof wanted>, 'after'>;
const one = { reply: correctionShape };

/** Corrections, their events, and the strikes that show them. */
export const correctionEndpoints = {
  /** Those due first. */
  listCorrections: endpoint('GET', '/api/corrections', staff, { query: wanted, reply: pageOf(correctionShape.required()) }),
  traineeCorrections: endpoint('GET', '/api/trainees/:traineeId/corrections', staff, {
    query: ofState,
    reply: pageOf(correctionShape.required()),
  }),
  openCorrection: endpoint('PUT', '/api/corrections/:correctionId', coaches, { body: correctionDraftShape, ...one }),
  showCorrection: endpoint('GET', '/api/corrections/:correctionId', staff, one),
  addCorrectionEvent: endpoint('POST', '/api/corrections/:correctionId/events', coaches, {
    body: correctionEventDraftShape,
    ...one,
  }),
  /** The strikes behind one number of a session, faults first. */
  sessionEvidence: endpoint('GET', '/api/sessions/:sessionId/evidence', staff, {
    query: object({ technique: string().max(80).required(), checkpointId: string().max(80).required() }),
    reply: array(evidenceShape.required()).required(),
  }),
  correctionEvidence: endpoint('GET', '/api/corrections/:correctionId/evidence', staff, {
    reply: array(evidenceShape.required()).required(),
  }),
};
