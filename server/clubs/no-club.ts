import type { RequestListener } from 'node:http';
import express, { Router } from 'express';
import { healthRoutes, type Watched } from '../features/health/routes.ts';

/**
 * Answers at a host name by which no club is known, and says no more than that: which clubs there are is nobody’s business. Whoever
 * watches over the machine asks it by its address, and is told how the installation is.
 */
export function noClub(house: Watched): RequestListener {
  const app = express();
  app.disable('x-powered-by');
  const router = Router();
  healthRoutes(router, house);
  app.use(router);
  app.use((_request, response) => {
    response
      .status(404)
      .set({ 'Content-Security-Policy': "default-src 'none'", 'X-Content-Type-Options': 'nosniff' })
      .type('text')
      .send('No club is known by this address. Look for a mistake in it, or ask whoever sent it to you.\n');
  });
  return app;
}
