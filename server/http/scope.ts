import { isStaff, roles, scopeOf, signedIn, type Allowed, type Role, type Scope } from '@wax-fist/contract/endpoint';
import { and, eq, isNotNull } from 'drizzle-orm';
import type { Request, RequestHandler } from 'express';
import type { Database } from '../db/connection.ts';
import { correction, drill, film, gradeTest, ownTrainee, plan, pointCheck, trainingSession } from '../db/schema/index.ts';
import { validate as isUuid } from 'uuid';
import { seenByClub } from '../features/consents/queries.ts';
import type { KeptAnswers } from './kept-answers.ts';
import { notFound, Refusal } from './refusal.ts';
import type { RequestLimits } from './request-limits.ts';
import type { SignedIn } from './sign-in.ts';

declare module 'express-serve-static-core' {
  interface Locals {
    /** Of an app: where it is looked up whose something is. */
    db: Database;
    /** Of an app: what it has answered already. */
    kept: KeptAnswers;
    /** Of an app: how often may be asked. */
    limits: RequestLimits;
  }
}

/** Whose something is that an id in a path stands for; undefined when there is no such thing. */
type Whose = (db: Database, id: string) => Promise<string | null | undefined>;
type WhoseById = Readonly<Record<string, Whose>>;
/** Who added it, of what staff may ask for with the scope `own`. */
const addedBy: WhoseById = {
  filmId: async (db, id) => (await db.select({ by: film.addedBy }).from(film).where(eq(film.id, id)))[0]?.by,
  drillId: async (db, id) => (await db.select({ by: drill.addedBy }).from(drill).where(eq(drill.id, id)))[0]?.by,
  testId: async (db, id) => (await db.select({ by: gradeTest.heldBy }).from(gradeTest).where(eq(gradeTest.id, id)))[0]?.by,
  checkId: async (db, id) => (await db.select({ by: pointCheck.saidBy }).from(pointCheck).where(eq(pointCheck.id, id)))[0]?.by,
  planId: async (db, id) => (await db.select({ by: plan.madeBy }).from(plan).where(eq(plan.id, id)))[0]?.by,
};

const released = isNotNull(trainingSession.releasedAt);
const about = { of: trainingSession.traineeId };
/** About which trainee it is, of what trainees and guardians may ask for. What was not released to them is not there. */
const aboutTrainee: WhoseById = {
  sessionId: async (db, id) =>
    (
      await db
        .select(about)
        .from(trainingSession)
        .where(and(released, eq(trainingSession.id, id)))
    )[0]?.of,
  filmId: async (db, id) =>
    (
      await db
        .select(about)
        .from(film)
        .innerJoin(trainingSession, and(released, eq(trainingSession.id, film.sessionId)))
        .where(eq(film.id, id))
    )[0]?.of,
  // A correction is told with the review in which it was opened.
  correctionId: async (db, id) =>
    (
      await db
        .select(about)
        .from(correction)
        .innerJoin(trainingSession, and(released, eq(trainingSession.id, correction.openedIn)))
        .where(eq(correction.id, id))
    )[0]?.of,
  planId: async (db, id) => (await db.select({ of: plan.traineeId }).from(plan).where(eq(plan.id, id)))[0]?.of,
};

const involved = { traineeId: trainingSession.traineeId, holderId: trainingSession.holderId };
const shown = eq(trainingSession.shownToClub, true);
/** What is shown to everybody of the club: the session that it belongs to, while those in it agree. */
const shownBy: Readonly<Record<string, (db: Database, id: string) => Promise<{ traineeId: string; holderId: string | null }[]>>> =
  {
    sessionId: (db, id) =>
      db
        .select(involved)
        .from(trainingSession)
        .where(and(shown, eq(trainingSession.id, id))),
    filmId: (db, id) =>
      db
        .select(involved)
        .from(film)
        .innerJoin(trainingSession, and(shown, eq(trainingSession.id, film.sessionId)))
        .where(eq(film.id, id)),
  };
/** Of a film everybody sees what is played, and nothing that could be taken away whole. */
const isShown = async (db: Database, name: string, id: string, file = 'film.mp4'): Promise<boolean> =>
  file === 'film.mp4' && (await seenByClub(db, (await shownBy[name]?.(db, id)) ?? [])).length > 0;

const whoseFor = (role: Role): WhoseById => (isStaff(role) ? addedBy : aboutTrainee);

/**
 * Whether the one who asks may call, and reaches what the address names. Where a role reaches only what is its own, an address
 * with an id is checked here, before anything is done: no handler has to remember it.
 * @throws Error when an endpoint is served of which nobody can tell whose it is
 */
export function requireScope(allowed: Allowed, path = ''): RequestHandler {
  const ids = [...path.matchAll(/:(\w+Id)\b/g)].map(([, name]) => name!);
  for (const role of roles)
    for (const id of ids)
      if (allowed !== 'anyone' && ['own', 'shown'].includes(allowed[role] ?? '') && !whoseFor(role)[id])
        throw new Error(`Nobody can tell whose ${id} is for a ${role}, at ${path}.`);
  return async (request, _response, next) => {
    if (allowed === 'anyone') return next();
    const { account } = request.session;
    if (!account) throw new Refusal(401, 'Please sign in.');
    // What somebody does about themselves is how they come to have one.
    if (account.secondFactorDue && allowed !== signedIn)
      throw new Refusal(403, 'Your club asks for a second factor: set it up under your name, then go on.');
    const scope = scopeOf(allowed, account.role);
    if (!scope) throw new Refusal(403, isStaff(account.role) ? notForAll(allowed) : 'This is for those who work in the club.');
    if (scope !== 'club') for (const id of ids) await requireOwn(request, id, account, scope);
    next();
  };
}

const notForAll = (allowed: Exclude<Allowed, 'anyone'>): string =>
  allowed.coach === 'club'
    ? 'This is for coaches: an assistant films and marks.'
    : 'This is for the head coach: it holds for the whole club.';

/** @throws Refusal when it is not theirs; to whom it was not released it is not there, so that nobody learns by asking what is */
async function requireOwn(request: Request, id: string, { id: accountId, role }: SignedIn, scope: Scope): Promise<void> {
  const { db } = request.app.locals;
  const value = String(request.params[id]);
  const gone = notFound(id.replace(/Id$/, ''));
  if (!isUuid(value)) throw gone;
  const whose = await whoseFor(role)[id]!(db, value);
  if (whose === undefined) throw gone;
  if (isStaff(role)) {
    if (whose !== accountId) throw new Refusal(403, 'Somebody else added this. They can do it, or the head coach.');
    return;
  }
  const theirs = await db
    .select({ of: ownTrainee.traineeId })
    .from(ownTrainee)
    .where(and(eq(ownTrainee.accountId, accountId), eq(ownTrainee.traineeId, whose!)));
  if (theirs.length > 0) return;
  if (scope !== 'shown' || !(await isShown(db, id, value, request.params.file as string | undefined))) throw gone;
}
