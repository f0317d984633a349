import { answerEndpoints } from '@wax-fist/contract/answers';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { trainee } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { serve, serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { conditionsOf } from './conditions.ts';
import { orderOf, sayOrder } from './own-order.ts';
import { faultsTogether } from './together.ts';
import { sessionAnswers, traineeAnswers } from './of-corrections.ts';

export function answerRoutes(router: Router, { db }: Services): void {
  serveKept(router, answerEndpoints.sessionAnswers, ({ params }) => sessionAnswers(db, params.sessionId));
  serveKept(router, answerEndpoints.traineeConditions, async ({ params }) => {
    found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, params.traineeId)), 'trainee');
    return conditionsOf(db, params.traineeId);
  });
  serveKept(router, answerEndpoints.sessionTogether, ({ params }) => faultsTogether(db, params.sessionId));
  serve(router, answerEndpoints.sessionOrder, ({ params }) => orderOf(db, params.sessionId));
  serve(router, answerEndpoints.orderSession, ({ params, body, account }) => sayOrder(db, params.sessionId, body, account.id));
  serveKept(router, answerEndpoints.traineeAnswers, async ({ params, query }) => {
    found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, params.traineeId)), 'trainee');
    return traineeAnswers(db, params.traineeId, query);
  });
}
