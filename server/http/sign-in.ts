import type { Allowed, Role } from '@wax-fist/contract/endpoint';
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import { eq } from 'drizzle-orm';
import type { Pool } from 'pg';
import type { Database } from '../db/connection.ts';
import { account } from '../db/schema/index.ts';
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
    // To look something up writes nothing: a sign-in ends two weeks after it was made.
    store: new Store({ pool, tableName: 'sign_in', pruneSessionInterval: 3600, disableTouch: true }),
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: settings.secureCookie, maxAge: twoWeeks },
  });
}

/** Who has signed in, as the club has them now: whoever was removed since is signed out, whoever has another role has that. */
export const accountAsItIs =
  (db: Database): RequestHandler =>
  async (request, _response, next) => {
    const before = request.session.account;
    if (!before) return next();
    const columns = { id: account.id, email: account.email, name: account.name, role: account.role };
    const [now] = await db.select(columns).from(account).where(eq(account.id, before.id));
    if (now) request.session.account = now;
    else await new Promise<void>((resolve) => request.session.regenerate(() => resolve()));
    next();
  };

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
