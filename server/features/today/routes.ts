import { todayEndpoints } from '@wax-fist/contract/today';
import { asc, desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { clip, trainee, trainingSession } from '../../db/schema/index.ts';
import { serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { asClip, clipColumns } from '../footage/queries.ts';

export function todayRoutes(router: Router, { db }: Surroundings): void {
  serve(router, todayEndpoints.today, async () => {
    const [footage, corrections] = await Promise.all([
      db
        .select({ clip: clipColumns, traineeId: trainee.id, traineeName: trainee.name, heldOn: trainingSession.heldOn })
        .from(clip)
        .innerJoin(trainingSession, eq(trainingSession.id, clip.sessionId))
        .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
        .where(eq(clip.done, false))
        .orderBy(desc(trainingSession.heldOn), asc(clip.addedAt)),
      correctionsOf(db, isOpen),
    ]);
    return { footage: footage.map((row) => ({ ...row, clip: asClip(row.clip) })), corrections };
  });
}
