import { healthEndpoints, type Health } from '@wax-fist/contract/health';
import { sql } from 'drizzle-orm';
import type { Router } from 'express';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';

type Part = Health['database'];

async function part(check: () => Promise<string>): Promise<Part> {
  try {
    return { state: 'up', detail: await check() };
  } catch {
    return { state: 'down', detail: 'no answer' };
  }
}

/** What is asked whether it answers, of a club or of an installation. */
export type Watched = Pick<Services, 'db' | 'storage' | 'workersAlive'>;

async function healthOf({ db, storage, workersAlive }: Watched): Promise<Health> {
  const [database, worker, bytes] = await Promise.all([
    part(async () => {
      await db.execute(sql`select 1`);
      return 'answers';
    }),
    part(async () => {
      const alive = await workersAlive();
      if (alive === 0) throw new Error('silent');
      return `${alive} at work`;
    }),
    part(async () => {
      await storage.check();
      return 'can be written';
    }),
  ]);
  return { database, worker, storage: bytes };
}

export function healthRoutes(router: Router, watched: Watched): void {
  serve(router, healthEndpoints.health, async ({ response }) => {
    const health = await healthOf(watched);
    response.status(Object.values(health).every(({ state }) => state === 'up') ? 200 : 503);
    return health;
  });
}
