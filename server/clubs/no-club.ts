import type { RequestListener } from 'node:http';
import { healthEndpoints } from '@wax-fist/contract/health';
import express from 'express';
import { healthOf, isWell } from '../features/health/health.ts';
import type { Services } from '../services.ts';

/**
 * Answers at a host name by which no club is known, and says no more than that: which clubs there are is nobody’s business. Whoever
 * watches over the machine asks it by its address, and is told how the installation is.
 */
export function noClub(house: Pick<Services, 'db' | 'storage' | 'workersAlive'>): RequestListener {
  const app = express();
  app.disable('x-powered-by');
  app.get(healthEndpoints.health.path, async (_request, response) => {
    const health = await healthOf(house);
    response.status(isWell(health) ? 200 : 503).json(health);
  });
  app.use((_request, response) => {
    response
      .status(404)
      .set({ 'Content-Security-Policy': "default-src 'none'", 'X-Content-Type-Options': 'nosniff' })
      .type('text')
      .send('No club is known by this address. Look for a mistake in it, or ask whoever sent it to you.\n');
  });
  return app;
}
