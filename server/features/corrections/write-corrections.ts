import type { CorrectionDraft, correctionEventDraftShape } from '@wax-fist/contract/corrections';
import { correctionState, eventRefused } from '@wax-fist/core/correction';
import { checklistFor, shippedCatalogue } from '@wax-fist/core/technique';
import { and, asc, eq, or, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { InferType } from 'yup';
import type { Database } from '../../db/connection.ts';
import { correction, correctionEvent, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { catalogueAt } from '../checklists/versions.ts';
import { countedIn } from '../measures/counted-tallies.ts';

/** Whose word it is, and of when; of now when nothing is said. */
export interface Author {
  by: string;
  at?: Date;
}

const openTwice = (): Refusal => new Refusal(409, 'This trainee works on this already. Look under the open corrections.');

/** Opens a correction from a session, with what was counted in it. Opening it again changes nothing. @throws Refusal */
export async function openCorrection(db: Database, draft: CorrectionDraft, { by: saidBy, at }: Author): Promise<void> {
  const { id, sessionId, checkpointId, technique, cue, target, recheckOn } = draft;
  const session = found(await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
  const catalogue = (await catalogueAt(db, session.checklistVersion)) ?? shippedCatalogue;
  const row =
    catalogue.techniques.has(technique) &&
    checklistFor(catalogue, technique, { school: session.judgedBy, view: 'quarter' }).find(
      ({ checkpoint }) => checkpoint.id === checkpointId,
    );
  if (!row) throw new Refusal(422, 'This checkpoint is not on the checklist of this technique.');
  const traineeId = row.checkpoint.subject === 'holder' ? session.holderId : session.traineeId;
  if (!traineeId) throw new Refusal(409, 'Nobody of the club held the pads here.');
  await db.transaction(async (transaction) => {
    const added = await transaction
      .insert(correction)
      .values({ id, traineeId, checkpointId, technique, cue, target, openedIn: sessionId, recheckOn })
      .onConflictDoNothing()
      .returning({ id: correction.id });
    if (added.length === 0) {
      const same = await transaction.select({ id: correction.id }).from(correction).where(eq(correction.id, id));
      if (same.length === 0) throw openTwice();
      return;
    }
    const tally = await countedIn(transaction, sessionId, technique, checkpointId);
    await transaction
      .insert(correctionEvent)
      .values({ id: uuid(), correctionId: id, kind: 'opened', sessionId, note: cue, tally, saidBy, at });
  });
}

export type CorrectionEventDraft = InferType<typeof correctionEventDraftShape>;

/** Adds a line to a correction's history, with what was counted in the session it is about. Adding it again changes nothing. @throws Refusal */
export async function addCorrectionEvent(
  db: Database,
  correctionId: string,
  { id, kind, note, sessionId, recheckOn }: CorrectionEventDraft,
  { by: saidBy, at }: Author,
): Promise<void> {
  await db.transaction(async (transaction) => {
    const isIt = eq(correction.id, correctionId);
    // Locked, so that two who close or open at once take turns.
    const standing = found(await transaction.select().from(correction).where(isIt).for('update'), 'correction');
    const { technique, checkpointId, traineeId } = standing;
    const history = await transaction
      .select({ id: correctionEvent.id, kind: correctionEvent.kind })
      .from(correctionEvent)
      .where(eq(correctionEvent.correctionId, correctionId))
      .orderBy(asc(correctionEvent.at), asc(correctionEvent.id));
    if (history.some((event) => event.id === id)) return;
    const refused = eventRefused(standing.state, kind);
    if (refused) throw new Refusal(409, refused);
    if (sessionId) {
      const theirs = or(eq(trainingSession.traineeId, traineeId), eq(trainingSession.holderId, traineeId));
      const own = and(eq(trainingSession.id, sessionId), theirs);
      found(await transaction.select({ id: trainingSession.id }).from(trainingSession).where(own), 'session');
    }
    const state = correctionState([...history.map((event) => event.kind), kind]);
    if (state === 'open' && standing.state === 'closed') await mayOpen(transaction, standing);
    const tally = sessionId ? await countedIn(transaction, sessionId, technique, checkpointId) : null;
    await transaction
      .insert(correctionEvent)
      .values({ id, correctionId, kind, sessionId, note, tally, saidBy, at: at ?? sql`clock_timestamp()` });
    await transaction
      .update(correction)
      .set({ state, ...(recheckOn && { recheckOn }) })
      .where(isIt);
  });
}

/** @throws Refusal when the same is open under another correction */
async function mayOpen(db: Database, { traineeId, technique, checkpointId }: typeof correction.$inferSelect): Promise<void> {
  const twins = await db
    .select({ id: correction.id })
    .from(correction)
    .where(
      and(
        eq(correction.traineeId, traineeId),
        eq(correction.technique, technique),
        eq(correction.checkpointId, checkpointId),
        eq(correction.state, 'open'),
      ),
    );
  if (twins.length > 0) throw openTwice();
}
