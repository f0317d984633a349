import { loudnessOf, soundOfWave } from '@wax-fist/core/sound';
import { mkdir, readFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { writeSound } from '../../media/inspect.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

/** Takes the sound out of the film, and its loudness for the ribbon. */
export async function soundStep(work: StepWork): Promise<void> {
  const { storage, film, signal } = work;
  const wave = work.draft('sound.wav');
  await mkdir(dirname(wave), { recursive: true });
  await writeSound(await storage.bring(film.id, 'film.mp4'), wave, film.firstFrameAt!, signal);
  const { samples, sampleRate } = soundOfWave(await readFile(wave));
  await storage.keep(wave, film.id, 'sound.wav');
  await updateFilm(work, { loudness: Buffer.from(loudnessOf(samples, sampleRate)) });
}
