import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import type { Family } from '@wax-fist/core/technique';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { correction, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sameId, serve, serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { newestCatalogue } from '../checklists/versions.ts';
import { correctionPage, correctionsOf, evidenceFor, evidenceIn } from './queries.ts';
import { addCorrectionEvent, openCorrection } from './write-corrections.ts';

/** Checkpoints of a family, as the club's newest checklists have it. */
async function checkpointsOfFamily(db: Database, family: Family): Promise<string[]> {
  const { checkpoints } = await newestCatalogue(db);
  return [...checkpoints.values()].filter((checkpoint) => checkpoint.family === family).map(({ id }) => id);
}

export function correctionRoutes(router: Router, { db }: Services): void {
  const one = async (id: string): Promise<Correction> => found(await correctionsOf(db, eq(correction.id, id)), 'correction');

  serveKept(router, correctionEndpoints.listCorrections, async ({ query }) =>
    correctionPage(db, query, query.family && (await checkpointsOfFamily(db, query.family))),
  );
  serveKept(router, correctionEndpoints.traineeCorrections, ({ params, query }) => correctionPage(db, { ...query, ...params }));
  serveKept(router, correctionEndpoints.showCorrection, ({ params }) => one(params.correctionId));
  serveKept(router, correctionEndpoints.correctionEvidence, async ({ params }) => {
    await one(params.correctionId);
    return evidenceFor(db, params.correctionId);
  });
  serveKept(router, correctionEndpoints.sessionEvidence, async ({ params, query }) => {
    const isIt = eq(trainingSession.id, params.sessionId);
    found(await db.select({ id: trainingSession.id }).from(trainingSession).where(isIt), 'session');
    return evidenceIn(db, params.sessionId, query);
  });
  serve(router, correctionEndpoints.openCorrection, async ({ params, body, account }) => {
    sameId(params.correctionId, body.id);
    await openCorrection(db, body, { by: account.id });
    return one(body.id);
  });
  serve(router, correctionEndpoints.addCorrectionEvent, async ({ params, body, account }) => {
    await addCorrectionEvent(db, params.correctionId, body, { by: account.id });
    return one(params.correctionId);
  });
}
