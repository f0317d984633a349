import { measuresOfMoments } from '@wax-fist/core/measure';
import { unpackTimeline } from '@wax-fist/core/film';
import { isMeasureId, isOneStrike, type Catalogue } from '@wax-fist/core/technique';
import { and, desc, eq, inArray, isNotNull } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { film, strike } from '../../db/schema/index.ts';

/** The newest so many strikes are enough to see what a band would do. */
const mostStrikes = 400;

/** What a measure gave on the newest strikes of a technique; empty when it cannot be had from the moments of a strike. */
export async function measuredStrikes(
  db: Database,
  catalogue: Catalogue,
  technique: string,
  measure: string,
): Promise<{ value: number; doubt: number }[]> {
  const read = isMeasureId(measure) ? measuresOfMoments[measure] : undefined;
  if (!read) return [];
  const strikes = await db
    .select({
      filmId: strike.filmId,
      part: strike.part,
      ...momentColumns,
    })
    .from(strike)
    .where(and(eq(strike.technique, technique), eq(strike.removed, false)))
    .orderBy(desc(strike.id))
    .limit(mostStrikes);
  // Every film's frame times once, however many of its strikes are shown.
  const films = await db
    .select({ id: film.id, timeline: film.timeline })
    .from(film)
    .where(and(inArray(film.id, [...new Set(strikes.map(({ filmId }) => filmId))]), isNotNull(film.timeline)));
  const timelines = new Map(films.map(({ id, timeline }) => [id, unpackTimeline(timeline!)]));
  return strikes.flatMap(({ filmId, part, ...moments }) => {
    if (!isOneStrike(catalogue, { technique, part })) return [];
    const timeline = timelines.get(filmId);
    const measured = timeline && read(timeline, moments);
    return measured?.value === undefined ? [] : [measured];
  });
}
