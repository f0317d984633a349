import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { school, trainee } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sameId, serve, serveKept } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { traineeRows } from './queries.ts';

export function traineeRoutes(router: Router, { db }: Services): void {
  serveKept(router, traineeEndpoints.listTrainees, ({ query }) => traineeRows(db, query));
  serve(router, traineeEndpoints.saveTrainee, async ({ params, body }) => {
    sameId(params.traineeId, body.id);
    const { id, ...fields } = body;
    if (body.schoolId) found(await db.select({ id: school.id }).from(school).where(eq(school.id, body.schoolId)), 'school');
    const [saved] = await db.insert(trainee).values(body).onConflictDoUpdate({ target: trainee.id, set: fields }).returning();
    return { ...saved!, id };
  });
  serveKept(router, traineeEndpoints.showTrainee, async ({ params }) =>
    found(await db.select().from(trainee).where(eq(trainee.id, params.traineeId)), 'trainee'),
  );
}
