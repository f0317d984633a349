import type { Correction, Evidence, WantedCorrections } from '@wax-fist/contract/corrections';
import type { Page } from '@wax-fist/contract/page';
import { faultRate, ladderSteps } from '@wax-fist/core/correction';
import { holdingTechnique } from '@wax-fist/core/technique';
import { and, asc, desc, eq, inArray, lte, or, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { saidByName } from '../../db/said-by-name.ts';
import {
  account,
  film,
  correction,
  isOpenRow,
  correctionEvent,
  observation,
  strike,
  trainee,
  trainingSession,
} from '../../db/schema/index.ts';
import { asPage, keysAfter } from '../../http/page.ts';

export const isOpen = isOpenRow(correction.state);
const eventSession = alias(trainingSession, 'event_session');

/** The newest session of a trainee, as they train or hold; one in which nothing was filmed yet answers nothing. */
const newestOf = (which: SQL = sql``): SQL => sql`(select newest.id from ${trainingSession} newest
  where (newest.trainee_id = ${trainee.id} or newest.holder_id = ${trainee.id}) ${which}
  order by newest.held_on desc, newest.created_at desc limit 1)`;

/** Corrections that meet a condition, with their history, those due first, in one round trip. */
export async function correctionsOf(db: Database, condition?: SQL): Promise<Correction[]> {
  const rows = await db
    .select({
      correction,
      traineeName: trainee.name,
      openedOn: trainingSession.heldOn,
      event: correctionEvent,
      heldOn: eventSession.heldOn,
      newestSession: sql<string>`coalesce(${newestOf(sql`and exists (select from ${film} where ${film.sessionId} = newest.id)`)}, ${newestOf()})`,
      by: saidByName,
    })
    .from(correction)
    .innerJoin(trainee, eq(trainee.id, correction.traineeId))
    .innerJoin(trainingSession, eq(trainingSession.id, correction.openedIn))
    .innerJoin(correctionEvent, eq(correctionEvent.correctionId, correction.id))
    .leftJoin(eventSession, eq(eventSession.id, correctionEvent.sessionId))
    .leftJoin(account, eq(account.id, correctionEvent.saidBy))
    .where(condition)
    .orderBy(asc(correction.recheckOn), asc(correction.id), asc(correctionEvent.at), asc(correctionEvent.id));
  const all = new Map<string, Correction>();
  for (const { correction: row, traineeName, openedOn, newestSession, event, heldOn, by } of rows) {
    const held = all.get(row.id) ?? { ...row, traineeName, openedOn, newestSession, history: [], counted: null };
    all.set(row.id, held);
    held.history.push({
      id: event.id,
      kind: event.kind,
      at: event.at.toISOString(),
      by,
      sessionId: event.sessionId,
      heldOn,
      rung: event.rung,
      numbers: event.numbers,
      note: event.note,
      often: event.often,
      tally: event.tally,
    });
  }
  return [...all.values()].map((one) => ({ ...one, counted: countedLast(one.history) }));
}

function countedLast(history: Correction['history']): Correction['counted'] {
  const tally = history.findLast((event) => event.tally !== null)?.tally;
  return tally ? faultRate(tally) : null;
}

const correctionsOnPage = 50;

/** What a list of corrections is asked for. */
export interface AskedCorrections extends WantedCorrections {
  traineeId?: string;
  after?: string;
}

/** Nothing has moved for so long: somebody is stuck. */
const stuckAfter = sql`interval '4 weeks'`;
const isStuck = sql`${isOpen} and ${correction.state} <> 'kept' and not exists (select 1 from ${correctionEvent}
  where ${correctionEvent.correctionId} = ${correction.id} and ${correctionEvent.at} > now() - ${stuckAfter}
  and ${inArray(correctionEvent.kind, ['opened', 're-opened', ...ladderSteps])})`;

/** Whether a correction is one of those that are wanted. @param ofFamily checkpoints of the family that is wanted */
const isWanted = ({ traineeId, state, rung, dueBy, stuck }: AskedCorrections, ofFamily: readonly string[] | undefined) =>
  and(
    traineeId === undefined ? undefined : eq(correction.traineeId, traineeId),
    state && (state === 'open' ? isOpen : eq(correction.state, state)),
    rung === undefined ? undefined : eq(correction.rung, rung),
    dueBy === undefined ? undefined : lte(correction.recheckOn, dueBy),
    stuck && isStuck,
    ofFamily && inArray(correction.checkpointId, [...ofFamily]),
  );

/** Corrections, those due first and those that nobody set a day for last, in one round trip. @throws Refusal for a place in the list that there is not */
export async function correctionPage(
  db: Database,
  asked: AskedCorrections,
  ofFamily?: readonly string[],
): Promise<Page<Correction>> {
  const keys = keysAfter(asked.after, 2);
  const [day, id] = keys ?? [];
  const isBehind =
    keys &&
    (day === null
      ? sql`${correction.recheckOn} is null and ${correction.id} > ${id}::uuid`
      : sql`(${correction.recheckOn} is null or ${correction.recheckOn} > ${day}::date
          or (${correction.recheckOn} = ${day}::date and ${correction.id} > ${id}::uuid))`);
  const onPage = db
    .select({ id: correction.id })
    .from(correction)
    .where(and(isWanted(asked, ofFamily), isBehind))
    .orderBy(asc(correction.recheckOn), asc(correction.id))
    .limit(correctionsOnPage + 1);
  const rows = await correctionsOf(db, inArray(correction.id, onPage));
  return asPage(rows, correctionsOnPage, (row) => [row.recheckOn, row.id]);
}

/** Holding is seen on whatever the other one threw, and only in sessions in which this one held. */
const isAbout = sql`case when ${observation.subject} = 'holder' then ${trainingSession.holderId} = ${correction.traineeId}
  else ${strike.technique} = ${correction.technique} and ${trainingSession.traineeId} = ${correction.traineeId} end`;

const evidenceColumns = {
  strikeId: strike.id,
  filmId: film.id,
  sessionId: film.sessionId,
  heldOn: trainingSession.heldOn,
  view: film.view,
  verdict: sql<Evidence['verdict']>`${observation.verdict}`,
  launchFrame: strike.launchFrame,
  contactFrame: strike.contactFrame,
  homeFrame: strike.homeFrame,
};
const isClear = and(eq(observation.superseded, false), inArray(observation.verdict, ['clean', 'fault']));

/** Most strikes that are offered as evidence. */
const mostEvidence = 200;

/** Strikes that show a correction's fault, or the same thing done well: newest session first. */
export function evidenceFor(db: Database, correctionId: string): Promise<Evidence[]> {
  return db
    .select(evidenceColumns)
    .from(correction)
    .innerJoin(
      trainingSession,
      or(eq(trainingSession.traineeId, correction.traineeId), eq(trainingSession.holderId, correction.traineeId)),
    )
    .innerJoin(film, eq(film.sessionId, trainingSession.id))
    .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
    .innerJoin(
      observation,
      and(eq(observation.strikeId, strike.id), eq(observation.checkpointId, correction.checkpointId), isClear, isAbout),
    )
    .where(eq(correction.id, correctionId))
    .orderBy(desc(trainingSession.heldOn), asc(strike.contactFrame))
    .limit(mostEvidence);
}

/** The strikes behind one number of a session: faults first, each in the order in which they were thrown. */
export function evidenceIn(
  db: Database,
  sessionId: string,
  { technique, checkpointId }: { technique: string; checkpointId: string },
): Promise<Evidence[]> {
  const isThrown = technique === holdingTechnique ? eq(observation.subject, 'holder') : eq(strike.technique, technique);
  return db
    .select(evidenceColumns)
    .from(trainingSession)
    .innerJoin(film, eq(film.sessionId, trainingSession.id))
    .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
    .innerJoin(
      observation,
      and(eq(observation.strikeId, strike.id), eq(observation.checkpointId, checkpointId), isClear, isThrown),
    )
    .where(eq(trainingSession.id, sessionId))
    .orderBy(desc(observation.verdict), asc(film.addedAt), asc(strike.contactFrame))
    .limit(mostEvidence);
}
