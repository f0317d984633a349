import { measuresOfMoments } from '@wax-fist/core/measure';
import { unpackTimeline, type FrameTimeline } from '@wax-fist/core/moments';
import { isMeasureId } from '@wax-fist/core/technique';
import { and, desc, eq, isNotNull } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { clip, strike } from '../../db/schema/index.ts';

/** The newest so many strikes are enough to see what a band would do. */
const mostReps = 400;

/** What a measure gave on the newest strikes of a technique; empty when it cannot be had from the moments of a strike. */
export async function measuredReps(
  db: Database,
  technique: string,
  measure: string,
): Promise<{ value: number; doubt: number }[]> {
  const read = isMeasureId(measure) ? measuresOfMoments[measure] : undefined;
  if (!read) return [];
  const strikes = await db
    .select({ clipId: strike.clipId, launchFrame: strike.launchFrame, contactFrame: strike.contactFrame, homeFrame: strike.homeFrame })
    .from(strike)
    .where(and(eq(strike.technique, technique), eq(strike.removed, false)))
    .orderBy(desc(strike.id))
    .limit(mostReps); // prettier-ignore
  const timelines = new Map<string, FrameTimeline>();
  for (const clipId of new Set(strikes.map((one) => one.clipId))) {
    const [row] = await db.select({ timeline: clip.timeline }).from(clip).where(and(eq(clip.id, clipId), isNotNull(clip.timeline))); // prettier-ignore
    if (row?.timeline) timelines.set(clipId, unpackTimeline(row.timeline));
  }
  return strikes.flatMap(({ clipId, ...moments }) => {
    const timeline = timelines.get(clipId);
    const measured = timeline && read(timeline, moments);
    return measured?.value === undefined ? [] : [measured];
  });
}
