import { gt, sql } from 'drizzle-orm';
import type { Database } from '../db/connection.ts';
import { workerSign } from '../db/schema/index.ts';

/** A worker that has been silent for longer than this is taken for dead; it speaks every four seconds. */
const silentFor = sql`interval '15 seconds'`;

/** Says that a worker is alive. @param db of the installation */
export const giveSign = (db: Database, worker: string): Promise<unknown> =>
  db
    .insert(workerSign)
    .values({ worker, seenAt: sql`now()` })
    .onConflictDoUpdate({ target: workerSign.worker, set: { seenAt: sql`now()` } });

/** How many workers are alive. @param db of the installation */
export const workersAlive = (db: Database): Promise<number> =>
  db.$count(workerSign, gt(workerSign.seenAt, sql`now() - ${silentFor}`));
