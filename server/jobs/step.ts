import type { Database } from '../db/connection.ts';
import { clip } from '../db/schema/index.ts';
import type { ClipFile, Storage } from '../storage/storage.ts';
import { found } from '../http/refusal.ts';
import { eq } from 'drizzle-orm';

/** What a step works with. */
export interface StepWork {
  db: Database;
  storage: Storage;
  clip: typeof clip.$inferSelect;
  /** A path of this machine for a file that is being made. */
  draft(file: ClipFile): string;
  /** Tells how far the step is, 0 to 1. */
  progress(share: number): void;
  /** Fires when somebody stopped the import, or another worker has taken over. */
  signal: AbortSignal;
}

export const change = ({ db, clip: { id } }: StepWork, values: Partial<typeof clip.$inferInsert>): Promise<unknown> =>
  db.update(clip).set(values).where(eq(clip.id, id));

export const clipNamed = async (db: Database, clipId: string): Promise<StepWork['clip']> =>
  found(await db.select().from(clip).where(eq(clip.id, clipId)), 'film');
