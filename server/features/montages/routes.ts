import { montageEndpoints } from '@wax-fist/contract/montages';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { montage } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { sendDownload } from '../../http/send-download.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { montageOf } from './pieces.ts';
import { asMontageFilm, montageRuns } from './runs.ts';

export function montageRoutes(router: Router, services: Services): void {
  const { db } = services;
  const runs = montageRuns(services);
  const one = async (id: string) => found(await db.select().from(montage).where(eq(montage.id, id)), 'montage');
  runs.start();

  serve(router, montageEndpoints.showMontage, ({ params, query }) => montageOf(db, params.sessionId, query));
  serve(router, montageEndpoints.writeMontage, async ({ body, account }) => {
    const { pieces } = await montageOf(db, body.sessionId, body);
    if (pieces.length === 0) throw new Refusal(422, 'There is no strike to show.');
    await db
      .insert(montage)
      .values({ ...body, askedBy: account.id })
      .onConflictDoNothing();
    runs.start();
    return asMontageFilm(await one(body.id));
  });
  serve(router, montageEndpoints.montageFilm, async ({ params }) => asMontageFilm(await one(params.montageId)));
  serve(router, montageEndpoints.montageBytes, async ({ params: { montageId }, response }) => {
    const { state, sessionId, technique, checkpointId, which } = await one(montageId);
    if (state !== 'ready') throw new Refusal(409, 'This montage is not written yet.');
    const { traineeName, heldOn, name } = await montageOf(db, sessionId, { technique, checkpointId, which });
    await sendDownload(response, runs.pathOf(montageId), `${traineeName}, ${heldOn}, ${name.toLowerCase()}.mp4`);
  });
}
