import type { stillKinds } from '@wax-fist/contract/stills';
import { stillEndpoints } from '@wax-fist/contract/stills';
import { and, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { film, referenceStill } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { mayBeShown } from '../consents/queries.ts';
import { newestCatalogue } from '../checklists/versions.ts';

export function stillRoutes(router: Router, { db }: Services): void {
  serve(router, stillEndpoints.listReferenceStills, () => db.select().from(referenceStill));
  serve(router, stillEndpoints.saveReferenceStill, async ({ params, body }) => {
    if (params.technique !== body.technique || params.checkpoint !== body.checkpoint || params.kind !== body.kind)
      throw new Refusal(422, 'The address names another still than the content.');
    const catalogue = await newestCatalogue(db);
    if (!catalogue.techniques.has(body.technique)) throw notFound('technique');
    if (!catalogue.checkpoints.has(body.checkpoint)) throw notFound('checkpoint');
    const lastFrame = body.toFrame ?? body.frame;
    const { frames } = found(await db.select({ frames: film.frames }).from(film).where(eq(film.id, body.filmId)), 'film');
    if (frames === null || lastFrame >= frames) throw new Refusal(422, 'This frame lies outside of the film.');
    await mayBeShown(db, body.filmId);
    const { filmId, frame, fromFrame, toFrame } = body;
    const [saved] = await db
      .insert(referenceStill)
      .values(body)
      .onConflictDoUpdate({
        target: [referenceStill.technique, referenceStill.checkpoint, referenceStill.kind],
        set: { filmId, frame, fromFrame, toFrame },
      })
      .returning();
    return saved!;
  });
  serve(router, stillEndpoints.removeReferenceStill, async ({ params: { technique, checkpoint, kind } }) => {
    const which = and(
      eq(referenceStill.technique, technique),
      eq(referenceStill.checkpoint, checkpoint),
      eq(referenceStill.kind, kind as (typeof stillKinds)[number]),
    );
    found(await db.delete(referenceStill).where(which).returning(), 'still');
  });
}
