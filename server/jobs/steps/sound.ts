import { loudnessOf, soundOfWave } from '@wax-fist/core/moments';
import { mkdir, readFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import { writeSound } from '../../media/inspect.ts';
import { change, type StepWork } from '../step.ts';

/** Takes the sound out of the film, and its loudness for the ribbon. */
export async function soundStep(work: StepWork): Promise<void> {
  const { storage, clip, signal } = work;
  const wave = work.draft('sound.wav');
  await mkdir(dirname(wave), { recursive: true });
  await writeSound(await storage.bring(clip.id, 'film.mp4'), wave, clip.firstFrameAt!, signal);
  const { samples, sampleRate } = soundOfWave(await readFile(wave));
  await storage.keep(wave, clip.id, 'sound.wav');
  await change(work, { loudness: Buffer.from(loudnessOf(samples, sampleRate)) });
}
