import type { Page } from '@wax-fist/contract/page';
import { mostDays, type PlanOfDay, type PlanRow } from '@wax-fist/contract/plan-lists';
import { type Plan, type PlanDraft, type PlanLog } from '@wax-fist/contract/plans';
import { daysBetween } from '@wax-fist/core/days';
import { impactRounds } from '@wax-fist/core/plan';
import { and, asc, between, desc, eq, isNull, ne, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { Database } from '../../db/connection.ts';
import { plan, planSession, trainee, trainingSession } from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { standardFor } from '../sessions/standard.ts';

/** A plan with the sessions that came of it. @throws Refusal when there is none */
export async function planNamed(db: Database, id: string): Promise<Plan> {
  const [rows, sessions] = await Promise.all([
    db.select().from(plan).where(eq(plan.id, id)),
    db
      .select({ sessionId: planSession.sessionId, roundKind: trainingSession.roundKind, rung: trainingSession.rung })
      .from(planSession)
      .innerJoin(trainingSession, eq(trainingSession.id, planSession.sessionId))
      .where(eq(planSession.planId, id))
      .orderBy(asc(trainingSession.rung), asc(planSession.sessionId)),
  ]);
  const { says, doneOn, done, traineeId, plannedOn, length, impact } = found(rows, 'plan');
  const log = doneOn === null || done === null ? null : { doneOn, done };
  return { id, traineeId, plannedOn, length, impact, ...says, log, sessions };
}

const plansOnPage = 50;
export const planRowColumns = {
  id: plan.id,
  plannedOn: plan.plannedOn,
  length: plan.length,
  impact: plan.impact,
  doneOn: plan.doneOn,
  parts: sql<number>`jsonb_array_length(${plan.says} -> 'parts')`,
};

/** A trainee’s plans, the latest day first. @throws Refusal for a place in the list that there is not */
export async function planRows(db: Database, traineeId: string, after?: string): Promise<Page<PlanRow>> {
  const keys = keysAfter(after, 2);
  const rows = await db
    .select(planRowColumns)
    .from(plan)
    .where(
      and(eq(plan.traineeId, traineeId), keys && sql`(${plan.plannedOn}, ${plan.id}) < (${keys[0]}::date, ${keys[1]}::uuid)`),
    )
    .orderBy(desc(plan.plannedOn), desc(plan.id))
    .limit(plansOnPage + 1);
  return asPage(rows, plansOnPage, ({ plannedOn, id }) => [plannedOn, id]);
}

/** All plans from one day to another. @throws Refusal for days that are the wrong way round, or too many */
export async function plansBetween(db: Database, from: string, to: string): Promise<PlanOfDay[]> {
  const days = daysBetween(from, to);
  if (days < 0 || days >= mostDays) throw new Refusal(422, `From one day to a later one, ${mostDays} days at most.`);
  return db
    .select({ ...planRowColumns, traineeId: plan.traineeId, traineeName: trainee.name })
    .from(plan)
    .innerJoin(trainee, eq(trainee.id, plan.traineeId))
    .where(between(plan.plannedOn, from, to))
    .orderBy(asc(plan.plannedOn), asc(trainee.name), asc(plan.id));
}

/** The plan of which a session is a part. */
export async function planOfSession(db: Database, sessionId: string): Promise<Plan | null> {
  const [row] = await db.select({ planId: planSession.planId }).from(planSession).where(eq(planSession.sessionId, sessionId));
  return row ? planNamed(db, row.planId) : null;
}

/** Hard rounds of the week round a day, Monday to Sunday, as planned or as done. @param without a plan that is not counted */
export async function weekImpact(db: Database, traineeId: string, day: string, without?: string): Promise<number> {
  const monday = sql`date_trunc('week', ${day}::date)::date`;
  const [row] = await db
    .select({ impact: sql<number>`coalesce(sum(${plan.impact}), 0)::int` })
    .from(plan)
    .where(
      and(
        eq(plan.traineeId, traineeId),
        sql`coalesce(${plan.doneOn}, ${plan.plannedOn}) between ${monday} and ${monday} + 6`,
        without ? ne(plan.id, without) : undefined,
      ),
    );
  return row!.impact;
}

/** Writes a plan, or another version of it. @throws Refusal for nobody’s, another trainee’s, or one that was done */
export async function savePlan(db: Database, draft: PlanDraft, madeBy: string): Promise<Plan> {
  const { id, traineeId, plannedOn, length, ...says } = draft;
  found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, traineeId)), 'trainee');
  const fields = { plannedOn, length, says, impact: impactRounds(draft.parts) };
  const saved = await db
    .insert(plan)
    .values({ id, traineeId, madeBy, ...fields })
    .onConflictDoUpdate({
      target: plan.id,
      set: { ...fields, revision: sql`${plan.revision} + 1` },
      setWhere: and(eq(plan.traineeId, traineeId), isNull(plan.doneOn)),
    })
    .returning({ id: plan.id });
  if (saved.length === 0) throw new Refusal(409, 'This session was done: what was done of it is not planned anew.');
  return planNamed(db, id);
}

/** What was filmed of a plan: on one thing at one rung each, with a session of its own. */
const filmedOf = (parts: PlanDraft['parts'], done: PlanLog['done']) => {
  const begun = new Set(done.map(({ part }) => part));
  const filmed = parts.flatMap(({ shot, on, rung }, place) =>
    shot && rung !== null && begun.has(place) ? [{ roundKind: on, rung }] : [],
  );
  return [...new Map(filmed.map((one) => [`${one.roundKind} ${one.rung}`, one])).values()];
};

/**
 * Writes what was done of a plan and makes the sessions in which it is filmed, in one transaction. Sent again it changes nothing: a
 * phone that lost its line sends until it is answered.
 * @param withSessions false where nobody can have filmed
 * @throws Refusal when there is no such plan, or none of its parts is meant
 */
export async function logPlan(db: Database, id: string, { doneOn, done }: PlanLog, withSessions = true): Promise<Plan> {
  await db.transaction(async (tx) => {
    const { doneOn: already, traineeId, says } = found(await tx.select().from(plan).where(eq(plan.id, id)).for('update'), 'plan');
    if (already !== null) return;
    if (done.some(({ part }) => part >= says.parts.length)) throw new Refusal(422, 'This plan has fewer parts.');
    const hits = done.reduce((sum, { part, rounds }) => sum + (says.parts[part]!.impact ? rounds : 0), 0);
    await tx.update(plan).set({ doneOn, done, impact: hits }).where(eq(plan.id, id));
    const [person] = await tx.select({ schoolId: trainee.schoolId }).from(trainee).where(eq(trainee.id, traineeId));
    const filmed = withSessions ? filmedOf(says.parts, done) : [];
    if (filmed.length === 0) return;
    const standard = await standardFor(tx, person!.schoolId);
    const sessions = filmed.map((one) => ({ id: uuid(), traineeId, heldOn: doneOn, ...one, ...standard }));
    await tx.insert(trainingSession).values(sessions);
    await tx.insert(planSession).values(sessions.map((session) => ({ sessionId: session.id, planId: id })));
  });
  return planNamed(db, id);
}
