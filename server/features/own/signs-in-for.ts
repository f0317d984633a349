import { and, eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { ownTrainee } from '../../db/schema/index.ts';

/** Whether an account signs in for a trainee. */
export const signsInFor = async (db: Database, accountId: string, traineeId: string): Promise<boolean> =>
  (await db.$count(ownTrainee, and(eq(ownTrainee.accountId, accountId), eq(ownTrainee.traineeId, traineeId)))) > 0;
