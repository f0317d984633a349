import { reviewEndpoints } from '@wax-fist/contract/review';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { clip, strike } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import { addToLog } from './add-to-log.ts';
import { historyOf, reviewOf, saidOf, talliesOf } from './queries.ts';

export function reviewRoutes(router: Router, { db }: Surroundings): void {
  serve(router, reviewEndpoints.showReview, async ({ params }) => {
    found(await db.select({ id: clip.id }).from(clip).where(eq(clip.id, params.clipId)), 'film');
    return reviewOf(db, params.clipId);
  });
  serve(router, reviewEndpoints.addToLog, async ({ params, body, account }) => ({
    kept: await addToLog(db, params.clipId, body.entries, account.id),
  }));
  serve(router, reviewEndpoints.strikeHistory, async ({ params }) => {
    found(await db.select({ id: strike.id }).from(strike).where(eq(strike.id, params.strikeId)), 'strike');
    return historyOf(db, params.strikeId);
  });
  serve(router, reviewEndpoints.traineeTallies, ({ params }) => talliesOf(db, saidOf(params.traineeId)));
}
