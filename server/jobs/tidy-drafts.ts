import { gt, sql } from 'drizzle-orm';
import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../db/connection.ts';
import { workerSign } from '../db/schema/index.ts';

/** A worker that has not given a sign for so long is gone. */
const goneAfter = sql`interval '1 minute'`;

/** Removes what workers that are gone left half made. @returns their names */
export async function tidyDrafts(db: Database, home: string): Promise<string[]> {
  const folder = join(home, 'drafts');
  const alive = await db
    .select({ worker: workerSign.worker })
    .from(workerSign)
    .where(gt(workerSign.seenAt, sql`now() - ${goneAfter}`));
  const names = new Set(alive.map(({ worker }) => worker));
  const left = (await readdir(folder).catch(() => [])).filter((worker) => !names.has(worker));
  await Promise.all(left.map((worker) => rm(join(folder, worker), { recursive: true, force: true })));
  return left;
}
