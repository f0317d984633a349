import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { readReviewCopy } from '../../media/read-copy.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

/** Reads when every frame is shown. After it, the film can be reviewed. */
export async function timelineStep(work: StepWork): Promise<void> {
  const { times, width, height } = await readReviewCopy(await work.storage.bring(work.film.id, 'film.mp4'));
  const firstFrameAt = times[0]!;
  const timeline = timelineOf(times.map((time) => time - firstFrameAt));
  await updateFilm(work, {
    duration: timeline.at(-1)! + (timeline.at(-1)! - timeline.at(-2)!),
    frames: timeline.length,
    firstFrameAt,
    ...{ width, height },
    timeline: Buffer.from(packTimeline(timeline)),
  });
}
