import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { checklistFor, checkpointLists, shippedCatalogue } from '@wax-fist/core/technique';
import { and, eq, or } from 'drizzle-orm';
import type { Router } from 'express';
import { v7 as uuid } from 'uuid';
import { correction, correctionEvent, trainingSession } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import { catalogueAt } from '../technique/versions.ts';
import { countedIn } from '../review/queries.ts';
import { correctionsOf, evidenceFor } from './queries.ts';

export function correctionRoutes(router: Router, { db }: Surroundings): void {
  const one = async (id: string): Promise<Correction> => found(await correctionsOf(db, eq(correction.id, id)), 'correction');

  serve(router, correctionEndpoints.listCorrections, () => correctionsOf(db));
  serve(router, correctionEndpoints.traineeCorrections, ({ params }) =>
    correctionsOf(db, eq(correction.traineeId, params.traineeId)),
  );
  serve(router, correctionEndpoints.showCorrection, ({ params }) => one(params.correctionId));
  serve(router, correctionEndpoints.correctionEvidence, async ({ params }) => {
    await one(params.correctionId);
    return evidenceFor(db, params.correctionId);
  });

  serve(router, correctionEndpoints.openCorrection, async ({ params, body, account }) => {
    sameId(params.correctionId, body.id);
    const { id, sessionId, checkpointId, technique, cue, target, recheckOn } = body;
    const [session] = await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId));
    if (!session) throw notFound('session');
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
      (other) =>
        other.id !== id && other.state === 'open' && other.checkpointId === checkpointId && other.technique === technique,
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
        .values({ id: uuid(), correctionId: id, kind: 'opened', sessionId, note: cue, tally, saidBy: account.id });
    });
    return one(id);
  });

  serve(router, correctionEndpoints.addCorrectionEvent, async ({ params, body, account }) => {
    const { correctionId } = params;
    const { state, technique, checkpointId, traineeId } = await one(correctionId);
    const { id, kind, note, sessionId, recheckOn } = body;
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
        .values({ id, correctionId, kind, sessionId, note, tally, saidBy: account.id })
        .onConflictDoNothing();
      if (recheckOn) await transaction.update(correction).set({ recheckOn }).where(eq(correction.id, correctionId));
    });
    return one(correctionId);
  });
}
