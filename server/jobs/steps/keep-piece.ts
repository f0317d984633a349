import type { PieceTable } from '../../db/film-pieces.ts';
import type { filmPoints } from '../../db/schema/index.ts';
import type { StepWork } from '../import-step.ts';

/**
 * Keeps a piece, over what was there that begins with the same frame; then a film for which somebody waits more goes first.
 * @throws GaveWay when one does: the piece is kept
 */
export async function keepPiece(
  { db, giveWay }: Pick<StepWork, 'db' | 'giveWay'>,
  into: PieceTable,
  row: typeof filmPoints.$inferInsert,
): Promise<void> {
  await db
    .insert(into)
    .values(row)
    .onConflictDoUpdate({ target: [into.filmId, into.fromFrame], set: row });
  await giveWay();
}
