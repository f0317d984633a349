import type { SecondFactor } from '@wax-fist/contract/second-factor';
import { and, eq, lt, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { secondFactor } from '../../db/schema/index.ts';
import { Refusal } from '../../http/refusal.ts';
import { WrongGuess } from '../accounts/slow-down.ts';
import { hashOf, isOfApp, newCodes, stepOf } from './codes.ts';

const wrong = (): WrongGuess => new WrongGuess(422, 'This code is wrong, out of time, or was taken already.', 'code');

export async function secondFactorOf(db: Database, accountId: string): Promise<Omit<SecondFactor, 'demanded'>> {
  const [row] = await db.select().from(secondFactor).where(eq(secondFactor.accountId, accountId));
  return { since: row?.since.toISOString() ?? null, codesLeft: row?.codeHashes.length ?? 0 };
}

/**
 * Lets somebody on whose password was right. Each code is taken once, also when two come at the same moment.
 * @throws Refusal when a code is needed, WrongGuess when it is wrong
 */
export async function requireSecondFactor(db: Database, accountId: string, code: string): Promise<void> {
  const own = eq(secondFactor.accountId, accountId);
  const [row] = await db.select({ secret: secondFactor.secret }).from(secondFactor).where(own);
  if (!row) return;
  if (!code) {
    const message = 'The six digits of your app, or one of your codes.';
    throw new Refusal(422, message, [{ field: 'code', message }]);
  }
  const taken = isOfApp(code) ? await takeStep() : await takeCode();
  if (taken.length === 0) throw wrong();

  async function takeStep() {
    const step = stepOf(row!.secret, code, Date.now());
    if (step === undefined) return [];
    return db
      .update(secondFactor)
      .set({ lastStep: step })
      .where(and(own, lt(secondFactor.lastStep, step)))
      .returning({ accountId: secondFactor.accountId });
  }
  function takeCode() {
    const hash = hashOf(code);
    return db
      .update(secondFactor)
      .set({ codeHashes: sql`array_remove(${secondFactor.codeHashes}, ${hash})` })
      .where(and(own, sql`${hash} = any(${secondFactor.codeHashes})`))
      .returning({ accountId: secondFactor.accountId });
  }
}

/** From now on somebody needs a code. @returns codes for when the app is lost, which are kept nowhere @throws WrongGuess */
export async function takeSecret(db: Database, accountId: string, secret: string, code: string): Promise<string[]> {
  const step = stepOf(secret, code, Date.now());
  if (step === undefined) throw wrong();
  const codes = newCodes();
  const row = { accountId, secret, lastStep: step, codeHashes: codes.map(hashOf) };
  const made = await db.insert(secondFactor).values(row).onConflictDoNothing().returning();
  if (made.length === 0) throw new Refusal(409, 'You have a second factor already: leave it first.');
  return codes;
}

/** @returns whose it was, where there was one */
export const removeSecondFactor = (db: Database, accountId: string): Promise<{ accountId: string }[]> =>
  db.delete(secondFactor).where(eq(secondFactor.accountId, accountId)).returning({ accountId: secondFactor.accountId });
