import { isStaff, roles, scopeOf, signedIn, type Allowed, type Role, type Scope } from '@wax-fist/contract/endpoint';
import { and, eq, isNotNull } from 'drizzle-orm';
import type { Request, RequestHandler } from 'express';
import type { Database } from '../db/connection.ts';
import { correction, drill, film, gradeTest, plan, pointCheck, trainingSession } from '../db/schema/index.ts';
import { validate as isUuid } from 'uuid';
import { seenByClub } from '../features/consents/queries.ts';
import { signsInFor } from '../features/own/signs-in-for.ts';
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

const { traineeId, holderId, shownToClub } = trainingSession;
const behind = { traineeId, holderId, shownToClub };
const released = isNotNull(trainingSession.releasedAt);
/** The session to which something belongs, if it was released. */
const releasedSession = {
  sessionId: (db: Database, id: string) =>
    db
      .select(behind)
      .from(trainingSession)
      .where(and(released, eq(trainingSession.id, id))),
  filmId: (db: Database, id: string) =>
    db
      .select(behind)
      .from(film)
      .innerJoin(trainingSession, and(released, eq(trainingSession.id, film.sessionId)))
      .where(eq(film.id, id)),
  // A correction is told with the review in which it was opened.
  correctionId: (db: Database, id: string) =>
    db
      .select(behind)
      .from(correction)
      .innerJoin(trainingSession, and(released, eq(trainingSession.id, correction.openedIn)))
      .where(eq(correction.id, id)),
};
type OfSession = keyof typeof releasedSession;
const traineeOf =
  (name: OfSession): Whose =>
  async (db, id) =>
    (await releasedSession[name](db, id))[0]?.traineeId;
/** About which trainee it is, of what trainees and guardians may ask for. What was not released to them is not there. */
const aboutTrainee: WhoseById = {
  sessionId: traineeOf('sessionId'),
  filmId: traineeOf('filmId'),
  correctionId: traineeOf('correctionId'),
  planId: async (db, id) => (await db.select({ of: plan.traineeId }).from(plan).where(eq(plan.id, id)))[0]?.of,
};

/** Of a film everybody sees what is played, and nothing that could be taken away whole. */
async function isShown(db: Database, name: string, id: string, file = 'film.mp4'): Promise<boolean> {
  if ((name !== 'sessionId' && name !== 'filmId') || file !== 'film.mp4') return false;
  const sessions = await releasedSession[name](db, id);
  return (
    (
      await seenByClub(
        db,
        sessions.filter(({ shownToClub }) => shownToClub),
      )
    ).length > 0
  );
}

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
      if (allowed !== 'anyone' && (allowed[role] ?? 'club') !== 'club' && !whoseFor(role)[id])
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
  if (await signsInFor(db, accountId, whose!)) return;
  if (scope !== 'shown' || !(await isShown(db, id, value, request.params.file as string | undefined))) throw gone;
}
