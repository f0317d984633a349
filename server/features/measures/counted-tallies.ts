import type { SessionTally } from '@wax-fist/contract/review';
import { tallyByMeasures } from '@wax-fist/core/correction';
import { oneViewEach, tallySum, type Tally } from '@wax-fist/core/review';
import type { TechniqueId } from '@wax-fist/core/technique';
import { and, eq, inArray, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { observation, strike, strikeMeasure, trainingSession } from '../../db/schema/index.ts';
import { aboutTechnique, saidOf, talliesOf } from '../review/queries.ts';
import { countedMeasures, measuredRows, ratesByMeasures } from './session-measures.ts';

const nobodyJudged = sql`not exists (select 1 from ${observation} where ${observation.strikeId} = ${strike.id}
  and ${observation.checkpointId} = ${strikeMeasure.checkpointId}
  and not ${observation.superseded} and ${observation.verdict} is not null)`;

/**
 * Tallies of what coaches have said, and, of what the club lets measures count for, of what was measured where nobody has judged.
 * What a session has not been opened for yet is not measured here: the page of a session and the page of the measures do that.
 * @param said of observations, see `talliesOf` @param strikes the same of strikes, for what is measured of them
 */
async function countedTallies(db: Database, said: SQL, strikes: SQL): Promise<SessionTally[]> {
  const [tallies, counted] = await Promise.all([talliesOf(db, said), countedMeasures(db)]);
  if (counted.size === 0) return tallies;
  const rows = await measuredRows(db, and(strikes, inArray(strikeMeasure.checkpointId, [...counted]), nobodyJudged));
  if (rows.length === 0) return tallies;
  const rates = await ratesByMeasures(db, rows);
  const sessions = await db
    .select({ id: trainingSession.id, heldOn: trainingSession.heldOn, rung: trainingSession.rung })
    .from(trainingSession)
    .where(inArray(trainingSession.id, [...new Set(rates.map(({ sessionId }) => sessionId))]));
  const sessionById = new Map(sessions.map((session) => [session.id, session]));
  const keyOf = ({ sessionId, technique, checkpointId, view }: Omit<SessionTally, 'tally'>): string =>
    [sessionId, technique, checkpointId, view].join(' ');
  const all = new Map(tallies.map((row) => [keyOf(row), row]));
  for (const rate of rates) {
    const { sessionId, technique, checkpointId, view, strikes: byMeasure } = rate;
    const { heldOn, rung } = sessionById.get(sessionId)!;
    const row = { sessionId, heldOn, rung, technique, checkpointId, view, byMeasure };
    const tally = tallyByMeasures(rate);
    const held = all.get(keyOf(row));
    all.set(keyOf(row), { ...row, tally: held ? tallySum(held.tally, tally) : tally });
  }
  return [...all.values()].sort((a, b) => (a.heldOn < b.heldOn || (a.heldOn === b.heldOn && a.sessionId < b.sessionId) ? -1 : 1));
}

/** Tallies of all that is said and measured of somebody, oldest session first. */
export const talliesOfTrainee = (db: Database, traineeId: string): Promise<SessionTally[]> =>
  countedTallies(db, saidOf(traineeId), eq(trainingSession.traineeId, traineeId));

/** What a session says of one thing at this moment, from its best view; null when it says nothing. */
export async function countedIn(
  db: Database,
  sessionId: string,
  technique: TechniqueId,
  checkpointId: string,
): Promise<Tally | null> {
  const inSession = eq(trainingSession.id, sessionId);
  const tallies = await countedTallies(
    db,
    and(inSession, eq(aboutTechnique, technique), eq(observation.checkpointId, checkpointId))!,
    and(inSession, eq(strike.technique, technique), eq(strikeMeasure.checkpointId, checkpointId))!,
  );
  return oneViewEach(tallies)[0]?.tally ?? null;
}
