import { momentsEndpoints, type Moments, type Round } from '@wax-fist/contract/moments';
import { reversed } from '@wax-fist/core/moments';
import { and, eq, inArray, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { clip, clipAlignment, clipMoments, clipStep, round } from '../../db/schema/index.ts';
import { notFound, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import { alignmentsOf, momentsOf } from './queries.ts';

export function momentsRoutes(router: Router, { db, queue }: Surroundings): void {
  const show = async (clipId: string): Promise<Moments> => {
    const moments = await momentsOf(db, clipId);
    if (!moments) throw notFound('film');
    return moments;
  };

  /** Two clips of one session, in the order in which their tie is kept. */
  const pair = async (clipId: string, otherId: string) => {
    const rows = await db
      .select({ id: clip.id, sessionId: clip.sessionId })
      .from(clip)
      .where(inArray(clip.id, [clipId, otherId]));
    if (rows.length < 2) throw notFound('film');
    if (rows[0]!.sessionId !== rows[1]!.sessionId) throw new Refusal(409, 'These films are not of the same session.');
    const [first, second] = [clipId, otherId].sort() as [string, string];
    return { first, second, isKept: and(eq(clipAlignment.clipId, first), eq(clipAlignment.otherId, second)) };
  };

  serve(router, momentsEndpoints.showMoments, ({ params }) => show(params.clipId));

  serve(router, momentsEndpoints.saveHits, async ({ params: { clipId }, body: { edits, basedOn }, account }) => {
    await show(clipId);
    await db.transaction(async (tx) => {
      await nextVersion(tx, clipId, basedOn);
      await tx
        .update(clipMoments)
        .set({ edits, changedBy: account.id, changedAt: sql`now()` })
        .where(eq(clipMoments.clipId, clipId));
    });
    return show(clipId);
  });

  serve(router, momentsEndpoints.saveRounds, async ({ params: { clipId }, body: { rounds, basedOn } }) => {
    await show(clipId);
    await db.transaction(async (tx) => {
      await nextVersion(tx, clipId, basedOn);
      await tx.delete(round).where(eq(round.clipId, clipId));
      if (rounds.length > 0) await tx.insert(round).values(rounds.map((one) => asRow(clipId, one)));
    });
    return show(clipId);
  });

  serve(router, momentsEndpoints.showAlignments, async ({ params: { clipId } }) => {
    await show(clipId);
    return alignmentsOf(db, clipId);
  });

  serve(router, momentsEndpoints.saveAlignment, async ({ params: { clipId, otherId }, body: { offset } }) => {
    const { first, second, isKept } = await pair(clipId, otherId);
    // Clocks still differ in rate as they were heard to; a coach's one moment says nothing about that.
    const [heard] = await db.select().from(clipAlignment).where(isKept);
    const byHand = { offset, drift: 0 };
    const told = first === clipId ? byHand : reversed(byHand);
    const kept = { offset: told.offset, drift: heard?.fit === null ? 0 : (heard?.drift ?? 0), fit: null };
    await db
      .insert(clipAlignment)
      .values({ clipId: first, otherId: second, ...kept })
      .onConflictDoUpdate({ target: [clipAlignment.clipId, clipAlignment.otherId], set: kept });
    return (await alignmentsOf(db, clipId)).find((one) => one.otherId === otherId)!;
  });

  serve(router, momentsEndpoints.listenAgain, async ({ params: { clipId, otherId } }) => {
    const { isKept } = await pair(clipId, otherId);
    await db.transaction(async (tx) => {
      await tx.delete(clipAlignment).where(isKept);
      await tx
        .update(clipStep)
        .set({ state: 'waiting', attempts: 0, touchedAt: sql`now()` })
        .where(
          and(eq(clipStep.clipId, clipId), eq(clipStep.step, 'views'), inArray(clipStep.state, ['done', 'failed', 'stopped'])),
        );
    });
    await queue.importClip(clipId, 'rest');
  });
}

const asRow = (clipId: string, { id, name, from, to, kind, manner, proposed }: Round): typeof round.$inferInsert => ({
  id,
  clipId,
  name,
  startsAt: from,
  endsAt: to,
  kind,
  manner,
  proposed,
});

/** @throws Refusal when somebody else has changed the clip's moments meanwhile */
async function nextVersion(tx: Pick<Database, 'insert' | 'update'>, clipId: string, basedOn: number): Promise<void> {
  await tx.insert(clipMoments).values({ clipId }).onConflictDoNothing();
  const changed = await tx
    .update(clipMoments)
    .set({ version: basedOn + 1 })
    .where(and(eq(clipMoments.clipId, clipId), eq(clipMoments.version, basedOn)))
    .returning({ version: clipMoments.version });
  if (changed.length === 0)
    throw new Refusal(409, 'Somebody else has changed these hits or rounds meanwhile. Theirs are shown now.');
}
