import type { ObservationMark, Review, SessionTally } from '@wax-fist/contract/review';
import { holdingTechnique } from '@wax-fist/core/technique';
import { and, asc, desc, eq, isNotNull, or, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { account, film, observation, pointPin, strike, trainingSession } from '../../db/schema/index.ts';

const saidByName = sql<string>`coalesce(${account.name}, 'someone who left')`;

const observationColumns = {
  id: observation.id,
  strikeId: observation.strikeId,
  saidAt: observation.saidAt,
  checkpointId: observation.checkpointId,
  verdict: observation.verdict,
  note: observation.note,
  view: observation.view,
  anyway: observation.anyway,
  checklistVersion: observation.checklistVersion,
  saidBy: saidByName,
};

type ObservationRow = Omit<ObservationMark, 'kind' | 'saidAt'> & { saidAt: Date; saidBy: string };
const asMark = ({ saidAt, ...row }: ObservationRow) => ({ kind: 'observation' as const, ...row, saidAt: saidAt.toISOString() });

/** The pins that count, and what each says. */
export const isCountingPin = eq(pointPin.superseded, false);
export const pinColumns = { frame: pointPin.frame, point: pointPin.point, said: pointPin.said, x: pointPin.x, y: pointPin.y };

/** What counts now in one film. */
export async function reviewOf(db: Database, filmId: string): Promise<Review> {
  const [strikes, observations, pins] = await Promise.all([
    db
      .select({
        id: strike.revisionId,
        strikeId: strike.id,
        saidAt: strike.saidAt,
        technique: strike.technique,
        part: strike.part,
        ...momentColumns,
        removed: strike.removed,
        saidBy: saidByName,
      })
      .from(strike)
      .leftJoin(account, eq(account.id, strike.saidBy))
      .where(and(eq(strike.filmId, filmId), eq(strike.removed, false)))
      .orderBy(asc(strike.contactFrame)),
    db
      .select(observationColumns)
      .from(observation)
      .innerJoin(strike, eq(strike.id, observation.strikeId))
      .leftJoin(account, eq(account.id, observation.saidBy))
      .where(
        and(
          eq(strike.filmId, filmId),
          eq(strike.removed, false),
          eq(observation.superseded, false),
          or(isNotNull(observation.verdict), isNotNull(observation.note)),
        ),
      ),
    db
      .select({ ...pinColumns, id: pointPin.id, saidAt: pointPin.saidAt, saidBy: saidByName })
      .from(pointPin)
      .leftJoin(account, eq(account.id, pointPin.saidBy))
      .where(and(isCountingPin, eq(pointPin.filmId, filmId))),
  ]);
  return {
    strikes: strikes.map(({ saidAt, ...row }) => ({ kind: 'strike' as const, ...row, saidAt: saidAt.toISOString() })),
    observations: observations.map(asMark),
    pins: pins.map(({ saidAt, ...row }) => ({ kind: 'pin' as const, ...row, saidAt: saidAt.toISOString() })),
  };
}

/** Everything ever said of a strike's checkpoints, newest first. */
export async function historyOf(db: Database, strikeId: string) {
  const rows = await db
    .select({ ...observationColumns, superseded: observation.superseded })
    .from(observation)
    .leftJoin(account, eq(account.id, observation.saidBy))
    .where(eq(observation.strikeId, strikeId))
    .orderBy(desc(observation.saidAt), desc(observation.id));
  return rows.map(({ saidBy, superseded, ...row }) => ({ mark: asMark({ ...row, saidBy }), saidBy, counts: !superseded }));
}

/** What is said of whoever holds the pads belongs to no single technique of the one who strikes. */
export const isOfHolder = eq(observation.subject, 'holder');
export const aboutTechnique = sql<string>`case when ${isOfHolder} then ${holdingTechnique} else ${strike.technique} end`;
/** What is said of somebody: of their own strikes, and of their holding for others. */
export const saidOf = (traineeId: string): SQL =>
  or(
    and(eq(trainingSession.traineeId, traineeId), sql`not ${isOfHolder}`),
    and(eq(trainingSession.holderId, traineeId), isOfHolder),
  )!;

const how = (verdict: string): SQL<number> => sql<number>`count(*) filter (where ${observation.verdict} = ${verdict})::int`;

/** Tallies by session, technique, checkpoint and view, oldest session first, in one round trip. */
export async function talliesOf(db: Database, condition: SQL): Promise<SessionTally[]> {
  const columns = {
    sessionId: trainingSession.id,
    heldOn: trainingSession.heldOn,
    rung: trainingSession.rung,
    technique: aboutTechnique.as('about'),
    checkpointId: observation.checkpointId,
    view: observation.view,
  };
  const rows = await db
    .select({ ...columns, clean: how('clean'), watch: how('watch'), fault: how('fault'), cantSee: how('cant-see') })
    .from(observation)
    .innerJoin(strike, eq(strike.id, observation.strikeId))
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(condition, eq(observation.superseded, false), isNotNull(observation.verdict), eq(strike.removed, false)))
    .groupBy(
      trainingSession.id,
      trainingSession.heldOn,
      trainingSession.rung,
      sql`about`,
      observation.checkpointId,
      observation.view,
    )
    .orderBy(asc(trainingSession.heldOn), asc(trainingSession.id));
  return rows.map(({ clean, watch, fault, cantSee, ...row }) => ({ ...row, tally: { clean, watch, fault, cantSee } }));
}
