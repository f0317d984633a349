import { healthEndpoints } from '@wax-fist/contract/health';
import type { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { healthOf, isWell } from './health.ts';

export function healthRoutes(router: Router, services: Services): void {
  serve(router, healthEndpoints.health, async ({ response }) => {
    const health = await healthOf(services);
    response.status(isWell(health) ? 200 : 503);
    return health;
  });
}
