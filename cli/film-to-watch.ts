import { timelineOf } from '@wax-fist/core/film';
import { hitsOf, listenTo, noHitEdits } from '@wax-fist/core/sound';
import { pictureSize } from '../server/media/inspect.ts';
import type { FilmToWatch } from '../server/pose/film-points.ts';
import type { PoseSize } from '../server/pose/pose-size.ts';
import { soundOf, timesOf } from './media-file.ts';

/** A file in which a body is to be followed. @throws BadFile */
export async function filmToWatch(path: string, size: PoseSize): Promise<FilmToWatch> {
  const times = await timesOf(path);
  const timeline = timelineOf(times.map((time) => time - times[0]!));
  const hits = await soundOf(path).then(
    ({ samples, sampleRate }) => hitsOf({ sound: listenTo(samples, sampleRate).hits }, noHitEdits).map(({ time }) => time),
    // Without sound it is begun at the beginning.
    () => [],
  );
  return { path, timeline, firstFrameAt: times[0]!, ...(await pictureSize(path)), size, hits };
}

/** Tells on one line how far it is, where somebody watches. */
export const progressOnScreen = (): ((share: number) => void) | undefined =>
  process.stderr.isTTY ? (share) => void process.stderr.write(`\r${Math.floor(share * 100)}%`) : undefined;
