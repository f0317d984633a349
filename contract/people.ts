import { array, boolean, object, string, type InferType, type TestFunction } from 'yup';
import { accountShape, signInShape } from './accounts.ts';
import { endpoint, headCoachOnly, roles, signedIn, type Role } from './endpoint.ts';
import { typedCode } from './second-factor.ts';
import { id, instant, shortText } from './shapes.ts';

interface Wards {
  least: number;
  most: number;
  problem: string;
}
const nobody: Wards = { least: 0, most: 0, problem: 'Who works in the club signs in for nobody.' };
/** For how many trainees each role signs in, and what is said where it is another number. */
const wardsOf: Readonly<Record<Role, Wards>> = {
  ...{ 'head-coach': nobody, coach: nobody, assistant: nobody },
  trainee: { least: 1, most: 1, problem: 'Which trainee is it?' },
  guardian: { least: 1, most: 20, problem: 'Whose guardian? One to twenty trainees.' },
};

/** What somebody is in the club, and for which trainees they sign in. */
const standing = {
  role: string().oneOf(roles, 'This is no role.').required('As what?'),
  traineeIds: array(id()).default([]),
};
/** @returns the problem of a field, or true; what is no role is told by its own field */
const rightNumber: TestFunction<{ role?: unknown; traineeIds?: unknown }> = function ({ role, traineeIds }) {
  const known = roles.find((one) => one === role);
  if (!known || !Array.isArray(traineeIds)) return true;
  const { least, most, problem } = wardsOf[known];
  const count = new Set(traineeIds).size;
  return (count >= least && count <= most) || this.createError({ path: 'traineeIds', message: problem });
};

/** Fewer letters are guessed; how they are chosen is nobody’s business (NIST SP 800-63B). */
export const leastLetters = 12;
export const newPassword = () =>
  string()
    .required('A password is needed.')
    .min(leastLetters, `At least ${leastLetters} letters: a short sentence is easier to keep than signs.`)
    .max(500, 'At most 500 letters.');

/** Somebody who signs in, as the head coach sees them. */
export const personShape = accountShape.omit(['manner', 'secondFactorDue']).shape({
  /** When they last signed in; null when they never did, or signed out everywhere. */
  lastSignIn: instant().nullable().defined(),
  /** Whether they need a code besides. */
  secondFactor: boolean().required(),
  /** For whom they sign in. */
  trainees: array(object({ id: id(), name: string().required() }).required()).required(),
});
export type Person = InferType<typeof personShape>;

/** A link by which somebody comes in, once. */
export const inviteShape = object({
  id: id(),
  name: shortText('Name').required('For whom is it?'),
  ...standing,
}).test('for-whom', rightNumber);
export type Invite = InferType<typeof inviteShape>;
export const openInviteShape = inviteShape.shape({ endsAt: instant() });
export type OpenInvite = InferType<typeof openInviteShape>;

/** What a link carries: shown once, and kept by nobody. */
export const codeShape = object({ code: string().required(), endsAt: instant() });

/** What a link is for. */
export const behindLinkShape = object({
  kind: string().oneOf(['join', 'reset']).required(),
  name: string().required(),
  role: string().oneOf(roles).required(),
  /** Of an account that is there already. */
  email: string().nullable().defined(),
});
export type BehindLink = InferType<typeof behindLinkShape>;

/** A browser in which somebody is signed in. */
export const signedInShape = object({
  id: string().required(),
  since: instant().nullable().defined(),
  /** What the browser says that it is. */
  browser: string().defined(),
  here: boolean().required(),
});
export type SignedInBrowser = InferType<typeof signedInShape>;

const withPassword = object({ password: newPassword() });

/** The people of a club who sign in: invited by a link, helped back in by a code, and where each is signed in. */
export const peopleEndpoints = {
  /** By name. */
  listPeople: endpoint('GET', '/api/people', headCoachOnly, { reply: array(personShape.required()).required() }),
  changePerson: endpoint('PUT', '/api/people/:personId', headCoachOnly, {
    body: object(standing).test('for-whom', rightNumber),
    reply: personShape,
  }),
  /** They can no longer sign in; what they said stays, under no name. */
  removePerson: endpoint('DELETE', '/api/people/:personId', headCoachOnly),
  /** A code for somebody who has lost their password; it ends within the hour. */
  helpBackIn: endpoint('POST', '/api/people/:personId/reset', headCoachOnly, { reply: codeShape }),

  /** Those that can still be used. */
  listInvites: endpoint('GET', '/api/invites', headCoachOnly, { reply: array(openInviteShape.required()).required() }),
  /** Made again it has another code, and the first one opens nothing any more. */
  invite: endpoint('POST', '/api/invites', headCoachOnly, { body: inviteShape, reply: codeShape }),
  removeInvite: endpoint('DELETE', '/api/invites/:inviteId', headCoachOnly),

  behindLink: endpoint('GET', '/api/links/:code', 'anyone', { reply: behindLinkShape }),
  /** Comes in by an invite, and is signed in. */
  join: endpoint('POST', '/api/links/:code/join', 'anyone', {
    body: signInShape
      .pick(['email'])
      .shape({ name: shortText('Name').required('Your name is needed.'), password: newPassword() }),
    reply: accountShape,
  }),
  /** Sets a new password by a code, and is signed in here and nowhere else. */
  reset: endpoint('POST', '/api/links/:code/reset', 'anyone', {
    body: withPassword.shape({ code: typedCode() }),
    reply: accountShape,
  }),

  /** Every other browser is signed out. */
  changePassword: endpoint('PUT', '/api/me/password', signedIn, {
    body: withPassword.shape({ current: string().required('Your password until now.').max(500) }),
    reply: accountShape,
  }),
  mySignIns: endpoint('GET', '/api/me/sign-ins', signedIn, { reply: array(signedInShape.required()).required() }),
  /** One of them, or every other one where none is named. */
  endSignIns: endpoint('POST', '/api/me/sign-ins/end', signedIn, {
    body: object({ id: string().max(100).nullable().default(null) }),
  }),
};
