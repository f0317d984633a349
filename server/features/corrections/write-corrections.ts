import type { CorrectionDraft, correctionEventDraftShape, StepNumbers } from '@wax-fist/contract/corrections';
import {
  correctionStateNames,
  daysToRecheck,
  eventRefused,
  isLadderStep,
  rungName,
  standingOf,
  type LadderStep,
} from '@wax-fist/core/correction';
import { checklistFor, shippedCatalogue } from '@wax-fist/core/technique';
import { and, asc, eq, or, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { InferType } from 'yup';
import type { Database } from '../../db/connection.ts';
import { correction, correctionEvent, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { answerFor, numbersOf, stepProposed } from '../answers/of-corrections.ts';
import { catalogueAt } from '../checklists/versions.ts';
import { countedIn } from '../measures/counted-tallies.ts';
import { clubDayAfter } from '../sessions/club-day.ts';
import { correctionsOf, isOpen } from './queries.ts';

/** Whose word it is, and of when; of now when nothing is said. */
export interface Author {
  by: string;
  at?: Date;
}

const openTwice = (): Refusal => new Refusal(409, 'This trainee works on this already. Look under the open corrections.');

/** Opens a correction from a session, with what was counted in it. Opening it again changes nothing. @throws Refusal */
export async function openCorrection(db: Database, draft: CorrectionDraft, { by: saidBy, at }: Author): Promise<void> {
  const { id, sessionId, checkpointId, technique, cue, target, topRung, recheckOn } = draft;
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
      .values({
        id,
        traineeId,
        checkpointId,
        technique,
        cue,
        target,
        topRung,
        openedIn: sessionId,
        rung: session.rung,
        recheckOn,
      })
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
      .values({ id: uuid(), correctionId: id, kind: 'opened', rung: session.rung, sessionId, note: cue, tally, saidBy, at });
  });
}

export type CorrectionEventDraft = InferType<typeof correctionEventDraftShape>;

/**
 * Adds a line to a correction's history, with what was counted in the session it is about; a step on the ladder with the numbers that
 * propose it, or by hand with a reason. Adding it again changes nothing. @throws Refusal
 */
export async function addCorrectionEvent(
  db: Database,
  correctionId: string,
  { id, kind, note, often, sessionId, rung, recheckOn }: CorrectionEventDraft,
  { by: saidBy, at }: Author,
): Promise<void> {
  const isIt = eq(correction.id, correctionId);
  // Before the lock: a level may take a moment to be worked out.
  const numbers = isLadderStep(kind) && sessionId ? await numbersFor(db, correctionId, { kind, rung, sessionId }) : null;
  await db.transaction(async (transaction) => {
    // Locked, so that two who close or open at once take turns.
    const standing = found(await transaction.select().from(correction).where(isIt).for('update'), 'correction');
    const { technique, checkpointId, traineeId } = standing;
    const history = await transaction
      .select({ id: correctionEvent.id, kind: correctionEvent.kind, rung: correctionEvent.rung })
      .from(correctionEvent)
      .where(eq(correctionEvent.correctionId, correctionId))
      .orderBy(asc(correctionEvent.at), asc(correctionEvent.id));
    if (history.some((event) => event.id === id)) return;
    const refused = eventRefused(standing.state, kind);
    if (refused) throw new Refusal(409, refused);
    if (isLadderStep(kind) && !numbers && note === '') throw withoutReason(kind, rung!);
    if (sessionId) {
      const theirs = or(eq(trainingSession.traineeId, traineeId), eq(trainingSession.holderId, traineeId));
      const own = and(eq(trainingSession.id, sessionId), theirs);
      found(await transaction.select({ id: trainingSession.id }).from(trainingSession).where(own), 'session');
    }
    const after = standingOf([...history, { kind, rung }], standing.rung);
    if (after.state !== 'closed' && standing.state === 'closed') await mayOpen(transaction, standing);
    const tally = sessionId ? await countedIn(transaction, sessionId, technique, checkpointId) : null;
    await transaction
      .insert(correctionEvent)
      .values({ id, correctionId, kind, rung, numbers, sessionId, note, often, tally, saidBy, at: at ?? sql`clock_timestamp()` });
    const next = recheckOn ?? (looksAgain(kind) ? clubDayAfter(at ?? new Date(), daysToRecheck(after)) : undefined);
    await transaction
      .update(correction)
      .set({ state: after.state, rung: after.rung, ...(next && { recheckOn: next }) })
      .where(isIt);
  });
}

const looksAgain = (kind: CorrectionEventDraft['kind']): boolean => kind === 're-checked' || isLadderStep(kind);
/** The numbers by which a session proposes just this step; null when it does not. */
async function numbersFor(
  db: Database,
  correctionId: string,
  { kind, rung, sessionId }: { kind: LadderStep; rung: number | null; sessionId: string },
): Promise<StepNumbers | null> {
  const asked = found(await correctionsOf(db, eq(correction.id, correctionId)), 'correction');
  const said = await answerFor(db, asked, sessionId);
  if (!said) return null;
  const proposed = stepProposed(asked, said.rung, said.answer);
  return proposed?.kind === kind && proposed.rung === rung ? numbersOf(said.answer) : null;
}

function withoutReason(kind: LadderStep, rung: number): Refusal {
  const step = `${correctionStateNames[kind]} at “${rungName(rung).toLowerCase()}”`;
  const message = `${step} is not what the numbers of this session say. Say why, and it is taken.`;
  return new Refusal(422, message, [{ field: 'note', message }]);
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
        isOpen,
      ),
    );
  if (twins.length > 0) throw openTwice();
}
