import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { makeFilmStrip, stripHeight, stripPictures } from '../../media/inspect.ts';
import { change, type StepWork } from '../step.ts';

/** A row of small pictures over the film. */
export async function filmStripStep(work: StepWork): Promise<void> {
  const { storage, clip } = work;
  const strip = work.draft('strip.jpg');
  await mkdir(dirname(strip), { recursive: true });
  await makeFilmStrip(await storage.bring(clip.id, 'film.mp4'), strip, clip.duration!);
  await storage.keep(strip, clip.id, 'strip.jpg');
  const stripWidth = Math.round((stripHeight * clip.width!) / clip.height! / 2) * 2;
  await change(work, { stripPictures, stripHeight, stripWidth });
}
