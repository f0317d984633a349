import type { SignedInBrowser } from '@wax-fist/contract/people';
import { and, desc, eq, gt, ne, sql } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Database } from '../../db/connection.ts';
import { signIn } from '../../db/schema/index.ts';

/** A sign-in is named by a hash: its own name is what a browser is known by. */
const nameOf = (sid: string): string => createHash('sha256').update(sid).digest('base64url');
const isOf = (accountId: string) => sql`${signIn.sess} -> 'account' ->> 'id' = ${accountId}`;

/** Where somebody is signed in, the newest first. @param here the browser that asks */
export async function signInsOf(db: Database, accountId: string, here: string): Promise<SignedInBrowser[]> {
  const rows = await db
    .select({
      sid: signIn.sid,
      since: sql<string | null>`${signIn.sess} ->> 'since'`,
      browser: sql<string>`coalesce(${signIn.sess} ->> 'browser', '')`,
    })
    .from(signIn)
    .where(and(isOf(accountId), gt(signIn.expire, sql`now()`)))
    .orderBy(desc(sql`${signIn.sess} ->> 'since'`));
  return rows.map(({ sid, since, browser }) => ({ id: nameOf(sid), since, browser, here: sid === here }));
}

/** Ends sign-ins of somebody: the one that is named, or all. @param but one that stays */
export async function endSignIns(
  db: Database,
  accountId: string,
  { id, but }: { id?: string | null; but?: string } = {},
): Promise<void> {
  const rows = await db
    .select({ sid: signIn.sid })
    .from(signIn)
    .where(and(isOf(accountId), but === undefined ? undefined : ne(signIn.sid, but)));
  for (const { sid } of rows) if (!id || nameOf(sid) === id) await db.delete(signIn).where(eq(signIn.sid, sid));
}
