import { mkdir, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import { NotFootage } from '../../media/probe.ts';
import { MediaFailure } from '../../media/program.ts';
import { makeReviewCopy } from '../../media/review-copy.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

export const endsEarly = 'The file ends early or is damaged in part; what could be read is here.';
export const unreadable = 'No run of pictures could be read from this file. It may be damaged; copy it from the phone again.';

/** Makes the copy that the player plays. A damaged original gives a copy of what could be read. */
export async function reviewCopyStep(work: StepWork): Promise<void> {
  const { storage, film, progress, signal } = work;
  const copy = work.draft('film.mp4');
  await mkdir(dirname(copy), { recursive: true });
  const source = await storage.bring(film.id, 'original');
  let damaged = false;
  try {
    await makeReviewCopy({
      source,
      film: copy,
      hasSound: film.hasSound,
      duration: film.duration ?? 0,
      onProgress: progress,
      signal,
    });
  } catch (error) {
    if (!(error instanceof MediaFailure)) throw error;
    damaged = true;
  }
  const size = await stat(copy).then(
    (made) => made.size,
    () => 0,
  );
  if (size === 0) throw new NotFootage(unreadable);
  await storage.keep(copy, film.id, 'film.mp4');
  await updateFilm(work, { remark: damaged ? endsEarly : null });
}
