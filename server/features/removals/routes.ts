import { removalEndpoints } from '@wax-fist/contract/removals';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { removal } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { endRemoval, listRemovals, putBack, remove } from './removals.ts';

export function removalRoutes(router: Router, services: Services): void {
  const { db } = services;
  const known = async (removalId: string) => found(await db.select().from(removal).where(eq(removal.id, removalId)), 'removal');
  serve(router, removalEndpoints.listRemovals, () => listRemovals(db));
  serve(router, removalEndpoints.removeTrainee, ({ params, account }) => remove(db, 'trainee', params.traineeId, account.id));
  serve(router, removalEndpoints.removeSession, ({ params, account }) =>
    remove(db, 'training_session', params.sessionId, account.id),
  );
  serve(router, removalEndpoints.putBack, async ({ params, account }) => {
    const { kind } = await known(params.removalId);
    if (kind === 'trainee' && account.role !== 'head-coach')
      throw new Refusal(403, 'The head coach has removed this trainee, and puts them back.');
    await putBack(db, params.removalId);
  });
  serve(router, removalEndpoints.endRemoval, async ({ params }) => {
    await known(params.removalId);
    await endRemoval(services, params.removalId);
  });
}
