import { roundKinds } from '@wax-fist/core/moments';
import { array, number, object, string, type InferType } from 'yup';
import { coaches, endpoint } from './endpoint.ts';
import { clipShape } from './footage.ts';
import { count, day, id, note, shortText } from './shapes.ts';
import { traineeShape } from './trainees.ts';

const sessionFields = {
  heldOn: day().required('When was it?'),
  place: shortText('Place').default(''),
  kit: shortText('Kit').default(''),
  roundKind: string().oneOf(roundKinds, 'What was hit?').required(),
  rung: number().integer().min(1).max(7).required(),
  schoolNote: note().default(''),
};

export const sessionDraftShape = object({ id: id(), traineeId: id(), ...sessionFields });
export const sessionShape = object({ id: id(), traineeId: id(), ...sessionFields });
export type Session = InferType<typeof sessionShape>;
export type SessionDraft = InferType<typeof sessionDraftShape>;

export const sessionDetailShape = sessionShape.shape({
  trainee: traineeShape.required(),
  clips: array(clipShape.required()).required(),
});
export type SessionDetail = InferType<typeof sessionDetailShape>;

export const sessionRowShape = sessionShape.shape({ traineeName: string().required(), clips: count(), strikes: count() });
export type SessionRow = InferType<typeof sessionRowShape>;

export const sessionEndpoints = {
  listSessions: endpoint('GET', '/api/trainees/:traineeId/sessions', coaches, {
    reply: array(sessionRowShape.required()).required(),
  }),
  saveSession: endpoint('PUT', '/api/sessions/:sessionId', coaches, { body: sessionDraftShape, reply: sessionShape }),
  showSession: endpoint('GET', '/api/sessions/:sessionId', coaches, { reply: sessionDetailShape }),
};
