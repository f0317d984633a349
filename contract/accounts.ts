import { clocks, dayOrders, decimalSigns, unitSystems } from '@wax-fist/core/words';
import { boolean, object, string, type InferType } from 'yup';
import { endpoint, roles, signedIn } from './endpoint.ts';
import { typedCode } from './second-factor.ts';
import { id, text } from './shapes.ts';

/** How somebody reads lengths, days, times and numbers. */
export const mannerShape = object({
  units: string().oneOf(unitSystems).required(),
  days: string().oneOf(dayOrders).required(),
  clock: string().oneOf(clocks).required(),
  decimals: string().oneOf(decimalSigns).required(),
});

/** Somebody who signs in, as the pages may know them: no password, no hash. */
export const accountShape = object({
  id: id(),
  email: string().required(),
  name: string().required(),
  role: string().oneOf(roles).required(),
  manner: mannerShape.required(),
  /** The club demands a second factor of this role, and there is none yet: until then nothing else is answered. */
  secondFactorDue: boolean().required(),
});
export type Account = InferType<typeof accountShape>;

/** What is typed at the door. The address is compared without regard to case and spaces. */
export const signInShape = object({
  email: text()
    .transform((email: unknown) => (typeof email === 'string' ? email.toLowerCase() : email))
    .required('Your e-mail address is needed.')
    .email('This is not an e-mail address.'),
  password: string().required('Your password is needed.').max(500),
  /** Asked for where there is a second factor, once the password is right. */
  code: typedCode(),
});

/** Signing in and out, and who is asking. */
export const accountEndpoints = {
  signIn: endpoint('POST', '/api/sign-in', 'anyone', { body: signInShape, reply: accountShape }),
  signOut: endpoint('POST', '/api/sign-out', 'anyone'),
  me: endpoint('GET', '/api/me', signedIn, { reply: accountShape }),
  saveManner: endpoint('PUT', '/api/me/manner', signedIn, { body: mannerShape, reply: mannerShape }),
};
