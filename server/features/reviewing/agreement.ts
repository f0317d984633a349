import type { PairedCheckpoint, Quarrel } from '@wax-fist/contract/reviewing';
import { agreedVerdicts, type Verdict } from '@wax-fist/core/review';
import { group } from 'd3-array';
import { and, desc, eq, isNotNull, ne, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { saidByName } from '../../db/said-by-name.ts';
import {
  account,
  film,
  observation,
  secondMarking,
  secondWord,
  strike,
  trainee,
  trainingSession,
} from '../../db/schema/index.ts';

/** More of them nobody looks through. */
const mostQuarrels = 60;

const bothSaid: SQL = and(
  isNotNull(secondMarking.doneAt),
  eq(strike.removed, false),
  eq(observation.superseded, false),
  isNotNull(observation.verdict),
  eq(secondWord.superseded, false),
  isNotNull(secondWord.verdict),
  // Whoever has judged it since as the first one would agree with themselves.
  sql`${observation.saidBy} is distinct from ${secondWord.saidBy}`,
)!;
const sameThing = and(eq(secondWord.strikeId, observation.strikeId), eq(secondWord.checkpointId, observation.checkpointId));

/** What two coaches said of the same strikes, by checkpoint and film. */
export async function pairsOfCheckpoints(db: Database): Promise<PairedCheckpoint[]> {
  const rows = await db
    .select({
      checkpointId: observation.checkpointId,
      filmId: strike.filmId,
      first: sql<Verdict>`${observation.verdict}`,
      second: sql<Verdict>`${secondWord.verdict}`,
      times: sql<number>`count(*)::int`,
    })
    .from(secondMarking)
    .innerJoin(strike, eq(strike.filmId, secondMarking.filmId))
    .innerJoin(observation, eq(observation.strikeId, strike.id))
    .innerJoin(secondWord, and(sameThing, eq(secondWord.saidBy, secondMarking.coachId)))
    .where(bothSaid)
    .groupBy(observation.checkpointId, strike.filmId, observation.verdict, secondWord.verdict)
    .orderBy(observation.checkpointId, strike.filmId);
  const timesIn = (list: typeof rows, first: Verdict, second: Verdict): number =>
    list.find((row) => row.first === first && row.second === second)?.times ?? 0;
  return [...group(rows, ({ checkpointId }) => checkpointId)].map(([checkpointId, ofCheckpoint]) => ({
    checkpointId,
    films: [...group(ofCheckpoint, ({ filmId }) => filmId).values()].map((list) =>
      agreedVerdicts.map((first) => agreedVerdicts.map((second) => timesIn(list, first, second))),
    ),
    seenByOne: ofCheckpoint
      .filter(({ first, second }) => (first === 'cant-see') !== (second === 'cant-see'))
      .reduce((sum, { times }) => sum + times, 0),
  }));
}

const other = alias(account, 'second_coach');
/** Strikes of which two coaches said different things of one checkpoint, newest session first. */
export async function quarrelsOver(db: Database, checkpointId: string): Promise<Quarrel[]> {
  return db
    .select({
      filmId: strike.filmId,
      strikeId: strike.id,
      technique: strike.technique,
      traineeName: trainee.name,
      heldOn: trainingSession.heldOn,
      first: sql<Verdict>`${observation.verdict}`,
      firstBy: saidByName,
      second: sql<Verdict>`${secondWord.verdict}`,
      secondBy: other.name,
    })
    .from(secondMarking)
    .innerJoin(strike, eq(strike.filmId, secondMarking.filmId))
    .innerJoin(observation, eq(observation.strikeId, strike.id))
    .innerJoin(secondWord, and(sameThing, eq(secondWord.saidBy, secondMarking.coachId)))
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .innerJoin(other, eq(other.id, secondWord.saidBy))
    .leftJoin(account, eq(account.id, observation.saidBy))
    .where(and(bothSaid, eq(observation.checkpointId, checkpointId), ne(observation.verdict, secondWord.verdict)))
    .orderBy(desc(trainingSession.heldOn), strike.filmId, strike.contactFrame)
    .limit(mostQuarrels);
}
