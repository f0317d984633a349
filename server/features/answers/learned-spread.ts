import { fewestLooks, openingOf, seriesOf, usualSpread, type ClubSpread, type LearnedSeries } from '@wax-fist/core/correction';
import { groups } from 'd3-array';
import { eq, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, learnedSpread, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { talliesOfEach } from '../review/tallies.ts';

/** More series than these tell nothing new. */
const mostSeries = 1500;

/** What the club's own series tell of levels; what is usual while nothing was learned. */
export async function spreadNow(db: Database): Promise<ClubSpread> {
  const [row] = await db.select({ spread: learnedSpread.spread }).from(learnedSpread);
  return row?.spread ?? usualSpread;
}

/** Finer differences change no answer, and would have all of them worked out anew. */
const finest = 1e4;
const round = (share: number): number => Math.round(share * finest) / finest;
const rounded = ({ shares, levels }: ClubSpread): ClubSpread => ({
  shares: shares.map((ofLikeness) => ofLikeness.map(round)),
  levels: levels.map((share) => Math.max(1 / finest, round(share))),
});

/** Learns it anew from everything that was ever counted, and from when which of it was worked on. */
export async function learnSpread(db: Database): Promise<void> {
  const [tallies, opened] = await Promise.all([
    talliesOfEach(db),
    db
      .select({
        about: sql<string>`concat_ws(' ', ${correction.traineeId}, ${correction.technique}, ${correction.checkpointId})`,
        openedOn: trainingSession.heldOn,
      })
      .from(correction)
      .innerJoin(trainingSession, eq(trainingSession.id, correction.openedIn)),
  ]);
  const openedOn = new Map(opened.map((row) => [row.about, row.openedOn]));
  const all = groups(tallies, ({ traineeId }) => traineeId).flatMap(([traineeId, rows]) =>
    seriesOf(rows).map(({ technique, checkpointId, looks }): LearnedSeries => {
      const day = openedOn.get([traineeId, technique, checkpointId].join(' '));
      return { looks, ...(day !== undefined && { opening: openingOf(looks, day) }) };
    }),
  );
  // The longest tell most.
  const telling = all
    .filter(({ looks }) => looks.length >= fewestLooks)
    .sort((a, b) => b.looks.length - a.looks.length)
    .slice(0, mostSeries);
  const row = { spread: rounded(await heavily('clubSpread', telling)), series: telling.length };
  await db
    .insert(learnedSpread)
    .values(row)
    .onConflictDoUpdate({ target: learnedSpread.only, set: { ...row, learnedAt: sql`now()` } });
}
