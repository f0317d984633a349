import type { Request, Response } from 'express';
import { pipeline } from 'node:stream/promises';
import type { FilmFile, Storage } from '../storage/storage.ts';
import { notFound } from './refusal.ts';

/** Sends a stored file, or the part of it that was asked for (one byte range, RFC 9110). */
export async function sendStored(
  request: Request,
  response: Response,
  storage: Storage,
  filmId: string,
  file: FilmFile,
): Promise<void> {
  const bytes = await storage.bytes(filmId, file);
  if (bytes === undefined) throw notFound('film');
  response.type(file).set('Accept-Ranges', 'bytes');
  const asked = request.range(bytes);
  if (asked === -1) {
    response.status(416).set('Content-Range', `bytes */${bytes}`).end();
    return;
  }
  const range = Array.isArray(asked) && asked.length === 1 ? asked[0] : undefined;
  if (range) response.status(206).set('Content-Range', `bytes ${range.start}-${range.end}/${bytes}`);
  response.set('Content-Length', String(range ? range.end - range.start + 1 : bytes));
  if (request.method === 'HEAD') {
    response.end();
    return;
  }
  // A browser that stops reading in the middle of a film is no failure.
  await pipeline(await storage.read(filmId, file, range), response).catch(() => response.destroy());
}
