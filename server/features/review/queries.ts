import type { ObservationMark, Review } from '@wax-fist/contract/review';
import { and, asc, desc, eq, isNotNull, or, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { isCountingPin, pinColumns } from '../../db/pins.ts';
import { saidByName } from '../../db/said-by-name.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { account, observation, pointPin, secondWord, strike } from '../../db/schema/index.ts';

const observationColumns = {
  id: observation.id,
  strikeId: observation.strikeId,
  saidAt: observation.saidAt,
  checkpointId: observation.checkpointId,
  verdict: observation.verdict,
  note: observation.note,
  view: observation.view,
  anyway: observation.anyway,
  proposed: observation.proposed,
  blind: sql<boolean>`false`,
  checklistVersion: observation.checklistVersion,
  saidBy: saidByName,
};
/** The same of what a second coach said. */
const secondWordColumns = {
  id: secondWord.id,
  strikeId: secondWord.strikeId,
  saidAt: secondWord.saidAt,
  checkpointId: secondWord.checkpointId,
  verdict: secondWord.verdict,
  note: secondWord.note,
  view: secondWord.view,
  anyway: secondWord.anyway,
  proposed: sql<null>`null`,
  blind: sql<boolean>`true`,
  checklistVersion: secondWord.checklistVersion,
  saidBy: saidByName,
};

type ObservationRow = Omit<ObservationMark, 'kind' | 'saidAt'> & { saidAt: Date; saidBy: string };
const asMark = ({ saidAt, ...row }: ObservationRow) => ({ kind: 'observation' as const, ...row, saidAt: saidAt.toISOString() });

const ofFilm = (filmId: string) => and(eq(strike.filmId, filmId), eq(strike.removed, false));

/** What counts in a film of what coaches said of checkpoints. */
const observationsIn = (db: Database, filmId: string): Promise<ObservationRow[]> =>
  db
    .select(observationColumns)
    .from(observation)
    .innerJoin(strike, eq(strike.id, observation.strikeId))
    .leftJoin(account, eq(account.id, observation.saidBy))
    .where(
      and(ofFilm(filmId), eq(observation.superseded, false), or(isNotNull(observation.verdict), isNotNull(observation.note))),
    );

/** What a second coach said of them. */
const secondWordsIn = (db: Database, filmId: string, coachId: string): Promise<ObservationRow[]> =>
  db
    .select(secondWordColumns)
    .from(secondWord)
    .innerJoin(strike, eq(strike.id, secondWord.strikeId))
    .innerJoin(account, eq(account.id, secondWord.saidBy))
    .where(
      and(
        ofFilm(filmId),
        eq(secondWord.saidBy, coachId),
        eq(secondWord.superseded, false),
        or(isNotNull(secondWord.verdict), isNotNull(secondWord.note)),
      ),
    );

/** What counts now in one film. @param blindly the second coach who asks, who sees what they have said themselves and nothing else */
export async function reviewOf(db: Database, filmId: string, blindly?: string): Promise<Review> {
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
      .where(ofFilm(filmId))
      .orderBy(asc(strike.contactFrame)),
    blindly === undefined ? observationsIn(db, filmId) : secondWordsIn(db, filmId, blindly),
    db
      .select({ ...pinColumns, id: pointPin.id, saidAt: pointPin.saidAt, saidBy: saidByName })
      .from(pointPin)
      .leftJoin(account, eq(account.id, pointPin.saidBy))
      .where(and(isCountingPin, eq(pointPin.filmId, filmId))),
  ]);
  return {
    blind: blindly !== undefined,
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
