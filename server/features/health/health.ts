import type { Health } from '@wax-fist/contract/health';
import { sql } from 'drizzle-orm';
import type { Services } from '../../services.ts';

type Part = Health['database'];

async function part(check: () => Promise<string>): Promise<Part> {
  try {
    return { state: 'up', detail: await check() };
  } catch {
    return { state: 'down', detail: 'no answer' };
  }
}

/** Whether each part answers, of a club or of an installation. */
export async function healthOf({
  db,
  storage,
  workersAlive,
}: Pick<Services, 'db' | 'storage' | 'workersAlive'>): Promise<Health> {
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

export const isWell = (health: Health): boolean => Object.values(health).every(({ state }) => state === 'up');
