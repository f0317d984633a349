import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { makeFilmStrip, stripHeight, stripPictures } from '../../media/inspect.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

/** A row of small pictures over the film. */
export async function filmStripStep(work: StepWork): Promise<void> {
  const { storage, film, signal } = work;
  const strip = work.draft('strip.jpg');
  await mkdir(dirname(strip), { recursive: true });
  await makeFilmStrip(await storage.bring(film.id, 'film.mp4'), strip, film.duration!, signal);
  await storage.keep(strip, film.id, 'strip.jpg');
  const stripWidth = Math.round((stripHeight * film.width!) / film.height! / 2) * 2;
  await updateFilm(work, { stripPictures, stripHeight, stripWidth });
}
