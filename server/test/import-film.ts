import { footageEndpoints, uploadPath, type Film } from '@wax-fist/contract/footage';
import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { v7 as uuid } from 'uuid';
import { eventually } from './eventually.ts';
import type { Visitor } from './server-under-test.ts';

/** Sends a film and waits until every step of its import has ended. @param within milliseconds; where bodies are followed it takes longer */
export async function importFilm(coach: Visitor, sessionId: string, path: string, within?: number): Promise<Film> {
  const bytes = await readFile(path);
  const headers = {
    'tus-resumable': '1.0.0',
    'upload-length': String(bytes.length),
    'content-type': 'application/offset+octet-stream',
  };
  const begun = await coach.fetch(uploadPath, { method: 'POST', headers, body: new Uint8Array(bytes) });
  const uploadId = begun.headers.get('location')!.split('/').at(-1)!;
  const id = uuid();
  const draft = { id, sessionId, uploadId, fileName: basename(path), view: 'front' };
  await coach.ask(footageEndpoints.addFilm, { filmId: id }, draft);
  return eventually(
    'every step of the import',
    async () => (await coach.ask<Film>(footageEndpoints.showFilm, { filmId: id })).body,
    ({ steps }) => steps.every(({ state }) => state !== 'waiting' && state !== 'working'),
    within,
  );
}
