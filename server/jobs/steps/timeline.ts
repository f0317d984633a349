import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { frameTimes, pictureSize } from '../../media/inspect.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

/** Reads when every frame is shown. After it, the film can be reviewed. */
export async function timelineStep(work: StepWork): Promise<void> {
  const film = await work.storage.bring(work.film.id, 'film.mp4');
  const times = await frameTimes(film, work.signal);
  const firstFrameAt = times[0]!;
  const timeline = timelineOf(times.map((time) => time - firstFrameAt));
  await updateFilm(work, {
    duration: timeline.at(-1)! + (timeline.at(-1)! - timeline.at(-2)!),
    frames: timeline.length,
    firstFrameAt,
    ...(await pictureSize(film)),
    timeline: Buffer.from(packTimeline(timeline)),
  });
}
