import type { RoundKind, RoundSpan } from '@wax-fist/core/rounds';
import { asc, eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { Database } from '../db/connection.ts';
import { filmHits, round } from '../db/schema/index.ts';

/** Cuts a film into rounds as they were found, until a coach has looked at them. */
export const proposeRounds = async (
  tx: Database,
  filmId: string,
  kind: RoundKind,
  rounds: readonly RoundSpan[],
): Promise<void> => {
  if (rounds.length === 0) return;
  await tx.insert(round).values(
    rounds.map(({ from, to, manner }, place) => ({
      ...{ id: uuid(), filmId, kind, manner, proposed: true },
      ...{ name: `Round ${place + 1}`, startsAt: from, endsAt: to },
    })),
  );
};

/** Edges as near as this are the same. */
const sameEdge = 500;

/**
 * Cuts a film anew when more is known of who works when. What a coach has changed or looked at stays, and so do rounds that would only
 * be moved by a moment. Whoever has the film open is told that it was changed.
 */
export async function proposeRoundsAnew(
  tx: Database,
  filmId: string,
  kind: RoundKind,
  rounds: readonly RoundSpan[],
): Promise<void> {
  const now = await tx.select().from(round).where(eq(round.filmId, filmId)).orderBy(asc(round.startsAt)).for('update');
  if (!now.every(({ proposed, planned }) => proposed && planned === '')) return;
  const isSame = rounds.every(({ from, to }, place) => {
    const there = now[place];
    return there && Math.abs(there.startsAt - from) <= sameEdge && Math.abs(there.endsAt - to) <= sameEdge;
  });
  if (isSame && now.length === rounds.length) return;
  await tx.delete(round).where(eq(round.filmId, filmId));
  await proposeRounds(tx, filmId, kind, rounds);
  await tx
    .update(filmHits)
    .set({ version: sql`${filmHits.version} + 1` })
    .where(eq(filmHits.filmId, filmId));
}
