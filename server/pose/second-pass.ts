import {
  emptyTrack,
  hipsAt,
  isSameBody,
  joinedTrack,
  numbersOfFrame,
  packTrack,
  unpackTrack,
  type Track,
} from '@wax-fist/core/body';
import { frameNearest, timeOf, type FrameTimeline } from '@wax-fist/core/film';
import { guessedMoments, type StrikeMoments } from '@wax-fist/core/strikes';
import type { Ms } from '@wax-fist/core/units';
import { followPieces, framesIn, taskIn, type FilmPiece, type FilmToWatch, type WatchOptions } from './film-points.ts';

/** So long before a launch and after somebody is home: some measures look at how they stood, and how they stand again. */
const [before, after]: readonly [Ms, Ms] = [500, 700];

/**
 * What a second pass looks at: the frames round strikes, each once, in parts of the pieces of a film that the first pass has followed.
 * @param strikes in any order
 * @param pieces of the first pass, in whatever order they are to be looked at again
 */
export function piecesRound(
  timeline: FrameTimeline,
  strikes: readonly Pick<StrikeMoments, 'launchFrame' | 'homeFrame'>[],
  pieces: readonly FilmPiece[],
): FilmPiece[] {
  const looked = new Set<number>();
  for (const { launchFrame, homeFrame } of strikes) {
    const last = frameNearest(timeline, timeOf(timeline, homeFrame) + after);
    for (let frame = frameNearest(timeline, Math.max(0, timeOf(timeline, launchFrame) - before)); frame <= last; frame++)
      looked.add(frame);
  }
  return pieces.flatMap((piece) => runsIn(looked, piece)).flatMap((run) => cutAt(longest, timeline, run));
}
function cutAt(most: Ms, timeline: FrameTimeline, { from, frames }: FilmPiece): FilmPiece[] {
  const parts = Math.ceil((timeOf(timeline, from + frames - 1) - timeOf(timeline, from)) / most) || 1;
  const edges = Array.from({ length: parts + 1 }, (_, part) => from + Math.round((frames * part) / parts));
  return edges.slice(1).map((to, part) => ({ from: edges[part]!, frames: to - edges[part]! }));
}
/** So long is a piece at most: until it is done, another film waits. */
const longest: Ms = 2000;

/** What a piece has of some frames, in runs. */
function runsIn(looked: ReadonlySet<number>, { from, frames }: FilmPiece): FilmPiece[] {
  const runs: FilmPiece[] = [];
  for (let frame = from; frame < from + frames; frame++) {
    if (!looked.has(frame)) continue;
    const last = runs.at(-1);
    if (last && last.from + last.frames === frame) last.frames++;
    else runs.push({ from: frame, frames: 1 });
  }
  return runs;
}

/** Usual strikes that land at some times, where it is not told what they are. */
export const strikesAt = (timeline: FrameTimeline, contacts: readonly Ms[]): StrikeMoments[] =>
  contacts.map((time) => guessedMoments(timeline, { usualOut: 400, usualReturn: 600 }, frameNearest(timeline, time), 'set'));

/** What of some pieces was not looked at yet. */
export const notYetIn = (pieces: readonly FilmPiece[], done: readonly FilmPiece[]): FilmPiece[] =>
  pieces.flatMap((piece) => {
    const left = new Set(Array.from({ length: piece.frames }, (_, place) => piece.from + place));
    for (const { from, frames } of done) for (let frame = from; frame < from + frames; frame++) left.delete(frame);
    return runsIn(left, piece);
  });

/** What the second pass has found of the body that the first one followed; nobody where it has found somebody else. */
function ofSameBody(found: Track, first: Track): Track {
  const same = emptyTrack(found.from, found.frames);
  for (let frame = found.from; frame < found.from + found.frames; frame++) {
    if (!isSameBody(found, frame, first, frame)) continue;
    const at = (frame - found.from) * numbersOfFrame;
    same.values.set(found.values.subarray(at, at + numbersOfFrame), at);
  }
  return same;
}

/** The points of a second pass over some strikes. */
export async function secondPassOfFilm(
  film: FilmToWatch,
  first: Track,
  strikes: readonly StrikeMoments[],
  progress?: WatchOptions['progress'],
): Promise<Track> {
  const pieces: Track[] = [];
  await lookAgain(film, first, piecesRound(film.timeline, strikes, [{ from: 0, frames: film.timeline.length }]), {
    onPiece: (from, _frames, packed) => Promise.resolve(void pieces.push(unpackTrack(from, packed))),
    progress,
  });
  return joinedTrack([emptyTrack(0, film.timeline.length), ...pieces]);
}

/**
 * Goes once more over pieces of a film with the largest model, beginning where the first pass saw the body.
 * @param first what the first pass has found in the whole film
 * @param before so many frames were looked at again before
 * @throws Stopped, MediaFailure
 */
export async function lookAgain(
  film: FilmToWatch,
  first: Track,
  pieces: readonly FilmPiece[],
  { before = 0, onPiece, progress, signal }: Pick<WatchOptions, 'onPiece' | 'progress' | 'signal'> & { before?: number },
): Promise<void> {
  const frames = before + framesIn(pieces);
  await followPieces(pieces, (piece) => ({ ...taskIn({ ...film, size: 'heavy' }, piece), near: hipsAt(first, piece.from) }), {
    ...{ before, frames, progress, signal },
    onPiece: (from, many, packed) => onPiece(from, many, packTrack(ofSameBody(unpackTrack(from, packed), first))),
  });
}
