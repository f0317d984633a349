import type { SessionMeasures } from '@wax-fist/contract/measures';
import { readOfHolder, type Degrees, type MeasuredRate } from '@wax-fist/core/measure';
import { holdingTechnique, type Band, type View } from '@wax-fist/core/technique';
import { groups } from 'd3-array';
import { and, asc, eq, inArray, not, or, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { countedMeasure, film, strike, strikeMeasure, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { bandsFor, judgedStrike, type JudgedStrike } from './bands.ts';
import { measureStrikes } from './measure-films.ts';
import { taggedStrikes } from './tagged-strikes.ts';

const isOfHolder = inArray(strikeMeasure.checkpointId, [...readOfHolder]);
/** What is measured of whoever holds belongs to no single technique of the one who strikes. */
export const measuredAbout = {
  technique: sql<string>`case when ${isOfHolder} then ${holdingTechnique} else ${strike.technique} end`,
  part: sql<number | null>`case when not ${isOfHolder} then ${strike.part} end`,
};
/** What is measured of somebody: of their own strikes, and of their holding for others. */
export const measuredOf = (traineeId: string): SQL =>
  or(and(eq(trainingSession.traineeId, traineeId), not(isOfHolder)), and(eq(trainingSession.holderId, traineeId), isOfHolder))!;

/** A strike with one thing that was measured of it. */
export interface MeasuredRow extends JudgedStrike {
  strikeId: string;
  checkpointId: string;
  value: number;
  doubt: number;
  shared: number;
  degrees: Degrees;
}
/** Everything that is known to be measured of some strikes. @param which may ask of film, session, strike and measure */
export const measuredRows = (db: Database, which: SQL | undefined): Promise<MeasuredRow[]> =>
  db
    .select({
      strikeId: strike.id,
      ...judgedStrike,
      ...measuredAbout,
      checkpointId: strikeMeasure.checkpointId,
      value: strikeMeasure.value,
      doubt: strikeMeasure.doubt,
      shared: strikeMeasure.shared,
      degrees: strikeMeasure.degrees,
    })
    .from(strikeMeasure)
    .innerJoin(strike, eq(strike.id, strikeMeasure.strikeId))
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(eq(strike.removed, false), which))
    .orderBy(asc(strike.filmId), asc(strike.contactFrame));

/** The rate of one thing by measures alone, and where it was seen from. */
export interface RateByMeasures extends MeasuredRate {
  sessionId: string;
  technique: string;
  checkpointId: string;
  view: View;
}

/** Rates by measures alone of each session, technique, checkpoint and view; without those of which nothing can be said. */
export async function ratesByMeasures(db: Database, rows: readonly MeasuredRow[]): Promise<RateByMeasures[]> {
  const bandOf = await bandsFor(db, rows);
  const lists = groups(rows, ({ sessionId, technique, checkpointId, view }) =>
    [sessionId, technique, checkpointId, view].join(' '),
  )
    .map(([, strikes]) => ({ of: strikes[0]!, strikes, band: bandOf(strikes[0]!, strikes[0]!.checkpointId) }))
    .filter((list): list is typeof list & { band: Band } => list.band !== undefined);
  const rates = await heavily(
    'measuredRates',
    lists.map(({ band, strikes }) => ({
      band,
      strikes: strikes.map(({ value, doubt, shared, degrees }) => ({ value, doubt, shared, degrees })),
    })),
  );
  return lists.flatMap(({ of: { sessionId, technique, checkpointId, view } }, place) => {
    const rate = rates[place];
    return rate ? [{ ...rate, sessionId, technique, checkpointId, view }] : [];
  });
}

/** The checkpoints of which the club lets measures count. */
export async function countedMeasures(db: Database): Promise<ReadonlySet<string>> {
  const rows = await db.select({ checkpointId: countedMeasure.checkpointId }).from(countedMeasure);
  return new Set(rows.map(({ checkpointId }) => checkpointId));
}

/** Everything that is measured in a session, measured now where it was not yet. */
export async function sessionMeasures(db: Database, sessionId: string): Promise<SessionMeasures> {
  const inSession = eq(film.sessionId, sessionId);
  await measureStrikes(db, inSession);
  const [strikes, rows, counted] = await Promise.all([
    taggedStrikes(db, inSession),
    measuredRows(db, inSession),
    countedMeasures(db),
  ]);
  const rates = await ratesByMeasures(db, rows);
  return {
    strikes,
    values: rows,
    rates: rates.map((rate) => ({ ...rate, amiss: rate.amiss ?? null, counts: counted.has(rate.checkpointId) })),
  };
}
