import { and, eq, gt, sql } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import type { Database } from '../../db/connection.ts';
import { cardLink, correction } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { mayBeLinked } from '../consents/queries.ts';

/** So long a link lasts. */
const lasts = sql`now() + interval '12 weeks'`;
/** Nobody guesses 72 bits. */
const bytesOfCode = 9;

/** @throws Refusal when there is no such correction */
export async function requireCorrection(db: Database, correctionId: string): Promise<void> {
  found(await db.select({ id: correction.id }).from(correction).where(eq(correction.id, correctionId)), 'correction');
}

/** Makes the link of a card; one that there is lasts again, under its old address. @throws Refusal when there is no such correction, or its trainee has not agreed */
export async function linkCard(db: Database, correctionId: string, madeBy: string): Promise<void> {
  const whose = await db.select({ traineeId: correction.traineeId }).from(correction).where(eq(correction.id, correctionId));
  await mayBeLinked(db, found(whose, 'correction').traineeId);
  await db
    .insert(cardLink)
    .values({ correctionId, madeBy, code: randomBytes(bytesOfCode).toString('base64url'), endsAt: lasts as never })
    .onConflictDoUpdate({ target: cardLink.correctionId, set: { endsAt: lasts } });
}

export const withdrawLink = async (db: Database, correctionId: string): Promise<void> =>
  void (await db.delete(cardLink).where(eq(cardLink.correctionId, correctionId)));

/** Which card an address opens. @throws Refusal when it opens none, or none any more */
export async function cardBehind(db: Database, code: string): Promise<string> {
  const rows = await db
    .select({ correctionId: cardLink.correctionId })
    .from(cardLink)
    .where(and(eq(cardLink.code, code), gt(cardLink.endsAt, sql`now()`)));
  return found(rows, 'card').correctionId;
}
