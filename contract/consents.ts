import { seenByWhom } from '@wax-fist/core/trainee';
import { array, boolean, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { count, day, id, note, shortText } from './shapes.ts';

/** Somebody’s word that they may be filmed, as it is written down. A word that was given is not changed: another one is given. */
export const consentDraftShape = object({
  id: id(),
  traineeId: id(),
  givenBy: shortText('Given by').required('Who has agreed?'),
  /** For somebody who is not grown up. */
  asGuardian: boolean().required(),
  seenBy: string().oneOf(seenByWhom).required('Who may see it?'),
  asReference: boolean().required(),
  givenOn: day().required('When?'),
  /** The last day; null until it is withdrawn. */
  until: day().nullable().default(null),
  note: note().default(''),
}).test('order', 'It cannot end before it begins.', ({ givenOn, until }) => !until || until >= givenOn);
export type ConsentDraft = InferType<typeof consentDraftShape>;
export const consentShape = consentDraftShape.shape({ withdrawnOn: day().nullable().defined() });
export type Consent = InferType<typeof consentShape>;

/** Consent to be filmed, and what becomes of films when it is withdrawn. */
export const consentEndpoints = {
  /** The newest first. */
  traineeConsents: endpoint('GET', '/api/trainees/:traineeId/consents', staff, {
    reply: array(consentShape.required()).required(),
  }),
  /** Given again it changes nothing. */
  giveConsent: endpoint('PUT', '/api/consents/:consentId', staff, { body: consentDraftShape, reply: consentShape }),
  /** Films, stills, points, montages and archives that show them are gone with it; what was counted stays. */
  withdrawConsent: endpoint('POST', '/api/trainees/:traineeId/withdrawal', staff, { reply: object({ films: count() }) }),
};
