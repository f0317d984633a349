import { correctionEventKinds, correctionStates, largestTarget } from '@wax-fist/core/correction';
import { views } from '@wax-fist/core/technique';
import { array, number, object, string, type InferType } from 'yup';
import { coaches, endpoint } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { day, frame, id, instant, note, text } from './shapes.ts';
import { tallyShape } from './review.ts';

/** One line of a correction's history. */
export const correctionEventShape = object({
  id: id(),
  kind: string().oneOf(correctionEventKinds).required(),
  at: instant(),
  by: string().required(),
  sessionId: string().nullable().defined(),
  note: string().required(),
  /** What was counted when it was re-checked. */
  tally: tallyShape.nullable().default(null),
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
  /** The trainee's newest session: where the answer is. */
  newestSession: id(),
  history: array(correctionEventShape.required()).required(),
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
  recheckOn: day().nullable().defined(),
});
export type CorrectionDraft = InferType<typeof correctionDraftShape>;

/** Something that happens to a correction. What was counted is added by the server. */
export const correctionEventDraftShape = object({
  id: id(),
  kind: string().oneOf(['cue-given', 're-checked', 'closed', 're-opened']).required(),
  sessionId: id().nullable().defined(),
  note: note().default(''),
  /** When to look again; left as it is when not given. */
  recheckOn: day().optional(),
});

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

const ofState = pageQuery.shape({ state: string().oneOf(correctionStates).optional() });
const one = { reply: correctionShape };

/** Corrections, their events, and the strikes that show them. */
export const correctionEndpoints = {
  /** Those due first. */
  listCorrections: endpoint('GET', '/api/corrections', coaches, { query: ofState, reply: pageOf(correctionShape.required()) }),
  traineeCorrections: endpoint('GET', '/api/trainees/:traineeId/corrections', coaches, {
    query: ofState,
    reply: pageOf(correctionShape.required()),
  }),
  openCorrection: endpoint('PUT', '/api/corrections/:correctionId', coaches, { body: correctionDraftShape, ...one }),
  showCorrection: endpoint('GET', '/api/corrections/:correctionId', coaches, one),
  addCorrectionEvent: endpoint('POST', '/api/corrections/:correctionId/events', coaches, {
    body: correctionEventDraftShape,
    ...one,
  }),
  correctionEvidence: endpoint('GET', '/api/corrections/:correctionId/evidence', coaches, {
    reply: array(evidenceShape.required()).required(),
  }),
};
