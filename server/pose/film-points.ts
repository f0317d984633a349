import { packTrack, pieceOfTrack, unpackTrack, type Picture, type Track } from '@wax-fist/core/body';
import { frameAt, timeOf, type FrameTimeline } from '@wax-fist/core/film';
import type { FrameIndex, Ms, Px } from '@wax-fist/core/units';
import { availableParallelism } from 'node:os';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { justBefore } from '../media/just-before.ts';
import { Stopped } from '../media/program.ts';
import type { PoseSize } from './pose-size.ts';
import type { Place } from './body-in-pictures.ts';
import type { PoseTask } from './pose-work.ts';

/** How the points of a film are found: with which model, and by which version of what is done with its answers. */
export const poseVersion = 1;

/** A piece is as long as this: what is lost when a worker dies in the middle of one. */
export const pieceFor: Ms = 5000;
/** So long is watched who strikes, where several are in the picture. */
const watchFor: Ms = 1500;

const threads = new Piscina({
  filename: new URL('pose-thread.js', import.meta.url).href,
  minThreads: 0,
  maxThreads: availableParallelism(),
  // A model that was read is good for the next film as well.
  idleTimeout: 60_000,
});

/** A film in which a body is to be followed. */
export interface FilmToWatch {
  path: string;
  timeline: FrameTimeline;
  /** When its first frame is shown, by its own clock. */
  firstFrameAt: Ms;
  width: Px;
  height: Px;
  size: PoseSize;
  /** When something lands: there it is begun. */
  hits: readonly Ms[];
}

export interface WatchOptions {
  /** What is there already. */
  done?: readonly FilmPiece[];
  /** Whom not to follow, as a packed track of a piece: the other one in the picture is meant. */
  butNot?: (piece: FilmPiece) => Uint8Array;
  /** Gets each piece when it is there, in the order of use. */
  onPiece: (from: FrameIndex, frames: number, packed: Uint8Array) => Promise<void>;
  /** Gets the share that is done. */
  progress?: (share: number) => void;
  signal?: AbortSignal;
}

/** A piece of a film: its first frame, and how many it has. */
export interface FilmPiece {
  from: FrameIndex;
  frames: number;
}

/** How many frames some pieces have. */
export const framesIn = (pieces: readonly FilmPiece[]): number => pieces.reduce((sum, { frames }) => sum + frames, 0);

/** A film in pieces, those in which most lands first. */
export function piecesOf(timeline: FrameTimeline, hits: readonly Ms[]): FilmPiece[] {
  const pieces: (FilmPiece & { hits: number })[] = [];
  for (let from = 0; from < timeline.length;) {
    const begins = timeOf(timeline, from);
    const to = Math.min(timeline.length, Math.max(from + 1, frameAt(timeline, begins + pieceFor)));
    const ends = to < timeline.length ? timeOf(timeline, to) : Infinity;
    pieces.push({ from, frames: to - from, hits: hits.filter((hit) => hit >= begins && hit < ends).length });
    from = to;
  }
  return pieces
    .sort((one, other) => other.hits - one.hits || one.from - other.from)
    .map(({ from, frames }) => ({ from, frames }));
}

/** Has one picture looked at in a thread. */
export const inPoseThread = async <T>(name: 'lookOnce', task: { picture: Picture }): Promise<T> =>
  (await threads.run(task, { name })) as T;

/** Has something done in a thread. @throws Stopped, MediaFailure */
export const inThread =
  (signal: AbortSignal | undefined) =>
  async <T>(name: 'followBody' | 'whoStrikes', task: PoseTask): Promise<T> => {
    try {
      return (await threads.run(task, { name, signal, transferList: task.told ? [task.told] : [] })) as T;
    } catch (error) {
      throw signal?.aborted ? new Stopped() : error;
    }
  };
export const taskIn = (film: FilmToWatch, { from, frames }: FilmPiece): PoseTask => ({
  ...{ film: film.path, size: film.size, width: film.width, height: film.height },
  ...{ from, frames, at: justBefore(film, from) },
});

/** Where whoever strikes is, somewhere in the middle of the work: at the beginning one may still be walking in. */
function whereStriking(film: FilmToWatch, signal?: AbortSignal): Promise<Place | undefined> {
  const { timeline, hits } = film;
  const struck = hits[hits.length >> 1] ?? 0;
  const from = frameAt(timeline, Math.max(0, struck - watchFor / 2));
  const frames = Math.max(2, frameAt(timeline, timeOf(timeline, from) + watchFor) - from);
  return inThread(signal)('whoStrikes', taskIn(film, { from, frames }));
}

/**
 * Follows whoever strikes through a film, or the other one, piece by piece in several threads.
 * @throws Stopped, MediaFailure
 */
export async function watchFilm(film: FilmToWatch, options: WatchOptions): Promise<void> {
  const { done = [], butNot, signal } = options;
  const { timeline, hits } = film;
  const left = piecesOf(timeline, hits).filter(
    ({ from }) => !done.some((one) => from >= one.from && from < one.from + one.frames),
  );
  if (left.length === 0) return;
  let near = butNot ? undefined : await whereStriking(film, signal);
  const taskOf = (piece: FilmPiece): PoseTask => ({ ...taskIn(film, piece), butNot: butNot?.(piece), near });
  await followPieces(
    left,
    taskOf,
    { ...options, before: timeline.length - framesIn(left), frames: timeline.length },
    (last) => (near ??= last),
  );
}

interface FollowOptions extends Pick<WatchOptions, 'onPiece' | 'progress' | 'signal'> {
  /** So many frames were looked at before, and so many are to be in the end. */
  before: number;
  frames: number;
}

/** Follows a body through pieces of a film, several at a time. @param onLast gets where it was last in a piece */
export async function followPieces(
  pieces: readonly FilmPiece[],
  taskOf: (piece: FilmPiece) => PoseTask,
  { before: lookedAt, frames: all, onPiece, progress, signal }: FollowOptions,
  onLast?: (near: Place | undefined) => void,
): Promise<void> {
  const run = inThread(signal);
  const left = [...pieces];
  let looked = lookedAt;
  const lane = async (): Promise<void> => {
    for (let piece = left.shift(); piece; piece = left.shift()) {
      const { port1: told, port2: heard } = new MessageChannel();
      let before = 0;
      heard.on('message', (frames: number) => {
        looked += frames - before;
        before = frames;
        progress?.(looked / all);
      });
      const following = run<{ packed: Uint8Array; near: Place | undefined }>('followBody', { ...taskOf(piece), told });
      const { packed, near: last } = await following.finally(() => heard.close());
      onLast?.(last);
      await onPiece(piece.from, piece.frames, packed);
    }
  };
  // Where one lane ends in a failure, the others end with the piece that they are at.
  const ends = await Promise.allSettled(
    Array.from({ length: threads.maxThreads }, () =>
      lane().catch((error: unknown) => {
        left.length = 0;
        throw error;
      }),
    ),
  );
  for (const end of ends) if (end.status === 'rejected') throw end.reason;
}

/** The other one in the picture, where somebody was followed: see `butNot`. */
export const besides =
  (track: Track) =>
  ({ from, frames }: FilmPiece): Uint8Array =>
    packTrack(pieceOfTrack(track, from, frames));

/** The points of a film as a whole. */
export async function pointsOfFilm(film: FilmToWatch, options: Omit<WatchOptions, 'onPiece'> = {}): Promise<Track[]> {
  const pieces: Track[] = [];
  await watchFilm(film, {
    ...options,
    onPiece: (from, _frames, packed) => Promise.resolve(void pieces.push(unpackTrack(from, packed))),
  });
  return pieces;
}
