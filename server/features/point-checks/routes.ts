import { pointCheckEndpoints } from '@wax-fist/contract/point-checks';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { pointCheck } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { askPoints, followedFilms } from './ask-points.ts';
import { learnedWidenings } from './learned-widenings.ts';
import { sayPoint } from './say-point.ts';

export function pointCheckRoutes(router: Router, { db }: Services): void {
  serve(router, pointCheckEndpoints.pointChecks, async () => {
    const [learned, films] = await Promise.all([learnedWidenings(db), followedFilms(db)]);
    return { ...learned, films };
  });
  serve(router, pointCheckEndpoints.askedPoints, () => askPoints(db));
  serve(router, pointCheckEndpoints.takePointBack, async ({ params }) => {
    found(await db.delete(pointCheck).where(eq(pointCheck.id, params.checkId)).returning({ id: pointCheck.id }), 'check');
  });
  serve(router, pointCheckEndpoints.sayPoint, ({ params, body, account }) => sayPoint(db, params.checkId, body, account.id));
}
