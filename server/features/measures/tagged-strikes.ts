import type { TaggedStrike } from '@wax-fist/core/habits';
import { timeOf, unpackTimeline } from '@wax-fist/core/film';
import type { Ms } from '@wax-fist/core/units';
import { and, asc, eq, inArray, isNotNull, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { film, strike, trainingSession } from '../../db/schema/index.ts';
import { judgedStrike } from './bands.ts';

/** Strikes as they stand in their films, film by film and in order of time. @param which may ask of film, session and strike */
export async function taggedStrikes(db: Database, which: SQL | undefined) {
  const strikes = await db
    .select({ strikeId: strike.id, ...judgedStrike, filmId: film.id, ...momentColumns })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(which, eq(strike.removed, false), isNotNull(film.timeline)))
    .orderBy(asc(film.addedAt), asc(film.id), asc(strike.contactFrame));
  const films = [...new Set(strikes.map(({ filmId }) => filmId))];
  const packed = await db.select({ id: film.id, timeline: film.timeline }).from(film).where(inArray(film.id, films));
  const timelines = new Map(packed.flatMap(({ id, timeline }) => (timeline ? [[id, unpackTimeline(timeline)]] : [])));
  return strikes.map((one): typeof one & TaggedStrike & { from: Ms; to: Ms } => {
    const timeline = timelines.get(one.filmId)!;
    const [from, at, to] = [one.launchFrame, one.contactFrame, one.homeFrame].map((frame) => timeOf(timeline, frame)) as [
      Ms,
      Ms,
      Ms,
    ];
    return { ...one, from, at, to };
  });
}
