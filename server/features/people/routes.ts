import { peopleEndpoints, type Person } from '@wax-fist/contract/people';
import { and, asc, eq, gt, inArray, ne, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { v7 as uuid } from 'uuid';
import type { Database } from '../../db/connection.ts';
import { onBehalfOf } from '../../db/on-behalf.ts';
import { account, entryLink, invitedFor, ownTrainee, secondFactor, signIn, trainee } from '../../db/schema/index.ts';
import { takingTurns } from '../../db/take-turns.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import type { Services } from '../../services.ts';
import { serve } from '../../http/serve.ts';
import { requireUnguessable } from '../accounts/guessable.ts';
import { hashedPassword } from '../accounts/passwords.ts';
import { signInHere } from '../accounts/sign-in-here.ts';
import { requireOwnPassword } from '../accounts/own-password.ts';
import { counting, slowDownIn } from '../accounts/slow-down.ts';
import { requireSecondFactor } from '../second-factor/second-factor.ts';
import { behindLink, makeLink, useLink } from './links.ts';
import { endSignIns, signInsOf } from './sign-ins.ts';

const personColumns = {
  id: account.id,
  email: account.email,
  name: account.name,
  role: account.role,
  lastSignIn: sql<string | null>`(select max(${signIn.sess} ->> 'since') from ${signIn}
    where ${signIn.sess} -> 'account' ->> 'id' = ${account}.id::text)`,
  secondFactor: sql<boolean>`exists (select from ${secondFactor} where ${secondFactor.accountId} = ${account}.id)`,
  trainees: sql<
    Person['trainees']
  >`coalesce((select json_agg(json_build_object('id', person.id, 'name', person.name) order by person.name)
    from ${ownTrainee} as own join ${trainee} as person on person.id = own.trainee_id where own.account_id = ${account}.id), '[]')`,
};
const personNamed = async (db: Database, id: string): Promise<Person> =>
  found(await db.select(personColumns).from(account).where(eq(account.id, id)), 'person');

/** A club without a head coach could be changed by nobody. @throws Refusal when this is the last one */
async function mayStopLeading(tx: Database, id: string): Promise<void> {
  const others = await tx
    .select({ id: account.id })
    .from(account)
    .where(and(eq(account.role, 'head-coach'), ne(account.id, id)))
    .for('update');
  if (others.length === 0) throw new Refusal(409, 'The club needs a head coach: make somebody else one first.');
}

const inUse = (): Refusal =>
  new Refusal(409, 'Somebody of the club has this e-mail address already.', [
    { field: 'email', message: 'Somebody of the club has this e-mail address already.' },
  ]);

/** @throws Refusal when one of them is not here */
async function requireTrainees(db: Database, ids: readonly string[]): Promise<void> {
  const wanted = new Set(ids);
  const here = await db.$count(trainee, inArray(trainee.id, [...wanted]));
  if (here < wanted.size) throw notFound('trainee');
}

async function signInFor(tx: Database, accountId: string, traineeIds: readonly string[]): Promise<void> {
  const rows = [...new Set(traineeIds)].map((traineeId) => ({ accountId, traineeId }));
  if (rows.length > 0) await tx.insert(ownTrainee).values(rows);
}

export function peopleRoutes(router: Router, { db, pool }: Services): void {
  const guesses = slowDownIn(pool);

  serve(router, peopleEndpoints.listPeople, () =>
    db.select(personColumns).from(account).orderBy(asc(account.name), asc(account.id)),
  );
  serve(router, peopleEndpoints.changePerson, async ({ params: { personId }, body: { role, traineeIds } }) => {
    await requireTrainees(db, traineeIds);
    // Two who make each other coaches at the same moment take turns.
    await takingTurns(db, async (tx) => {
      const before = await personNamed(tx, personId);
      if (before.role === 'head-coach' && role !== 'head-coach') await mayStopLeading(tx, personId);
      await tx.update(account).set({ role }).where(eq(account.id, personId));
      await tx.delete(ownTrainee).where(eq(ownTrainee.accountId, personId));
      await signInFor(tx, personId, traineeIds);
    });
    return personNamed(db, personId);
  });
  serve(router, peopleEndpoints.removePerson, async ({ params: { personId }, account: me }) => {
    if (personId === me.id) throw new Refusal(409, 'Nobody takes themselves away: another head coach does.');
    await db.transaction(async (tx) => {
      await endSignIns(tx, personId);
      await tx.delete(account).where(eq(account.id, personId));
    });
  });
  serve(router, peopleEndpoints.helpBackIn, async ({ params: { personId }, account: me }) => {
    const { name, role } = await personNamed(db, personId);
    return makeLink(db, { id: uuid(), kind: 'reset', name, role, accountId: personId, madeBy: me.id, traineeIds: [] });
  });

  serve(router, peopleEndpoints.listInvites, async () => {
    const { id, name, role, endsAt } = entryLink;
    const traineeIds = sql<string[]>`array(select trainee_id::text from ${invitedFor} where link_id = ${entryLink}.id)`;
    const rows = await db
      .select({ id, name, role, endsAt, traineeIds })
      .from(entryLink)
      .where(and(eq(entryLink.kind, 'join'), gt(endsAt, sql`now()`)))
      .orderBy(asc(endsAt));
    return rows.map((row) => ({ ...row, endsAt: row.endsAt.toISOString() }));
  });
  serve(router, peopleEndpoints.invite, async ({ body, account: me }) => {
    await requireTrainees(db, body.traineeIds);
    return makeLink(db, { ...body, kind: 'join', accountId: null, madeBy: me.id });
  });
  serve(router, peopleEndpoints.removeInvite, async ({ params }) => {
    await db.delete(entryLink).where(and(eq(entryLink.id, params.inviteId), eq(entryLink.kind, 'join')));
  });

  serve(router, peopleEndpoints.behindLink, ({ params }) => behindLink(db, params.code));
  serve(router, peopleEndpoints.join, async ({ params, body: { email, name, password }, request }) => {
    requireUnguessable(password, [name, email]);
    // Before the link is used up: hashing takes a moment.
    const passwordHash = await hashedPassword(password);
    const id = uuid();
    const comeIn = async (tx: Database) => {
      const { role, traineeIds } = await useLink(tx, params.code, 'join');
      const added = await tx.insert(account).values({ id, email, name, passwordHash, role }).onConflictDoNothing().returning();
      // Nothing is used up by an address that cannot be had.
      if (added.length === 0) throw inUse();
      await signInFor(tx, id, traineeIds);
      return added[0]!;
    };
    return signInHere(db, request, await onBehalfOf(id, () => db.transaction(comeIn)));
  });
  serve(router, peopleEndpoints.reset, async ({ params, body: { password, code }, request }) => {
    const { email, name } = await behindLink(db, params.code);
    requireUnguessable(password, [name, email ?? '']);
    const passwordHash = await hashedPassword(password);
    const comeBack = async (tx: Database) => {
      const { accountId } = await useLink(tx, params.code, 'reset');
      // A lost password is no lost app; a link whose code was wrong opens as before.
      await requireSecondFactor(tx, accountId!, code);
      await endSignIns(tx, accountId!);
      const setIt = () => tx.update(account).set({ passwordHash }).where(eq(account.id, accountId!)).returning();
      return found(await onBehalfOf(accountId!, setIt), 'person');
    };
    const back = await counting(guesses, email ?? '', request, () => db.transaction(comeBack));
    return signInHere(db, request, back);
  });

  serve(router, peopleEndpoints.changePassword, async ({ body: { current, password }, account: me, request }) => {
    await requireOwnPassword(db, guesses, me, request, current);
    requireUnguessable(password, [me.name, me.email]);
    const passwordHash = await hashedPassword(password);
    await db.update(account).set({ passwordHash }).where(eq(account.id, me.id));
    await endSignIns(db, me.id, { but: request.sessionID });
    return me;
  });
  serve(router, peopleEndpoints.mySignIns, ({ account: me, request }) => signInsOf(db, me.id, request.sessionID));
  serve(router, peopleEndpoints.endSignIns, ({ body: { id }, account: me, request }) =>
    endSignIns(db, me.id, { id, but: request.sessionID }),
  );
}
