import { limitEndpoints } from '@wax-fist/contract/limits';
import { desc, eq, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { bodyLimit, trainee } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { limitColumns } from './columns.ts';

export function limitRoutes(router: Router, { db }: Services): void {
  serve(router, limitEndpoints.traineeLimits, ({ params }) =>
    db
      .select(limitColumns)
      .from(bodyLimit)
      .where(eq(bodyLimit.traineeId, params.traineeId))
      .orderBy(sql`${bodyLimit.until} desc nulls first`, desc(bodyLimit.since), desc(bodyLimit.id)),
  );

  serve(router, limitEndpoints.saveLimit, async ({ params, body }) => {
    sameId(params.limitId, body.id);
    found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, body.traineeId)), 'trainee');
    const { id: _, traineeId, ...fields } = body;
    const saved = await db
      .insert(bodyLimit)
      .values(body)
      .onConflictDoUpdate({ target: bodyLimit.id, set: fields, setWhere: eq(bodyLimit.traineeId, traineeId) })
      .returning(limitColumns);
    return found(saved, 'limit');
  });
}
