import type { Moments, Round, SavedAlignment, SavedHitEdits } from '@wax-fist/contract/moments';
import { noEdits, reversed, usualGap, wholePicture } from '@wax-fist/core/moments';
import { asc, eq, or } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { clip, clipAlignment, clipMoments, round } from '../../db/schema/index.ts';

/** A film that nothing is heard of is looked at by eye. */
const usualEdits = (hasSound: boolean): SavedHitEdits => ({
  source: hasSound ? 'sound' : 'motion',
  sensitivity: noEdits.sensitivity,
  gap: usualGap,
  added: [],
  removed: [],
  region: wholePicture,
});

/** What was found in a clip and what a coach changed about it; undefined when there is no such clip. */
export async function momentsOf(db: Database, clipId: string): Promise<Moments | undefined> {
  const [row] = await db
    .select({
      hasSound: clip.hasSound,
      sound: clipMoments.sound,
      motion: clipMoments.motion,
      rings: clipMoments.rings,
      edits: clipMoments.edits,
      version: clipMoments.version,
    })
    .from(clip)
    .leftJoin(clipMoments, eq(clipMoments.clipId, clip.id))
    .where(eq(clip.id, clipId));
  if (!row) return undefined;
  const rounds = await db.select().from(round).where(eq(round.clipId, clipId)).orderBy(asc(round.startsAt));
  return {
    sound: row.sound,
    motion: row.motion,
    rings: row.rings ?? [],
    edits: row.edits ?? usualEdits(row.hasSound),
    rounds: rounds.map(asRound),
    version: row.version ?? 0,
  };
}

const asRound = ({ id, name, startsAt, endsAt, kind, manner, planned, proposed }: typeof round.$inferSelect): Round => ({
  id,
  name,
  from: startsAt,
  to: endsAt,
  kind,
  manner,
  planned,
  proposed,
});

/** Ties of a clip to others, told from its own side. */
export async function alignmentsOf(db: Database, clipId: string): Promise<SavedAlignment[]> {
  const rows = await db
    .select()
    .from(clipAlignment)
    .where(or(eq(clipAlignment.clipId, clipId), eq(clipAlignment.otherId, clipId)));
  return rows.map((row) => (row.clipId === clipId ? row : { ...reversed(row), clipId, otherId: row.clipId }));
}
