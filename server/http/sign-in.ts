import type { Allowed, Role } from '@wax-fist/contract/endpoint';
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type { Pool } from 'pg';
import type { Settings } from '../settings.ts';
import { Refusal } from './refusal.ts';

export interface SignedIn {
  id: string;
  email: string;
  name: string;
  role: Role;
}

declare module 'express-session' {
  interface SessionData {
    account: SignedIn;
  }
}

export const cookieName = 'waxfist';
const twoWeeks = 14 * 24 * 3600 * 1000;

/** Who is signed in, in PostgreSQL, so that any server can answer and a restart signs nobody out. */
export function signInCookies(pool: Pool, settings: Settings): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: cookieName,
    secret: settings.secret,
    store: new Store({ pool, tableName: 'sign_in', pruneSessionInterval: 3600 }),
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: settings.secureCookie, maxAge: twoWeeks },
  });
}

export const requireRole =
  (allowed: Allowed): RequestHandler =>
  (request, _response, next) => {
    if (allowed === 'anyone') return next();
    const { account } = request.session;
    if (!account) throw new Refusal(401, 'Please sign in.');
    if (!allowed.includes(account.role)) throw new Refusal(403, 'This page is for coaches of the club.');
    next();
  };

/** A request that changes something must come from our own pages: browsers say where a request comes from. */
export const ownPagesOnly: RequestHandler = (request, _response, next) => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return next();
  const site = request.get('sec-fetch-site');
  const origin = request.get('origin');
  const foreignOrigin = origin !== undefined && hostOf(origin) !== request.get('host');
  if ((site !== undefined && site !== 'same-origin' && site !== 'none') || foreignOrigin) {
    throw new Refusal(403, 'This request did not come from a page of the club’s own site.');
  }
  next();
};

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
