import { timelineOf } from '@wax-fist/core/film';
import { hitsOf, listenTo, noHitEdits, type Candidate } from '@wax-fist/core/sound';
import { pictureSize } from '../server/media/inspect.ts';
import type { FilmToWatch } from '../server/pose/film-points.ts';
import type { PoseSize } from '../server/pose/pose-size.ts';
import { soundOf, timesOf } from './media-file.ts';

/** What may be hits in a file, as `findHits` gives them; nothing where it has no sound. */
export const heardIn = (path: string): Promise<Candidate[]> =>
  soundOf(path).then(
    ({ samples, sampleRate }) => listenTo(samples, sampleRate).hits,
    () => [],
  );

/** A file in which a body is to be followed. @param heard where it is begun; without sound it is begun at the beginning @throws BadFile */
export async function filmToWatch(path: string, size: PoseSize, heard?: readonly Candidate[]): Promise<FilmToWatch> {
  const times = await timesOf(path);
  const timeline = timelineOf(times.map((time) => time - times[0]!));
  const hits = hitsOf({ sound: heard ?? (await heardIn(path)) }, noHitEdits).map(({ time }) => time);
  return { path, timeline, firstFrameAt: times[0]!, ...(await pictureSize(path)), size, hits };
}

/** Tells on one line how far it is, where somebody watches. */
export const progressOnScreen = (): ((share: number) => void) | undefined =>
  process.stderr.isTTY ? (share) => void process.stderr.write(`\r${Math.floor(share * 100)}%`) : undefined;
