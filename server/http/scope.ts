import { scopeOf, type Allowed } from '@wax-fist/contract/endpoint';
import { eq } from 'drizzle-orm';
import type { Request, RequestHandler } from 'express';
import type { Database } from '../db/connection.ts';
import { drill, film, gradeTest, plan } from '../db/schema/index.ts';
import { validate as isUuid } from 'uuid';
import { notFound, Refusal } from './refusal.ts';

declare module 'express-serve-static-core' {
  interface Locals {
    /** Of an app: where it is looked up whose something is. */
    db: Database;
  }
}

/** Who added what an id in a path stands for; undefined when there is no such thing. */
type AddedBy = (db: Database, id: string) => Promise<string | null | undefined>;
/** The ids of paths that may be asked for with the scope `own`. */
const addedBy: Record<string, AddedBy> = {
  filmId: async (db, id) => (await db.select({ by: film.addedBy }).from(film).where(eq(film.id, id)))[0]?.by,
  drillId: async (db, id) => (await db.select({ by: drill.addedBy }).from(drill).where(eq(drill.id, id)))[0]?.by,
  testId: async (db, id) => (await db.select({ by: gradeTest.heldBy }).from(gradeTest).where(eq(gradeTest.id, id)))[0]?.by,
  planId: async (db, id) => (await db.select({ by: plan.madeBy }).from(plan).where(eq(plan.id, id)))[0]?.by,
};

/**
 * Whether the one who asks may call, and reaches what the address names. Where a role reaches only what is its own, an address
 * with an id is checked here, before anything is done: no handler has to remember it.
 * @throws Error when an endpoint is served whose owner nobody can tell
 */
export function requireScope(allowed: Allowed, path = ''): RequestHandler {
  const ids = [...path.matchAll(/:(\w+)/g)].map(([, name]) => name!);
  const narrow = allowed !== 'anyone' && Object.values(allowed).includes('own') && ids.length > 0;
  for (const id of ids) if (narrow && !addedBy[id]) throw new Error(`Nobody can tell whose ${id} is, at ${path}.`);
  return async (request, _response, next) => {
    if (allowed === 'anyone') return next();
    const { account } = request.session;
    if (!account) throw new Refusal(401, 'Please sign in.');
    const scope = scopeOf(allowed, account.role);
    if (!scope) throw new Refusal(403, account.role === 'trainee' ? 'This page is for coaches of the club.' : forHeadCoach);
    if (scope === 'own') for (const id of ids) await requireOwn(request, id, account.id);
    next();
  };
}

const forHeadCoach = 'This is for the head coach: it holds for the whole club.';

async function requireOwn(request: Request, id: string, accountId: string): Promise<void> {
  const { db } = request.app.locals;
  const value = String(request.params[id]);
  const gone = notFound(id.replace(/Id$/, ''));
  if (!isUuid(value)) throw gone;
  const by = await addedBy[id]!(db, value);
  if (by === undefined) throw gone;
  if (by !== accountId) throw new Refusal(403, 'Somebody else added this. They can do it, or the head coach.');
}
