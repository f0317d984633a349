import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { correction } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { correctionPage, correctionsOf, evidenceFor } from './queries.ts';
import { addCorrectionEvent, openCorrection } from './write-corrections.ts';

export function correctionRoutes(router: Router, { db }: Services): void {
  const one = async (id: string): Promise<Correction> => found(await correctionsOf(db, eq(correction.id, id)), 'correction');

  serve(router, correctionEndpoints.listCorrections, ({ query }) => correctionPage(db, query));
  serve(router, correctionEndpoints.traineeCorrections, ({ params, query }) => correctionPage(db, { ...query, ...params }));
  serve(router, correctionEndpoints.showCorrection, ({ params }) => one(params.correctionId));
  serve(router, correctionEndpoints.correctionEvidence, async ({ params }) => {
    await one(params.correctionId);
    return evidenceFor(db, params.correctionId);
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
