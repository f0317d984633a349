import type { CorrectionDraft, correctionEventDraftShape } from '@wax-fist/contract/corrections';
import { checklistFor, checkpointLists, shippedCatalogue } from '@wax-fist/core/technique';
import { eq, or, and } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { InferType } from 'yup';
import type { Database } from '../../db/connection.ts';
import { correction, correctionEvent, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { countedIn } from '../review/queries.ts';
import { catalogueAt } from '../technique/versions.ts';
import { correctionsOf } from './queries.ts';

/** Whose word it is, and of when; of now when nothing is said. */
export interface Said {
  by: string;
  at?: Date;
}

/** Opens a correction from a session, with what was counted in it. Opening it again changes nothing. @throws Refusal */
export async function openCorrection(db: Database, draft: CorrectionDraft, { by: saidBy, at }: Said): Promise<void> {
  const { id, sessionId, checkpointId, technique, cue, target, recheckOn } = draft;
  const session = found(await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
  const ofHolder = (checkpointLists.holder as readonly string[]).includes(checkpointId);
  const catalogue = (await catalogueAt(db, session.checklistVersion)) ?? shippedCatalogue;
  const listed =
    catalogue.techniques.has(technique) &&
    checklistFor(catalogue, technique, { school: session.judgedBy, view: 'quarter' }).some(
      (row) => row.checkpoint.id === checkpointId,
    );
  if (!listed) throw new Refusal(422, 'This checkpoint is not on the checklist of this technique.');
  const traineeId = ofHolder ? session.holderId : session.traineeId;
  if (!traineeId) throw new Refusal(409, 'Nobody of the club held the pads here.');
  const twin = (await correctionsOf(db, eq(correction.traineeId, traineeId))).find(
    (other) => other.id !== id && other.state === 'open' && other.checkpointId === checkpointId && other.technique === technique,
  );
  if (twin) throw new Refusal(409, 'This trainee works on this already. Look under the open corrections.');
  const tally = await countedIn(db, sessionId, technique, checkpointId);
  await db.transaction(async (transaction) => {
    const added = await transaction
      .insert(correction)
      .values({ id, traineeId, checkpointId, technique, cue, target, openedIn: sessionId, recheckOn })
      .onConflictDoNothing()
      .returning();
    if (added.length === 0) return;
    await transaction
      .insert(correctionEvent)
      .values({ id: uuid(), correctionId: id, kind: 'opened', sessionId, note: cue, tally, saidBy, at });
  });
}

export type CorrectionEventDraft = InferType<typeof correctionEventDraftShape>;

/** Adds a line to a correction's history, with what was counted in the session it is about. @throws Refusal */
export async function addCorrectionEvent(
  db: Database,
  correctionId: string,
  { id, kind, note, sessionId, recheckOn }: CorrectionEventDraft,
  { by: saidBy, at }: Said,
): Promise<void> {
  const { state, technique, checkpointId, traineeId } = found(
    await correctionsOf(db, eq(correction.id, correctionId)),
    'correction',
  );
  if ((kind === 're-opened') === (state === 'open')) {
    throw new Refusal(409, state === 'open' ? 'This correction is open.' : 'This correction is closed; open it again first.');
  }
  if (sessionId) {
    const theirs = or(eq(trainingSession.traineeId, traineeId), eq(trainingSession.holderId, traineeId));
    const own = and(eq(trainingSession.id, sessionId), theirs);
    found(await db.select({ id: trainingSession.id }).from(trainingSession).where(own), 'session');
  }
  const tally = sessionId ? await countedIn(db, sessionId, technique, checkpointId) : null;
  await db.transaction(async (transaction) => {
    await transaction
      .insert(correctionEvent)
      .values({ id, correctionId, kind, sessionId, note, tally, saidBy, at })
      .onConflictDoNothing();
    if (recheckOn) await transaction.update(correction).set({ recheckOn }).where(eq(correction.id, correctionId));
  });
}
