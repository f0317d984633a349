import { healthEndpoints, type Health } from '@wax-fist/contract/health';
import { sql } from 'drizzle-orm';
import type { Router } from 'express';
import { workerSign } from '../../db/schema/index.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';

/** A worker that has been silent for longer than this is taken for dead; it speaks every four seconds. */
const silentFor = sql`interval '15 seconds'`;

type Part = Health['database'];

async function part(check: () => Promise<string>): Promise<Part> {
  try {
    return { state: 'up', detail: await check() };
  } catch {
    return { state: 'down', detail: 'no answer' };
  }
}

export function healthRoutes(router: Router, { db, storage }: Services): void {
  serve(router, healthEndpoints.health, async ({ response }) => {
    const [database, worker, bytes] = await Promise.all([
      part(async () => {
        await db.execute(sql`select 1`);
        return 'answers';
      }),
      part(async () => {
        const alive = await db.$count(workerSign, sql`${workerSign.seenAt} > now() - ${silentFor}`);
        if (alive === 0) throw new Error('silent');
        return `${alive} at work`;
      }),
      part(async () => {
        await storage.check();
        return 'can be written';
      }),
    ]);
    const health: Health = { database, worker, storage: bytes };
    response.status(Object.values(health).every(({ state }) => state === 'up') ? 200 : 503);
    return health;
  });
}
