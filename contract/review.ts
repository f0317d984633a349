import { pinWords, pointNames } from '@wax-fist/core/body';
import { views } from '@wax-fist/core/technique';
import { verdicts } from '@wax-fist/core/review';
import { momentOrigins, type MomentOrigin } from '@wax-fist/core/strikes';
import { array, boolean, lazy, mixed, number, object, string, type InferType } from 'yup';
import { endpoint, seen, staff } from './endpoint.ts';
import { count, day, frame, id, instant, note, version } from './shapes.ts';

/** How one came by a moment. @param unsaid what counts for marks of the time before it was asked */
const origin = (unsaid: MomentOrigin) => string().oneOf(momentOrigins).default(unsaid);

/** No picture is so large that a point of a body in it lies further from its corner, in pixels. */
const farOutside = 32_000;

/** A strike as last told: what was thrown and when. Removing it is one more statement. */
export const strikeMarkShape = object({
  kind: string().oneOf(['strike']).required(),
  id: id(),
  strikeId: id(),
  saidAt: instant(),
  technique: string().max(80).required(),
  /** Place in the series that the technique is, from 0; null for one strike. */
  part: number().integer().min(0).max(99).nullable().default(null),
  launchFrame: frame(),
  contactFrame: frame(),
  homeFrame: frame(),
  launchOrigin: origin('guessed'),
  contactOrigin: origin('set'),
  homeOrigin: origin('guessed'),
  removed: boolean().required(),
}).test(
  'order',
  'A strike is launched, lands and comes home, in this order.',
  ({ launchFrame, contactFrame, homeFrame }) => launchFrame <= contactFrame && contactFrame <= homeFrame,
);
export type StrikeMark = InferType<typeof strikeMarkShape>;

/** A coach's word on one checkpoint of one strike. A null verdict takes an earlier word back. */
export const observationMarkShape = object({
  kind: string().oneOf(['observation']).required(),
  id: id(),
  strikeId: id(),
  saidAt: instant(),
  checkpointId: string().required(),
  verdict: string().oneOf(verdicts).nullable().defined(),
  note: note().nullable().defined(),
  view: string().oneOf(views).required(),
  /** Judged although this view or rate cannot show it. */
  anyway: boolean().default(false),
  /** The verdict that a measure proposed when it was judged; null where none did. */
  proposed: string().oneOf(verdicts).nullable().default(null),
  /** Said by a second coach, who did not see what the first one said: it counts for agreement alone. */
  blind: boolean().default(false),
  checklistVersion: version().min(1),
});
export type ObservationMark = InferType<typeof observationMarkShape>;

/** Where a point of the body is in one frame, put right by hand. */
export const pinMarkShape = object({
  kind: string().oneOf(['pin']).required(),
  id: id(),
  saidAt: instant(),
  frame: frame(),
  point: string().oneOf(pointNames).required(),
  said: string().oneOf(pinWords).required(),
  /** Pixels of the review copy; a place only where the point is here. */
  x: number().min(-farOutside).max(farOutside).nullable().defined(),
  y: number().min(-farOutside).max(farOutside).nullable().defined(),
}).test(
  'place',
  'A point that is here has a place, and no other has one.',
  ({ said, x, y }) => (said === 'here') === (x !== null) && (x === null) === (y === null),
);
export type PinMark = InferType<typeof pinMarkShape>;

/** Every kind of mark that the log takes, with its shape. */
export const markShapes = { strike: strikeMarkShape, observation: observationMarkShape, pin: pinMarkShape };
/** A kind of mark, as `kind` tells it. */
export type MarkKind = keyof typeof markShapes;
/** Anything that a coach says of a film. A mark is never changed: what is said later about the same thing counts instead. */
export type Mark = StrikeMark | ObservationMark | PinMark;
/** What is said of one strike; a pin is said of the film. */
export type MarkOfStrike = StrikeMark | ObservationMark;
export const isOfStrike = (mark: Mark): mark is MarkOfStrike => 'strikeId' in mark;

const isMarkKind = (kind: unknown): kind is MarkKind => typeof kind === 'string' && Object.hasOwn(markShapes, kind);
const markOfUnknownKind = mixed<never>()
  .defined()
  .test('known', 'This kind of mark is not known here.', () => false);
/** A mark of any kind, as its kind has it. */
export const markShape = lazy((mark: { kind?: unknown } | null | undefined) =>
  isMarkKind(mark?.kind) ? markShapes[mark.kind] : markOfUnknownKind,
);

/** Most marks in one request. */
export const mostMarks = 500;

/** What a browser sends at once: marks of one film, in the order in which they were said. Each is checked by itself. */
export const markBatchShape = object({
  marks: array(mixed<Mark>((mark): mark is Mark => mark !== undefined).required())
    .max(mostMarks, `At most ${mostMarks} marks at once.`)
    .required(),
});

/** A mark that was not taken: its place in the batch, from 0, and why. */
export const refusedMarkShape = object({ place: count(), reason: string().required() });
export type RefusedMark = InferType<typeof refusedMarkShape>;
/** What became of a batch: the ids that the log now has, and every mark that it has not taken. */
export const writtenMarksShape = object({
  kept: array(string().required()).required(),
  refused: array(refusedMarkShape.required()).required(),
});
export type WrittenMarks = InferType<typeof writtenMarksShape>;

const saidBy = { saidBy: string().required() };
/** What counts now; to a second coach who marks blind, what they have said themselves. */
export const reviewShape = object({
  /** Whether what the first coach said is kept from whoever asks. */
  blind: boolean().required(),
  strikes: array(strikeMarkShape.shape(saidBy).required()).required(),
  observations: array(observationMarkShape.shape(saidBy).required()).required(),
  pins: array(pinMarkShape.shape(saidBy).required()).required(),
});
export type Review = InferType<typeof reviewShape>;

/** Everything that was ever said of the checkpoints of a strike, newest first, and which of it counts. */
export const historyShape = array(
  object({ mark: observationMarkShape.required(), saidBy: string().required(), counts: boolean().required() }).required(),
).required();

/** How often each verdict was given; not in whole numbers where measures count as well. */
const times = () => number().min(0).required();
export const tallyShape = object({ clean: times(), watch: times(), fault: times(), cantSee: times() });

/** Tally of one technique's checkpoint in one session, as judged from one view. */
export const sessionTallyShape = object({
  sessionId: id(),
  heldOn: string().required(),
  rung: number().required(),
  technique: string().max(80).required(),
  checkpointId: string().required(),
  view: string().oneOf(views).required(),
  tally: tallyShape.required(),
  /** How many strikes of it nobody has judged, so that what was measured of them counts. */
  byMeasure: count().optional(),
});
export type SessionTally = InferType<typeof sessionTallyShape>;

/** Something that was ever looked at in somebody, and how often each verdict was given. */
export const judgedThingShape = object({
  technique: string().max(80).required(),
  checkpointId: string().required(),
  tally: tallyShape.required(),
});
export type JudgedThing = InferType<typeof judgedThingShape>;

/** The log of marks of a film, and what it comes to. */
export const reviewEndpoints = {
  showReview: seen('film', 'filmId', endpoint('GET', '/api/films/:filmId/review', staff, { reply: reviewShape })),
  writeMarks: endpoint('PUT', '/api/films/:filmId/marks', staff, {
    body: markBatchShape,
    reply: writtenMarksShape,
  }),
  strikeHistory: endpoint('GET', '/api/strikes/:strikeId/history', staff, { reply: historyShape }),
  /** Everything that was ever looked at in a trainee. */
  traineeJudged: endpoint('GET', '/api/trainees/:traineeId/judged', staff, {
    reply: array(judgedThingShape.required()).required(),
  }),
  /** By session: all of them, one, or those from a day on. */
  traineeTallies: endpoint('GET', '/api/trainees/:traineeId/tallies', staff, {
    query: object({ sessionId: id().optional(), since: day().optional() }),
    reply: array(sessionTallyShape.required()).required(),
  }),
};
