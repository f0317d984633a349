import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { writeSound } from '../../media/inspect.ts';
import { heavily } from '../heavy.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

/** Takes the sound out of the film, and its loudness for the ribbon. */
export async function soundStep(work: StepWork): Promise<void> {
  const { storage, film, signal } = work;
  const wave = work.draft('sound.wav');
  await mkdir(dirname(wave), { recursive: true });
  const [from, to] = [film.firstFrameAt!, film.firstFrameAt! + film.duration!];
  await writeSound(await storage.bring(film.id, 'film.mp4'), wave, { from, to, channels: 1 }, signal);
  const loudness = await heavily('loudness', { wave }, { signal });
  await storage.keep(wave, film.id, 'sound.wav');
  await updateFilm(work, { loudness: Buffer.from(loudness) });
}
