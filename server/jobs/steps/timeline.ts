import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { frameTimes, pictureSize } from '../../media/inspect.ts';
import { NotFootage } from '../../media/probe.ts';
import { updateFilm, type StepWork } from '../import-step.ts';
import { endsEarly, unreadable } from './review-copy.ts';

/** Reads when every frame is shown. After it, the film can be reviewed. */
export async function timelineStep(work: StepWork): Promise<void> {
  const film = await work.storage.bring(work.film.id, 'film.mp4');
  const times = await frameTimes(film).catch(() => []);
  if (times.length < 2) throw new NotFootage(unreadable);
  const firstFrameAt = times[0]!;
  const timeline = timelineOf(times.map((time) => time - firstFrameAt));
  const duration = timeline.at(-1)! + (timeline.at(-1)! - timeline.at(-2)!);
  const short = (work.film.duration ?? 0) > duration + 1500;
  await updateFilm(work, {
    duration,
    frames: timeline.length,
    firstFrameAt,
    ...(await pictureSize(film)),
    timeline: Buffer.from(packTimeline(timeline)),
    ...(short ? { remark: endsEarly } : {}),
  });
}
