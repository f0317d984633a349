import type { Mark } from '@wax-fist/contract/review';
import type { PgInsertValue } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import type { observation, pointPin, secondWord, strikeRevision } from '../../db/schema/index.ts';
import type { Told } from './sift-marks.ts';

/** Somebody else wrote a mark with the same id, or about the same thing, between our looking and our writing. */
export class WrittenMeanwhile extends Error {}

/** What a batch is written with. */
export interface Desk {
  transaction: Database;
  filmId: string;
  saidBy: string;
}

/** Everything that is only added to. */
type Log = typeof strikeRevision | typeof observation | typeof secondWord | typeof pointPin;

/** Adds to a log what was not there a moment ago. @throws WrittenMeanwhile */
export async function append<One extends Log>({ transaction }: Desk, log: One, rows: PgInsertValue<One>[]): Promise<void> {
  const written = await transaction.insert(log).values(rows).onConflictDoNothing().returning({ id: log.id });
  if (written.length < rows.length) throw new WrittenMeanwhile();
}

export const byId = (a: { id: string }, b: { id: string }): number => (a.id < b.id ? -1 : 1);

/** A mark as a statement, said when it counts as said. */
export const asSaid = <One extends Mark>({ mark, saidAt }: Told<One>): One => ({ ...mark, saidAt: saidAt.toISOString() });

/** What the log does not have yet, each once. */
export const notIn = <One extends Mark>(known: ReadonlyMap<string, unknown>, told: readonly Told<One>[]): Told<One>[] => [
  ...new Map(told.filter(({ mark }) => !known.has(mark.id)).map((one) => [one.mark.id, one])).values(),
];
