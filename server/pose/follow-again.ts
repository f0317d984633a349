import { hipsAt, isSameBody, joinPacked, unpackTrack, type Square } from '@wax-fist/core/body';
import { frameAt, timeOf } from '@wax-fist/core/film';
import type { FrameIndex } from '@wax-fist/core/units';
import { justBefore } from '../media/just-before.ts';
import { inThread, pieceFor, taskIn, type FilmPiece, type FilmToWatch, type WatchOptions } from './film-points.ts';
import type { Place } from './body-in-pictures.ts';

/** A body that a coach has pointed out in a frame. */
export interface PointedOut {
  frame: FrameIndex;
  round: Square;
}

/** What is to be followed next: the frames from the one pointed out, or the end of what was just followed, as far as a piece reaches. */
function nextPiece({ timeline }: FilmToWatch, at: FrameIndex, way: 1 | -1, wall: FrameIndex): FilmPiece | undefined {
  if (at === wall) return undefined;
  if (way === 1) {
    const to = Math.min(wall, Math.max(at + 1, frameAt(timeline, timeOf(timeline, at) + pieceFor)));
    return { from: at, frames: to - at };
  }
  const from = Math.max(wall, Math.min(at - 1, frameAt(timeline, Math.max(0, timeOf(timeline, at) - pieceFor))));
  return { from, frames: at - from };
}

/**
 * Follows the body that a coach has pointed out, in both directions, as far as what was followed there before was somebody else: where
 * both meet in the same body, or at a frame in which a coach has pointed out one as well, it ends. What lies beyond stays as it is.
 * @param before the film as it was followed until now
 * @param others frames in which bodies were pointed out, too
 * @throws Stopped, MediaFailure
 */
export async function followPointedOut(
  film: FilmToWatch,
  { frame, round }: PointedOut,
  before: readonly { from: FrameIndex; packed: Uint8Array }[],
  others: readonly FrameIndex[],
  { onPiece, progress, signal }: Pick<WatchOptions, 'onPiece' | 'progress' | 'signal'>,
): Promise<void> {
  const run = inThread(signal);
  const frames = film.timeline.length;
  const old = unpackTrack(0, joinPacked(before, frames));
  let looked = 0;
  const go = async (way: 1 | -1): Promise<void> => {
    const wall =
      way === 1
        ? Math.min(frames, ...others.filter((one) => one > frame))
        : Math.max(0, ...others.filter((one) => one < frame).map((one) => one + 1));
    let near: Place | undefined;
    for (let piece = nextPiece(film, frame, way, wall); piece;) {
      const { from, frames: many } = piece;
      const backwards = way === -1 ? Array.from({ length: many }, (_, place) => justBefore(film, from + place)) : undefined;
      const seed = near ? { near } : { round };
      const task = { ...taskIn(film, piece), backwards, ...seed };
      const found = await run<{ packed: Uint8Array; near: Place | undefined }>('followBody', task);
      await onPiece(from, many, found.packed);
      progress?.((looked += many) / frames);
      const fresh = unpackTrack(from, found.packed);
      const [last, next] = backwards ? [from, from - 1] : [from + many - 1, from + many];
      if (isSameBody(fresh, last, old, next)) return;
      near = hipsAt(fresh, last) ?? found.near ?? near ?? [round.x, round.y];
      piece = nextPiece(film, backwards ? from : from + many, way, wall);
    }
  };
  await Promise.all([go(1), go(-1)]);
}
