import { alignmentEndpoints } from '@wax-fist/contract/alignments';
import { reversed } from '@wax-fist/core/sound';
import { and, eq, inArray } from 'drizzle-orm';
import type { Router } from 'express';
import { film, filmAlignment, filmStep } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import { begunAnew } from '../../jobs/import-step.ts';
import type { Services } from '../../services.ts';
import { alignmentsOf } from './queries.ts';

export function alignmentRoutes(router: Router, { db, queue }: Services): void {
  /** Two films of one session, in the order in which their tie is kept. */
  const pair = async (filmId: string, otherId: string) => {
    const rows = await db
      .select({ id: film.id, sessionId: film.sessionId })
      .from(film)
      .where(inArray(film.id, [filmId, otherId]));
    if (rows.length < 2) throw notFound('film');
    if (rows[0]!.sessionId !== rows[1]!.sessionId) throw new Refusal(409, 'These films are not of the same session.');
    const [first, second] = [filmId, otherId].sort() as [string, string];
    return { first, second, isKept: and(eq(filmAlignment.filmId, first), eq(filmAlignment.otherId, second)) };
  };

  serve(router, alignmentEndpoints.showAlignments, async ({ params: { filmId } }) => {
    found(await db.select({ id: film.id }).from(film).where(eq(film.id, filmId)), 'film');
    return alignmentsOf(db, filmId);
  });

  serve(router, alignmentEndpoints.saveAlignment, async ({ params: { filmId, otherId }, body: { offset } }) => {
    const { first, second, isKept } = await pair(filmId, otherId);
    // Clocks still differ in rate as they were heard to; a coach's one moment says nothing about that.
    const [heard] = await db.select().from(filmAlignment).where(isKept);
    const byHand = { offset, drift: 0 };
    const told = first === filmId ? byHand : reversed(byHand);
    const kept = { offset: told.offset, drift: heard?.fit === null ? 0 : (heard?.drift ?? 0), fit: null };
    await db
      .insert(filmAlignment)
      .values({ filmId: first, otherId: second, ...kept })
      .onConflictDoUpdate({ target: [filmAlignment.filmId, filmAlignment.otherId], set: kept });
    return (await alignmentsOf(db, filmId)).find((one) => one.otherId === otherId)!;
  });

  serve(router, alignmentEndpoints.listenAgain, async ({ params: { filmId, otherId } }) => {
    const { isKept } = await pair(filmId, otherId);
    await db.transaction(async (tx) => {
      await tx.delete(filmAlignment).where(isKept);
      await tx
        .update(filmStep)
        .set(begunAnew)
        .where(
          and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'views'), inArray(filmStep.state, ['done', 'failed', 'stopped'])),
        );
    });
    await queue.importFilm(filmId, 'rest');
  });
}
