import { todayEndpoints } from '@wax-fist/contract/today';
import { asc, desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { film, trainee, trainingSession } from '../../db/schema/index.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { asFilm, filmColumns } from '../footage/queries.ts';

export function todayRoutes(router: Router, { db }: Services): void {
  serve(router, todayEndpoints.today, async () => {
    const [footage, corrections] = await Promise.all([
      db
        .select({ film: filmColumns, traineeId: trainee.id, traineeName: trainee.name, heldOn: trainingSession.heldOn })
        .from(film)
        .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
        .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
        .where(eq(film.done, false))
        .orderBy(desc(trainingSession.heldOn), asc(film.addedAt)),
      correctionsOf(db, isOpen),
    ]);
    return { footage: footage.map((row) => ({ ...row, film: asFilm(row.film) })), corrections };
  });
}
