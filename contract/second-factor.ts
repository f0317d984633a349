import { array, boolean, object, string, type InferType } from 'yup';
import { endpoint, headCoachOnly, roles, signedIn } from './endpoint.ts';
import { count, instant, text } from './shapes.ts';

/** Six digits of the app, or one of the codes for when it is lost, as it is typed; empty where there is no second factor. */
export const typedCode = () => text().max(60, 'This is no such code.').default('');

/** Whether somebody needs a code to sign in, since when, how many codes for a lost app are left, and whether the club demands it. */
export const secondFactorShape = object({
  since: instant().nullable().defined(),
  codesLeft: count(),
  demanded: boolean().required(),
});
export type SecondFactor = InferType<typeof secondFactorShape>;

/** What an app is told: by its picture, or typed. */
export const offeredSecretShape = object({
  /** In base 32. */
  secret: string().required(),
  /** The same with whose it is, as an address that apps read (otpauth). */
  address: string().required(),
  /** The address as a square code: an SVG. */
  picture: string().required(),
});
export type OfferedSecret = InferType<typeof offeredSecretShape>;

/** Of which roles a second factor is demanded. */
export const secondFactorDemandShape = object({ roles: array(string().oneOf(roles).required()).required() });
export type SecondFactorDemand = InferType<typeof secondFactorDemandShape>;

/** The password, so that nobody who finds a browser open changes how one signs in. */
const withPassword = object({ current: string().required('Your password is needed.').max(500) });

/** A second factor of oneself: an app that makes codes. A head coach takes it off somebody who has lost everything. */
export const secondFactorEndpoints = {
  mySecondFactor: endpoint('GET', '/api/me/second-factor', signedIn, { reply: secondFactorShape }),
  /** A secret for an app. It counts once a code of it has come. */
  offerSecondFactor: endpoint('POST', '/api/me/second-factor/offer', signedIn, { body: withPassword, reply: offeredSecretShape }),
  /** Every other browser is signed out. The codes are shown this once. */
  takeSecondFactor: endpoint('POST', '/api/me/second-factor', signedIn, {
    body: object({ code: typedCode().required('The six digits that the app shows.') }),
    reply: object({ codes: array(string().required()).required() }),
  }),
  leaveSecondFactor: endpoint('POST', '/api/me/second-factor/leave', signedIn, { body: withPassword }),
  showSecondFactorDemand: endpoint('GET', '/api/second-factor-demand', headCoachOnly, { reply: secondFactorDemandShape }),
  /** Whoever has one of these roles and no second factor can do nothing else until they have one. */
  saveSecondFactorDemand: endpoint('PUT', '/api/second-factor-demand', headCoachOnly, {
    body: secondFactorDemandShape,
    reply: secondFactorDemandShape,
  }),
  takeOffSecondFactor: endpoint('DELETE', '/api/people/:personId/second-factor', headCoachOnly),
};
