import type { JudgedThing, SessionTally } from '@wax-fist/contract/review';
import { holdingTechnique } from '@wax-fist/core/technique';
import { and, asc, eq, isNotNull, ne, or, sql, type SQL } from 'drizzle-orm';
import type { Tally } from '@wax-fist/core/review';
import { type AnyPgColumn } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { film, filmTally, observation, strike, trainingSession } from '../../db/schema/index.ts';

const lockOf = (filmId: string | typeof film.id): SQL => sql`hashtextextended('tallies ' || ${filmId}::text, 0)`;
/**
 * Whoever says something of a film holds this until it is said; many may at once. Counting waits for all of them, and they wait while
 * it counts. A lock on the film itself would do as much, but two of them who say that it has to be counted again would wait in a ring.
 */
export const whileSaying = sql`pg_advisory_xact_lock_shared(${lockOf(film.id)})`;

/** Something was said of a film: its tallies are to be counted anew before they are asked for. */
export async function talliesChanged(transaction: Database, filmId: string): Promise<void> {
  await transaction
    .update(film)
    .set({ tallied: false })
    .where(and(eq(film.id, filmId), film.tallied));
}

const isOfHolder = eq(observation.subject, 'holder');
/** What is said of whoever holds the pads belongs to no single technique of the one who strikes. */
const aboutTechnique = sql<string>`case when ${isOfHolder} then ${holdingTechnique} else ${strike.technique} end`;
/** How often a verdict was given, of the observations that a query groups. */
export const timesSaid = (verdict: string): SQL<number> =>
  sql<number>`count(*) filter (where ${observation.verdict} = ${verdict})::int`;

/** Counts a film anew. */
async function countFilm(db: Database, filmId: string): Promise<void> {
  await db.transaction(async (transaction) => {
    await transaction.execute(sql`select pg_advisory_xact_lock(${lockOf(filmId)})`);
    await transaction.delete(filmTally).where(eq(filmTally.filmId, filmId));
    const counted = transaction
      .select({
        filmId: strike.filmId,
        technique: aboutTechnique.as('about'),
        checkpointId: observation.checkpointId,
        view: observation.view,
        clean: timesSaid('clean').as('clean'),
        watch: timesSaid('watch').as('watch'),
        fault: timesSaid('fault').as('fault'),
        cantSee: timesSaid('cant-see').as('cant_see'),
      })
      .from(strike)
      .innerJoin(observation, eq(observation.strikeId, strike.id))
      .where(
        and(
          eq(strike.filmId, filmId),
          eq(strike.removed, false),
          eq(observation.superseded, false),
          isNotNull(observation.verdict),
        ),
      )
      .groupBy(strike.filmId, sql`about`, observation.checkpointId, observation.view);
    await transaction.insert(filmTally).select(counted);
    await transaction.update(film).set({ tallied: true }).where(eq(film.id, filmId));
  });
}

async function countMissing(db: Database, sessions: SQL | undefined): Promise<void> {
  const uncounted = await db
    .select({ id: film.id })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(sql`not ${film.tallied}`, sessions));
  for (const { id } of uncounted) await countFilm(db, id);
}

/** What is said of somebody: of their own strikes, and of their holding for others. */
export const saidOf = (traineeId: string): SQL =>
  or(
    and(eq(trainingSession.traineeId, traineeId), ne(filmTally.technique, holdingTechnique)),
    and(eq(trainingSession.holderId, traineeId), eq(filmTally.technique, holdingTechnique)),
  )!;
/** The sessions in which something may be said of somebody. */
export const sessionsOf = (traineeId: string): SQL =>
  or(eq(trainingSession.traineeId, traineeId), eq(trainingSession.holderId, traineeId))!;

/** A tally, and whose it is: what is said of holding is the holder’s. */
export type TraineeTally = SessionTally & { traineeId: string };

const { technique, checkpointId, view } = filmTally;
const all = (count: AnyPgColumn): SQL<number> => sql<number>`sum(${count})::int`;
const counts = {
  clean: all(filmTally.clean),
  watch: all(filmTally.watch),
  fault: all(filmTally.fault),
  cantSee: all(filmTally.cantSee),
};
/** What was counted of a row as its tally. */
const withTally = <Row extends Tally>({ clean, watch, fault, cantSee, ...row }: Row) => ({
  ...row,
  tally: { clean, watch, fault, cantSee },
});

/**
 * Tallies by session, technique, checkpoint and view, oldest session first. Films of which something was said since they were counted
 * are counted first, and no others.
 * @param sessions the sessions that are asked @param which a part of their tallies
 */
export async function talliesOfEach(db: Database, sessions?: SQL, which?: SQL): Promise<TraineeTally[]> {
  await countMissing(db, sessions);
  const { id: sessionId, heldOn, rung, traineeId, holderId } = trainingSession;
  const rows = await db
    .select({
      traineeId: sql<string>`case when ${technique} = ${holdingTechnique} then ${holderId} else ${traineeId} end`.as('whose'),
      ...{ sessionId, heldOn, rung, technique, checkpointId, view, ...counts },
    })
    .from(filmTally)
    .innerJoin(film, eq(film.id, filmTally.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(sessions, which))
    .groupBy(sessionId, technique, checkpointId, view)
    .orderBy(asc(heldOn), asc(sessionId));
  return rows.map(withTally);
}

/** The same without whose they are. */
export const talliesOf = async (db: Database, sessions: SQL, which?: SQL): Promise<SessionTally[]> =>
  (await talliesOfEach(db, sessions, which)).map(({ traineeId: _whose, ...row }) => row);

/** All sessions together, by technique and checkpoint. */
export async function sumsOf(db: Database, sessions: SQL, which: SQL): Promise<JudgedThing[]> {
  await countMissing(db, sessions);
  const rows = await db
    .select({ technique, checkpointId, ...counts })
    .from(filmTally)
    .innerJoin(film, eq(film.id, filmTally.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(sessions, which))
    .groupBy(technique, checkpointId);
  return rows.map(withTally);
}
