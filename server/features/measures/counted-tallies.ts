import type { JudgedThing, SessionTally } from '@wax-fist/contract/review';
import { inSessionOrder, tallyByMeasures } from '@wax-fist/core/correction';
import { oneViewEach, tallySum, type Tally } from '@wax-fist/core/review';
import type { TechniqueId } from '@wax-fist/core/technique';
import { groups } from 'd3-array';
import { and, eq, gte, inArray, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { filmTally, observation, strike, strikeMeasure, trainingSession } from '../../db/schema/index.ts';
import { saidOf, sessionsOf, sumsOf, talliesOf } from '../review/tallies.ts';
import { countedMeasures, measuredAbout, measuredOf, measuredRows, ratesByMeasures } from './session-measures.ts';

const nobodyJudged = sql`not exists (select 1 from ${observation} where ${observation.strikeId} = ${strike.id}
  and ${observation.checkpointId} = ${strikeMeasure.checkpointId}
  and not ${observation.superseded} and ${observation.verdict} is not null)`;

/**
 * Tallies of what coaches have said, and, of what the club lets measures count for, of what was measured where nobody has judged.
 * What a session has not been opened for yet is not measured here: the page of a session and the page of the measures do that.
 * @param said sessions and a part of their tallies, see `talliesOf` @param strikes the same of strikes, for what is measured of them
 */
async function countedTallies(db: Database, said: { sessions: SQL; which: SQL }, strikes: SQL): Promise<SessionTally[]> {
  const [tallies, counted] = await Promise.all([talliesOf(db, said.sessions, said.which), countedMeasures(db)]);
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
  return [...all.values()].sort(inSessionOrder);
}

/** A part of what is said and measured of somebody; everything where nothing is asked. */
export interface AskedTallies {
  sessionId?: string | undefined;
  /** Sessions from this day on. */
  since?: string | undefined;
  rung?: number | undefined;
  /** These things. */
  about?: readonly { technique: string; checkpointId: string }[] | undefined;
}

/** Conditions on sessions, on their tallies, and on the strikes that were measured. */
function asked({ sessionId, since, rung, about }: AskedTallies) {
  const checkpointIds = [...new Set(about?.map((one) => one.checkpointId))];
  const techniques = [...new Set(about?.map((one) => one.technique))];
  return {
    sessions: and(
      sessionId === undefined ? undefined : eq(trainingSession.id, sessionId),
      since === undefined ? undefined : gte(trainingSession.heldOn, since),
      rung === undefined ? undefined : eq(trainingSession.rung, rung),
    ),
    which: about && and(inArray(filmTally.technique, techniques), inArray(filmTally.checkpointId, checkpointIds)),
    strikes: about && and(inArray(measuredAbout.technique, techniques), inArray(strikeMeasure.checkpointId, checkpointIds)),
  };
}

/** Tallies of what is said and measured of somebody, oldest session first. */
export function talliesOfTrainee(db: Database, traineeId: string, wanted: AskedTallies = {}): Promise<SessionTally[]> {
  const { sessions, which, strikes } = asked(wanted);
  return countedTallies(
    db,
    { sessions: and(sessionsOf(traineeId), sessions)!, which: and(saidOf(traineeId), which)! },
    and(measuredOf(traineeId), sessions, strikes)!,
  );
}

/** Everything that was ever looked at in somebody, and how often each verdict was given. */
export async function judgedOf(db: Database, traineeId: string): Promise<JudgedThing[]> {
  const counted = await countedMeasures(db);
  if (counted.size === 0) return sumsOf(db, sessionsOf(traineeId), saidOf(traineeId));
  const rows = groups(await talliesOfTrainee(db, traineeId), ({ technique, checkpointId }) => `${technique} ${checkpointId}`);
  return rows.map(([, [first, ...more]]) => ({
    technique: first!.technique,
    checkpointId: first!.checkpointId,
    tally: more.reduce((sum, { tally }) => tallySum(sum, tally), first!.tally),
  }));
}

/** What a session says of one thing at this moment, from its best view; null when it says nothing. */
export async function countedIn(
  db: Database,
  sessionId: string,
  technique: TechniqueId,
  checkpointId: string,
): Promise<Tally | null> {
  const { sessions, which, strikes } = asked({ sessionId, about: [{ technique, checkpointId }] });
  const tallies = await countedTallies(db, { sessions: sessions!, which: which! }, and(sessions, strikes)!);
  return oneViewEach(tallies)[0]?.tally ?? null;
}
