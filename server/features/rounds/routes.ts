import { roundEndpoints, type HitsAndRounds, type Round } from '@wax-fist/contract/rounds';
import { and, eq, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { filmHits, round } from '../../db/schema/index.ts';
import { notFound, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { hitsAndRoundsOf } from './queries.ts';

export function roundRoutes(router: Router, { db }: Services): void {
  const show = async (filmId: string): Promise<HitsAndRounds> => {
    const moments = await hitsAndRoundsOf(db, filmId);
    if (!moments) throw notFound('film');
    return moments;
  };

  serve(router, roundEndpoints.showHitsAndRounds, ({ params }) => show(params.filmId));

  serve(router, roundEndpoints.saveHits, async ({ params: { filmId }, body: { edits, basedOn }, account }) => {
    await show(filmId);
    await db.transaction(async (tx) => {
      await nextVersion(tx, filmId, basedOn);
      await tx
        .update(filmHits)
        .set({ edits, changedBy: account.id, changedAt: sql`now()` })
        .where(eq(filmHits.filmId, filmId));
    });
    return show(filmId);
  });

  serve(router, roundEndpoints.saveRounds, async ({ params: { filmId }, body: { rounds, basedOn } }) => {
    await show(filmId);
    await db.transaction(async (tx) => {
      await nextVersion(tx, filmId, basedOn);
      await tx.delete(round).where(eq(round.filmId, filmId));
      if (rounds.length > 0) await tx.insert(round).values(rounds.map((one) => asRow(filmId, one)));
    });
    return show(filmId);
  });
}

const asRow = (filmId: string, { id, name, from, to, kind, manner, planned, proposed }: Round): typeof round.$inferInsert => ({
  id,
  filmId,
  name,
  startsAt: from,
  endsAt: to,
  kind,
  manner,
  planned,
  proposed,
});

/** @throws Refusal when somebody else has changed the film's moments meanwhile */
async function nextVersion(tx: Database, filmId: string, basedOn: number): Promise<void> {
  await tx.insert(filmHits).values({ filmId }).onConflictDoNothing();
  const changed = await tx
    .update(filmHits)
    .set({ version: basedOn + 1 })
    .where(and(eq(filmHits.filmId, filmId), eq(filmHits.version, basedOn)))
    .returning({ version: filmHits.version });
  if (changed.length === 0)
    throw new Refusal(409, 'Somebody else has changed these hits or rounds meanwhile. Theirs are shown now.');
}
