import { createHash, randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import { toString } from 'qrcode';
import type { OfferedSecret } from '@wax-fist/contract/second-factor';

/** As apps expect it where nothing else is told (RFC 6238): six digits, anew every half minute. */
const [digits, period] = [6, 30] as const;
/** A clock may be wrong by a half minute, and somebody types slowly. */
const mayBeOff = 1;
const bytesOfSecret = 20;
/** Nobody guesses 120 bits, so a plain hash keeps them. */
const [codesMade, bytesOfCode] = [8, 15] as const;

const totpOf = (secret: string, email = ''): TOTP =>
  new TOTP({ issuer: 'Wax Fist', label: email, secret: Secret.fromBase32(secret), digits, period });

/** As it is meant: without spaces and dashes, in small letters. */
const asMeant = (code: string): string => code.replaceAll(/[\s-]/g, '').toLowerCase();
export const isOfApp = (code: string): boolean => /^\d+$/.test(asMeant(code)) && asMeant(code).length === digits;

/** The half minute, since 1970, of which a code is; undefined when it is wrong or out of time. @param now milliseconds since 1970 */
export function stepOf(secret: string, code: string, now: number): number | undefined {
  const off = totpOf(secret).validate({ token: asMeant(code), window: mayBeOff, timestamp: now });
  return off === null ? undefined : Math.floor(now / 1000 / period) + off;
}
/** What the app shows. @param now milliseconds since 1970 */
export const codeAt = (secret: string, now: number): string => totpOf(secret).generate({ timestamp: now });

/** A new secret for somebody’s app. */
export async function newSecret(email: string): Promise<OfferedSecret> {
  const secret = new Secret({ buffer: new Uint8Array(randomBytes(bytesOfSecret)).buffer }).base32;
  const address = totpOf(secret, email).toString();
  return { secret, address, picture: await toString(address, { type: 'svg' }) };
}

export const hashOf = (code: string): string => createHash('sha256').update(asMeant(code)).digest('base64url');

/** Codes for when the app is lost: four letters and again, that are hard to mistake. */
export const newCodes = (): string[] =>
  Array.from({ length: codesMade }, () =>
    new Secret({ buffer: new Uint8Array(randomBytes(bytesOfCode)).buffer }).base32.toLowerCase().match(/.{4}/g)!.join('-'),
  );
