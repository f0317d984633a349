import { derivedFiles, footageEndpoints, importSteps, type DerivedFile, type StepState } from '@wax-fist/contract/footage';
import { joinPacked } from '@wax-fist/core/body';
import { and, eq, inArray, or } from 'drizzle-orm';
import type { Request, Response, Router } from 'express';
import { filmPieces, type PieceTable } from '../../db/film-pieces.ts';
import { film, filmPoints, filmStep, holderPoints, secondPassPoints } from '../../db/schema/index.ts';
import { remove } from '../removals/removals.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sendStored } from '../../http/send-stored.ts';
import { sameId, serve } from '../../http/serve.ts';
import { begunAnew } from '../../jobs/import-step.ts';
import { importRules } from '../../jobs/import-steps.ts';
import type { Services } from '../../services.ts';
import { addFilm } from './add-film.ts';
import { nameStrikesAnew } from './name-strikes-anew.ts';
import { filmsOf, filmsKnownBy } from './queries.ts';
import { pointedBodiesOf, pointOutBody } from './pointed-bodies.ts';
import type { Uploads } from './uploads.ts';

/** What was made from a film stays as it is; a browser may keep it for an hour, a shared cache may not. */
const keepForAnHour = 'private, max-age=3600';

const isEssential = inArray(
  filmStep.step,
  importSteps.filter((step) => importRules[step].essential),
);
/** Steps that go on only when a coach says so. */
const broken: StepState[] = ['failed', 'stopped'];

export function footageRoutes(router: Router, services: Services, uploads: Uploads): void {
  const { db, storage, queue } = services;
  const one = async (filmId: string) => found(await filmsOf(db, eq(film.id, filmId)), 'film');

  /** Bytes by range, only of a film that is ready. */
  const sendFile = async (request: Request, response: Response, filmId: string, file: DerivedFile): Promise<void> => {
    if ((await one(filmId)).state !== 'ready') throw notFound('film');
    await sendStored(request, response.set('Cache-Control', keepForAnHour), storage, filmId, file);
  };
  const sendColumn = async (response: Response, filmId: string, column: 'timeline' | 'loudness'): Promise<void> => {
    const [row] = await db.select({ bytes: film[column] }).from(film).where(eq(film.id, filmId));
    if (!row?.bytes) throw notFound(column);
    response.set('Cache-Control', keepForAnHour).type('application/octet-stream').send(row.bytes);
  };

  serve(router, footageEndpoints.addFilm, ({ params, body, account }) => {
    sameId(params.filmId, body.id);
    return addFilm(services, uploads, body, account.id);
  });
  serve(router, footageEndpoints.showFilm, ({ params }) => one(params.filmId));
  serve(router, footageEndpoints.changeFilm, async ({ params, body }) => {
    const change = Object.fromEntries(Object.entries(body).filter(([, value]: [string, unknown]) => value !== undefined));
    if (Object.keys(change).length > 0) await db.update(film).set(change).where(eq(film.id, params.filmId));
    if ('view' in change || 'stance' in change) await nameStrikesAnew(services, params.filmId);
    return one(params.filmId);
  });
  serve(router, footageEndpoints.retryFilm, async ({ params }) => {
    const { steps, state } = await one(params.filmId);
    if (!steps.some((step) => broken.includes(step.state)))
      throw new Refusal(409, 'Nothing failed here, so there is nothing to try again.');
    await db.transaction(async (tx) => {
      // What a broken film was made of may be the cause: it is made anew, from the original.
      const again = state === 'ready' ? inArray(filmStep.state, broken) : or(inArray(filmStep.state, broken), isEssential);
      await tx
        .update(filmStep)
        .set(begunAnew)
        .where(and(eq(filmStep.filmId, params.filmId), again));
      if (state !== 'ready') await tx.update(film).set({ state: 'waiting', remark: null }).where(eq(film.id, params.filmId));
    });
    await queue.importFilm(params.filmId);
    return one(params.filmId);
  });
  serve(router, footageEndpoints.stopFilm, async ({ params }) => {
    const { state } = await one(params.filmId);
    await db.transaction(async (tx) => {
      await tx
        .update(filmStep)
        .set({ state: 'stopped' })
        .where(and(eq(filmStep.filmId, params.filmId), inArray(filmStep.state, ['waiting', 'working'])));
      if (state === 'waiting' || state === 'working')
        await tx.update(film).set({ state: 'stopped' }).where(eq(film.id, params.filmId));
    });
    return one(params.filmId);
  });
  serve(router, footageEndpoints.filmsKnownBy, ({ params }) => filmsKnownBy(db, params.sha256));
  serve(router, footageEndpoints.removeFilm, async ({ params, account }) => {
    const { strikes } = await one(params.filmId);
    if (strikes > 0 && account.role === 'assistant') {
      throw new Refusal(409, `Nothing was removed: ${strikes} strikes are marked in this film. Ask a coach.`);
    }
    return remove(db, 'film', params.filmId, account.id);
  });
  serve(router, footageEndpoints.sessionFilms, ({ params }) => filmsOf(db, eq(film.sessionId, params.sessionId)));

  serve(router, footageEndpoints.filmFile, ({ params, request, response }) => {
    const file = derivedFiles.find((one) => one === params.file);
    if (!file) throw notFound('file');
    return sendFile(request, response, params.filmId, file);
  });
  serve(router, footageEndpoints.filmTimeline, ({ params, response }) => sendColumn(response, params.filmId, 'timeline'));
  const sendTrack = async (response: Response, filmId: string, of: PieceTable): Promise<void> => {
    const { frames } = await one(filmId);
    const pieces = await filmPieces(db, filmId, of);
    if (!frames || pieces.length === 0) throw notFound('track');
    response.type('application/octet-stream').send(Buffer.from(joinPacked(pieces, frames)));
  };
  serve(router, footageEndpoints.filmPoints, ({ params, response }) => sendTrack(response, params.filmId, filmPoints));
  serve(router, footageEndpoints.filmHolderPoints, ({ params, response }) => sendTrack(response, params.filmId, holderPoints));
  serve(router, footageEndpoints.filmSecondPass, async ({ params, response }) => {
    const { frames } = await one(params.filmId);
    const pieces = await filmPieces(db, params.filmId, secondPassPoints);
    const packed = frames && pieces.length > 0 ? joinPacked(pieces, frames) : [];
    response.type('application/octet-stream').send(Buffer.from(packed));
  });
  serve(router, footageEndpoints.pointOutBody, async ({ params, body, account }) => {
    sameId(params.bodyId, body.id);
    await pointOutBody(services, params.filmId, body, account.id);
    return one(params.filmId);
  });
  serve(router, footageEndpoints.pointedBodies, ({ params }) => pointedBodiesOf(db, params.filmId));
  serve(router, footageEndpoints.filmLoudness, ({ params, response }) => sendColumn(response, params.filmId, 'loudness'));
}
