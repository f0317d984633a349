import { exportEndpoints, filmExports, traineeExports } from '@wax-fist/contract/exports';
import type { Router } from 'express';
import { asFile } from '../../http/as-file.ts';
import { notFound } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { filmFiles } from './of-films.ts';
import { traineeFiles } from './of-trainees.ts';

export function exportRoutes(router: Router, { db }: Services): void {
  serve(router, exportEndpoints.exportFilm, async ({ params: { filmId, file }, response }) => {
    const known = filmExports.find((one) => one.file === file);
    if (!known) throw notFound('file');
    asFile(response, known.file, known.type, await filmFiles[known.file](db, filmId));
  });
  serve(router, exportEndpoints.exportTrainee, async ({ params: { traineeId, file }, request, response }) => {
    const known = traineeExports.find((one) => one.file === file);
    if (!known) throw notFound('file');
    const home = `${request.protocol}://${request.get('host')}`;
    asFile(response, known.file, known.type, await traineeFiles[known.file](db, traineeId, home));
  });
}
