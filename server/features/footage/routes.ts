import { footageEndpoints, type StepState } from '@wax-fist/contract/footage';
import { and, eq, inArray, sql } from 'drizzle-orm';
import type { Request, Response, Router } from 'express';
import { clip, clipStep } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sendStored } from '../../http/send-stored.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Surroundings } from '../../surroundings.ts';
import type { ClipFile } from '../../storage/storage.ts';
import { addClip } from './add-clip.ts';
import { clipsOf, filmsKnownBy } from './queries.ts';
import type { Uploads } from './uploads.ts';

/** What was made from a film stays as it is; a browser may keep it for an hour, a shared cache may not. */
const keepForAnHour = 'private, max-age=3600';

/** Steps that go on only when a coach says so. */
const broken: StepState[] = ['failed', 'stopped'];

export function footageRoutes(router: Router, surroundings: Surroundings, uploads: Uploads): void {
  const { db, storage, queue } = surroundings;
  const one = async (clipId: string) => found(await clipsOf(db, eq(clip.id, clipId)), 'film');

  /** Bytes by range, only of a clip that is ready. */
  const sendFile = async (request: Request, response: Response, clipId: string, file: ClipFile): Promise<void> => {
    if ((await one(clipId)).state !== 'ready') throw notFound('film');
    await sendStored(request, response.set('Cache-Control', keepForAnHour), storage, clipId, file);
  };
  const sendColumn = async (response: Response, clipId: string, column: 'timeline' | 'loudness'): Promise<void> => {
    const [row] = await db.select({ bytes: clip[column] }).from(clip).where(eq(clip.id, clipId));
    if (!row?.bytes) throw notFound(column);
    response.set('Cache-Control', keepForAnHour).type('application/octet-stream').send(row.bytes);
  };

  serve(router, footageEndpoints.addClip, ({ params, body, account }) => {
    sameId(params.clipId, body.id);
    return addClip(surroundings, uploads, body, account.id);
  });
  serve(router, footageEndpoints.showClip, ({ params }) => one(params.clipId));
  serve(router, footageEndpoints.changeClip, async ({ params, body }) => {
    const change = Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined));
    if (Object.keys(change).length > 0) await db.update(clip).set(change).where(eq(clip.id, params.clipId));
    return one(params.clipId);
  });
  serve(router, footageEndpoints.retryClip, async ({ params }) => {
    const { steps, state } = await one(params.clipId);
    if (!steps.some((step) => broken.includes(step.state)))
      throw new Refusal(409, 'Nothing failed here, so there is nothing to try again.');
    await db.transaction(async (tx) => {
      await tx
        .update(clipStep)
        .set({ state: 'waiting', attempts: 0, reason: null, touchedAt: sql`now()` })
        .where(and(eq(clipStep.clipId, params.clipId), inArray(clipStep.state, broken)));
      if (state !== 'ready') await tx.update(clip).set({ state: 'waiting', remark: null }).where(eq(clip.id, params.clipId));
    });
    await queue.importClip(params.clipId);
    return one(params.clipId);
  });
  serve(router, footageEndpoints.stopClip, async ({ params }) => {
    const { state } = await one(params.clipId);
    await db.transaction(async (tx) => {
      await tx
        .update(clipStep)
        .set({ state: 'stopped' })
        .where(and(eq(clipStep.clipId, params.clipId), inArray(clipStep.state, ['waiting', 'working'])));
      if (state === 'waiting' || state === 'working')
        await tx.update(clip).set({ state: 'stopped' }).where(eq(clip.id, params.clipId));
    });
    return one(params.clipId);
  });
  serve(router, footageEndpoints.filmsKnownBy, ({ params }) => filmsKnownBy(db, params.sha256));
  serve(router, footageEndpoints.removeClip, async ({ params }) => {
    const { strikes } = await one(params.clipId);
    if (strikes > 0) {
      throw new Refusal(409, `Nothing was removed: ${strikes} strikes are marked in this film. Take them back first.`);
    }
    await db.delete(clip).where(eq(clip.id, params.clipId));
    await storage.remove(params.clipId);
  });
  serve(router, footageEndpoints.clipsInWork, ({ params }) => clipsOf(db, eq(clip.sessionId, params.sessionId)));

  serve(router, footageEndpoints.clipFilm, ({ params, request, response }) =>
    sendFile(request, response, params.clipId, 'film.mp4'),
  );
  serve(router, footageEndpoints.clipStrip, ({ params, request, response }) =>
    sendFile(request, response, params.clipId, 'strip.jpg'),
  );
  serve(router, footageEndpoints.clipSound, ({ params, request, response }) =>
    sendFile(request, response, params.clipId, 'sound.wav'),
  );
  serve(router, footageEndpoints.clipMotion, ({ params, request, response }) =>
    sendFile(request, response, params.clipId, 'motion.bin'),
  );
  serve(router, footageEndpoints.clipTimeline, ({ params, response }) => sendColumn(response, params.clipId, 'timeline'));
  serve(router, footageEndpoints.clipLoudness, ({ params, response }) => sendColumn(response, params.clipId, 'loudness'));
}
