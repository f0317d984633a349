import { existsSync, readFileSync } from 'node:fs';
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

/** Where the body is in a film, as the pose model told. */
export interface FilmPoints {
  model: string;
  version: number;
  frames: number;
  packed: Buffer;
}
/** The points of a film of the demo club; undefined when none ship with it. */
export function pointsOfFilm(film: string, of: 'points' | 'holder' | 'second-pass' = 'points'): FilmPoints | undefined {
  const file = join(footage, `${film}.${of}.gz`);
  if (!existsSync(file)) return undefined;
  const told = JSON.parse(gunzipSync(readFileSync(file)).toString()) as Omit<FilmPoints, 'packed'> & { packed: string };
  return { ...told, packed: Buffer.from(told.packed, 'base64') };
}
