import type { OwnOrder, OwnOrderDraft } from '@wax-fist/contract/answers';
import { desc, eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { saidByName } from '../../db/said-by-name.ts';
import { account, ownOrder, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';

/** In which order a coach would mend what a session showed; null where the sum tells. */
export async function orderOf(db: Database, sessionId: string): Promise<OwnOrder | null> {
  const [latest] = await db
    .select({
      placed: ownOrder.placed,
      reason: ownOrder.reason,
      saidBy: saidByName,
      at: ownOrder.at,
    })
    .from(ownOrder)
    .leftJoin(account, eq(account.id, ownOrder.saidBy))
    .where(eq(ownOrder.sessionId, sessionId))
    .orderBy(desc(ownOrder.at), desc(ownOrder.id))
    .limit(1);
  return latest && latest.placed.length > 0 ? { ...latest, at: latest.at.toISOString() } : null;
}

/** Says an order; sent twice it is said once. @throws Refusal where there is no such session */
export async function sayOrder(db: Database, sessionId: string, draft: OwnOrderDraft, saidBy: string): Promise<OwnOrder | null> {
  found(await db.select({ id: trainingSession.id }).from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
  await db
    .insert(ownOrder)
    .values({ ...draft, sessionId, saidBy })
    .onConflictDoNothing();
  return orderOf(db, sessionId);
}
