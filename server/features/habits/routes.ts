import { habitEndpoints } from '@wax-fist/contract/habits';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { firstMovesOf } from './first-moves.ts';
import { traineeHabits } from './trainee-habits.ts';

export function habitRoutes(router: Router, { db }: Services): void {
  serveKept(router, habitEndpoints.firstMoves, async ({ params: { sessionId } }) => {
    found(await db.select({ id: trainingSession.id }).from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
    return firstMovesOf(db, sessionId);
  });
  serveKept(router, habitEndpoints.traineeHabits, async ({ params: { traineeId } }) => {
    found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, traineeId)), 'trainee');
    return traineeHabits(db, traineeId);
  });
}
