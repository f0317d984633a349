import type { Account } from '@wax-fist/contract/accounts';
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session, { type SessionData } from 'express-session';
import type { Pool } from 'pg';
import type { Settings } from '../settings.ts';
import { Refusal } from './refusal.ts';

export type SignedIn = Account;

declare module 'express-session' {
  interface SessionData {
    /** When somebody signed in, in ISO 8601, and with what browser. */
    since?: string;
    browser?: string;
    /** Null when the account is gone. */
    account: SignedIn | null;
    /** The state of the database when this request was asked, as the text of a snapshot. */
    asOf?: string;
  }
}

export const cookieName = 'waxfist';
const twoWeeks = 14 * 24 * 3600 * 1000;

/**
 * A kept sign-in with its account as the club has it now, in one statement: whoever was removed since is nobody, whoever has
 * another role has that. With it comes the state of the database, by which kept answers are known to be true still.
 */
const asItIs = `
  select sess::jsonb || jsonb_build_object('asOf', pg_current_snapshot(), 'account', (
    select jsonb_build_object('id', id, 'email', email, 'name', name, 'role', role,
      'manner', jsonb_build_object('units', units, 'days', days, 'clock', clock, 'decimals', decimals),
      'secondFactorDue', exists (select from second_factor_demand as demand where demand.role = account.role)
        and not exists (select from second_factor where account_id = account.id))
    from account where id = (sess -> 'account' ->> 'id')::uuid)) as sess
  from sign_in where sid = $1 and expire >= now()`;

/** Who is signed in, in PostgreSQL, so that any server can answer and a restart signs nobody out. */
export function signInCookies(pool: Pool, settings: Settings): RequestHandler {
  class SignIns extends connectPgSimple(session) {
    override get(sid: string, told: (error: unknown, kept?: SessionData | null) => void): void {
      pool.query<{ sess: SessionData }>({ name: 'sign_in', text: asItIs, values: [sid] }).then(
        ({ rows }) => told(null, rows[0]?.sess ?? null),
        (error: unknown) => told(error),
      );
    }
  }
  return session({
    name: cookieName,
    secret: settings.secret,
    // To look something up writes nothing: a sign-in ends two weeks after it was made.
    store: new SignIns({ pool, tableName: 'sign_in', pruneSessionInterval: 3600, disableTouch: true }),
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: settings.secureCookie, maxAge: twoWeeks },
  });
}

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
