import type { Database } from './connection.ts';

const deadlock = '40P01';
/** Whether PostgreSQL has ended something because it and others waited for each other in a ring. */
export const isDeadlock = (error: unknown): boolean =>
  error instanceof Error &&
  ((error as { code?: string }).code === deadlock || (error.cause !== undefined && isDeadlock(error.cause)));
const mostTries = 3;

/**
 * Does something that takes a thing away while others are at work on what belongs to it: they hold a part and want the whole, it holds the
 * whole and wants the parts. PostgreSQL breaks such a ring by ending one of them; ended, this begins again.
 */
export async function takingTurns<T>(db: Database, doing: (db: Database) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.transaction(doing);
    } catch (error) {
      if (!isDeadlock(error) || attempt === mostTries) throw error;
    }
  }
}
