import { packTimeline, timelineOf } from '@wax-fist/core/moments';
import { frameTimes, pictureSize } from '../../media/inspect.ts';
import { NotFootage } from '../../media/probe.ts';
import { change, type StepWork } from '../step.ts';
import { endsEarly, unreadable } from './review-copy.ts';

/** Reads when every frame is shown. After it, the film can be reviewed. */
export async function timelineStep(work: StepWork): Promise<void> {
  const film = await work.storage.bring(work.clip.id, 'film.mp4');
  const times = await frameTimes(film).catch(() => []);
  if (times.length < 2) throw new NotFootage(unreadable);
  const firstFrameAt = times[0]!;
  const timeline = timelineOf(times.map((time) => time - firstFrameAt));
  const duration = timeline.at(-1)! + (timeline.at(-1)! - timeline.at(-2)!);
  const short = (work.clip.duration ?? 0) > duration + 1500;
  await change(work, {
    duration,
    frames: timeline.length,
    firstFrameAt,
    ...(await pictureSize(film)),
    timeline: Buffer.from(packTimeline(timeline)),
    ...(short ? { remark: endsEarly } : {}),
  });
}
