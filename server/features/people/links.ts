import type { BehindLink } from '@wax-fist/contract/people';
import { and, eq, gt, sql } from 'drizzle-orm';
import { createHash, randomBytes } from 'node:crypto';
import type { Database } from '../../db/connection.ts';
import { account, entryLink, invitedFor } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';

/** Nobody guesses 144 bits. */
const bytesOfCode = 18;
/** So long somebody has to come in, and so long to set a new password. */
const lasts = { join: sql`interval '7 days'`, reset: sql`interval '1 hour'` } as const;

type Link = typeof entryLink.$inferSelect;
export interface NewLink extends Pick<Link, 'id' | 'kind' | 'name' | 'role' | 'accountId' | 'madeBy'> {
  /** For whom whoever comes in by it will sign in. */
  traineeIds: readonly string[];
}

const hashOf = (code: string): string => createHash('sha256').update(code).digest('base64url');

/** Makes a link; one of the same id, or for the same account, opens nothing any more. @returns its code, which is kept nowhere */
export async function makeLink(db: Database, { traineeIds, ...link }: NewLink): Promise<{ code: string; endsAt: string }> {
  const code = randomBytes(bytesOfCode).toString('base64url');
  const row = { ...link, codeHash: hashOf(code), endsAt: sql`now() + ${lasts[link.kind]}` };
  return db.transaction(async (tx) => {
    if (link.accountId) await tx.delete(entryLink).where(eq(entryLink.accountId, link.accountId));
    const { id: _, ...set } = row;
    const made = await tx
      .insert(entryLink)
      .values(row)
      .onConflictDoUpdate({ target: entryLink.id, set })
      .returning({ endsAt: entryLink.endsAt });
    await tx.delete(invitedFor).where(eq(invitedFor.linkId, link.id));
    if (traineeIds.length > 0)
      await tx.insert(invitedFor).values([...new Set(traineeIds)].map((traineeId) => ({ linkId: link.id, traineeId })));
    return { code, endsAt: made[0]!.endsAt.toISOString() };
  });
}

const opens = (code: string) => and(eq(entryLink.codeHash, hashOf(code)), gt(entryLink.endsAt, sql`now()`));

/** What a code opens. @throws Refusal when it opens nothing, or nothing any more */
export async function behindLink(db: Database, code: string): Promise<BehindLink> {
  const rows = await db
    .select({ kind: entryLink.kind, name: entryLink.name, role: entryLink.role, email: account.email })
    .from(entryLink)
    .leftJoin(account, eq(account.id, entryLink.accountId))
    .where(opens(code));
  return found(rows, 'link');
}

/**
 * Uses a code up: it opens nothing afterwards, also for whoever uses it at the same moment.
 * @returns the link, and the trainees for whom it was made
 * @throws Refusal when it opens nothing
 */
export async function useLink(tx: Database, code: string, kind: Link['kind']): Promise<Link & { traineeIds: string[] }> {
  // Read before: they go with the link.
  const invited = await tx
    .select({ traineeId: invitedFor.traineeId })
    .from(invitedFor)
    .innerJoin(entryLink, eq(entryLink.id, invitedFor.linkId))
    .where(opens(code));
  const used = await tx
    .delete(entryLink)
    .where(and(opens(code), eq(entryLink.kind, kind)))
    .returning();
  return { ...found(used, 'link'), traineeIds: invited.map(({ traineeId }) => traineeId) };
}
