import { consentEndpoints } from '@wax-fist/contract/consents';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { trainee } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { withdrawConsent } from './forget-films.ts';
import { consentsOf, giveConsent } from './queries.ts';

export function consentRoutes(router: Router, services: Services): void {
  const { db } = services;
  serve(router, consentEndpoints.traineeConsents, ({ params }) => consentsOf(db, params.traineeId));

  serve(router, consentEndpoints.giveConsent, ({ params, body, account }) => {
    sameId(params.consentId, body.id);
    return giveConsent(db, body, account.id);
  });

  serve(router, consentEndpoints.withdrawConsent, async ({ params }) => {
    found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, params.traineeId)), 'trainee');
    return { films: await withdrawConsent(services, params.traineeId) };
  });
}
