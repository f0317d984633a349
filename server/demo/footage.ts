import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { FilmTruth } from './marks-from-truth.ts';

/** Films in the form of a review copy, each with what is true of it. */
export const footage = join(import.meta.dirname, '../../simulator/footage');

/** Where a film of the demo club lies; named without its ending. */
export const filmPath = (film: string): string => join(footage, `${film}.mp4`);

/** What is true of a film of the demo club. */
export const truthOfFilm = (film: string): FilmTruth =>
  JSON.parse(gunzipSync(readFileSync(join(footage, `${film}.truth.json.gz`))).toString()) as FilmTruth;
