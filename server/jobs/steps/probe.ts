import { probe } from '../../media/probe.ts';
import { sha256Of } from '../../storage/storage.ts';
import { change, type StepWork } from '../step.ts';

/** Looks into the file, and takes its hash. */
export async function probeStep(work: StepWork): Promise<void> {
  const original = await work.storage.bring(work.clip.id, 'original');
  const { hasSound, duration } = await probe(original);
  await change(work, { hasSound, duration, sha256: await sha256Of(original) });
}
