import { probe } from '../../media/probe.ts';
import { sha256Of } from '../../storage/storage.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

/** Looks into the file, and takes its hash. */
export async function probeStep(work: StepWork): Promise<void> {
  const original = await work.storage.bring(work.film.id, 'original');
  const { channels, duration } = await probe(original);
  await updateFilm(work, { hasSound: channels > 0, duration, sha256: await sha256Of(original) });
}
