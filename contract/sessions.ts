import { roundKinds } from '@wax-fist/core/rounds';
import { stances } from '@wax-fist/core/technique';
import { releasedToWhom } from '@wax-fist/core/trainee';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { coaches, endpoint, seen, staff } from './endpoint.ts';
import { pageOf, pageQuery } from './page.ts';
import { filmShape } from './footage.ts';
import { judgedByShape, type JudgedBy } from './schools.ts';
import { count, day, id, instant, note, shortText, rung } from './shapes.ts';
import { traineeShape } from './trainees.ts';

const sessionFields = {
  heldOn: day().required('When was it?'),
  place: shortText('Place').default(''),
  kit: shortText('Kit').default(''),
  roundKind: string().oneOf(roundKinds, 'What was hit?').required(),
  rung: rung().required(),
  schoolNote: note().default(''),
  /** Who holds the pads and is looked at, too. */
  holderId: id().nullable().default(null),
  /** How the holder stands, where it is nobody of the club or not as usual. */
  holderStance: string().oneOf(stances).nullable().default(null),
};

/** By what a session is judged. Both stay as they were when it was entered, until they are changed here. */
const standard = { checklistVersion: number().integer().min(1).required(), judgedBy: judgedByShape.required() };

/** A training session as it is written down. */
export const sessionDraftShape = object({ id: id(), traineeId: id(), ...sessionFields });
/** A training session with the school, the checklists and the call book by which it is judged. */
export const sessionShape = object({
  ...{ id: id(), traineeId: id(), ...sessionFields, ...standard },
  /** Since when whoever signs in for the trainee sees its review; null while they do not. */
  releasedAt: instant().nullable().defined(),
  /** Whether everybody who signs in here sees its films, as long as those in them have agreed to it. */
  shownToClub: boolean().required(),
});
export type Session = Omit<InferType<typeof sessionShape>, 'judgedBy'> & { judgedBy: JudgedBy };
export type SessionDraft = InferType<typeof sessionDraftShape>;

/** A session with its trainee, its holder and its films. */
export const sessionDetailShape = sessionShape.shape({
  trainee: traineeShape.required(),
  films: array(filmShape.required()).required(),
  holder: traineeShape.nullable().defined(),
});
export type SessionDetail = Omit<InferType<typeof sessionDetailShape>, 'judgedBy'> & { judgedBy: JudgedBy };

/** A session as a line of a list. */
export const sessionRowShape = sessionShape.shape({ traineeName: string().required(), films: count(), strikes: count() });
export type SessionRow = InferType<typeof sessionRowShape>;

/** Training sessions of a trainee, and by what they are judged. */
export const sessionEndpoints = {
  /** Newest first. */
  listSessions: endpoint('GET', '/api/trainees/:traineeId/sessions', staff, {
    query: pageQuery,
    reply: pageOf(sessionRowShape.required()),
  }),
  /** Judges a session by this school, and by the newest checklists. */
  judgeSessionBy: endpoint('PUT', '/api/sessions/:sessionId/judged-by', coaches, {
    body: object({ schoolId: id(), newest: boolean().required() }),
    reply: sessionShape,
  }),
  /**
   * Shows its review, and the cards of corrections that were opened in it, to whoever signs in for the trainee; its films and what
   * was said of their strikes also to everybody of the club, once those in them have agreed to that; or to coaches only.
   */
  releaseSession: endpoint('PUT', '/api/sessions/:sessionId/release', coaches, {
    body: object({ to: string().oneOf(releasedToWhom).required() }),
    reply: sessionShape,
  }),
  saveSession: endpoint('PUT', '/api/sessions/:sessionId', staff, { body: sessionDraftShape, reply: sessionShape }),
  showSession: seen(
    'training_session',
    'sessionId',
    endpoint('GET', '/api/sessions/:sessionId', staff, { reply: sessionDetailShape }),
  ),
};
