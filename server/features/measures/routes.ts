import { measureEndpoints } from '@wax-fist/contract/measures';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { countedMeasure, trainingSession } from '../../db/schema/index.ts';
import { found, notFound } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { newestCatalogue } from '../checklists/versions.ts';
import { measureAgreements } from './agreements.ts';
import { sessionMeasures } from './session-measures.ts';

export function measureRoutes(router: Router, { db }: Services): void {
  serve(router, measureEndpoints.sessionMeasures, async ({ params: { sessionId } }) => {
    found(await db.select({ id: trainingSession.id }).from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
    return sessionMeasures(db, sessionId);
  });
  serve(router, measureEndpoints.measureAgreements, () => measureAgreements(db));
  serve(
    router,
    measureEndpoints.countMeasure,
    async ({ params: { checkpoint: checkpointId }, body, account: { id: saidBy } }) => {
      if (!(await newestCatalogue(db)).checkpoints.has(checkpointId)) throw notFound('checkpoint');
      if (body.counts) await db.insert(countedMeasure).values({ checkpointId, saidBy }).onConflictDoNothing();
      else await db.delete(countedMeasure).where(eq(countedMeasure.checkpointId, checkpointId));
    },
  );
}
