import type { Database } from '../db/connection.ts';
import { film } from '../db/schema/index.ts';
import type { FilmFile, Storage } from '../storage/storage.ts';
import { found } from '../http/refusal.ts';
import type { Encoding } from '../media/review-copy.ts';
import type { PoseSize } from '../pose/pose-size.ts';
import { eq, sql } from 'drizzle-orm';

/** What a step works with. */
export interface StepWork {
  db: Database;
  storage: Storage;
  film: typeof film.$inferSelect;
  /** How thoroughly bodies are followed; absent, they are not. */
  pose?: PoseSize;
  encoding?: Encoding;
  /** A path of this machine for a file that is being made. */
  draft: (file: FilmFile) => string;
  /** Tells how far the step is, 0 to 1. */
  progress: (share: number) => void;
  /** Where the step can be gone on with: lets films go first for which somebody waits more. @throws GaveWay when one does */
  giveWay: () => Promise<void>;
  /** Fires when somebody stopped the import, or another worker has taken over. */
  signal: AbortSignal;
}

/** A step that is to be done once more, however it ended. */
export const begunAnew = { state: 'waiting' as const, attempts: 0, progress: 0, reason: null, touchedAt: sql`now()` };

/** A step let another film go first. It is none that failed: it is gone on with later. */
export class GaveWay extends Error {
  constructor() {
    super('Another film waits.');
    this.name = 'GaveWay';
  }
}

export const updateFilm = ({ db, film: { id } }: StepWork, values: Partial<typeof film.$inferInsert>): Promise<unknown> =>
  db.update(film).set(values).where(eq(film.id, id));

export const filmNamed = async (db: Database, filmId: string): Promise<StepWork['film']> =>
  found(await db.select().from(film).where(eq(film.id, filmId)), 'film');
