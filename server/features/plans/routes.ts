import { isStaff } from '@wax-fist/contract/endpoint';
import { planEndpoints } from '@wax-fist/contract/plans';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { plan } from '../../db/schema/index.ts';
import { Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { clubDay } from '../sessions/club-day.ts';
import { weekGrounds } from './week-grounds.ts';
import { logPlan, planNamed, planOfSession, planRows, plansBetween, savePlan, weekImpact } from './queries.ts';

export function planRoutes(router: Router, { db }: Services): void {
  serve(router, planEndpoints.traineePlans, ({ params, query }) => planRows(db, params.traineeId, query.after));

  serve(router, planEndpoints.weekImpact, async ({ params, query }) => ({
    impact: await weekImpact(db, params.traineeId, query.day, query.without),
  }));

  serve(router, planEndpoints.plansBetween, ({ query }) => plansBetween(db, query.from, query.to));

  serve(router, planEndpoints.weekGrounds, ({ query }) => weekGrounds(db, query.monday));

  serve(router, planEndpoints.sessionPlan, ({ params }) => planOfSession(db, params.sessionId));

  serve(router, planEndpoints.showPlan, ({ params }) => planNamed(db, params.planId));

  serve(router, planEndpoints.savePlan, ({ params, body, account }) => {
    sameId(params.planId, body.id);
    return savePlan(db, body, account.id);
  });

  serve(router, planEndpoints.logPlan, ({ params, body, account }) => {
    if (body.doneOn > clubDay()) throw new Refusal(422, 'What is still to come is not done yet.');
    // Whoever trains alone films nothing: no session waits for films then.
    return logPlan(db, params.planId, body, isStaff(account.role));
  });

  serve(router, planEndpoints.removePlan, async ({ params }) => {
    await db.delete(plan).where(eq(plan.id, params.planId));
  });
}
