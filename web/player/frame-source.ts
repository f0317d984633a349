import type { FrameIndex, Ms } from '@wax-fist/core/units';

/** A film as the player needs it: where it lies, and the true time of each of its frames. */
export interface PlayableFilm {
  url: string;
  /** Milliseconds from the first frame, one for every frame. */
  timeline: Float64Array;
  /** When the first frame is shown in the file's own time. */
  firstFrameAt: Ms;
}

/** The picture of one frame. Its image is good until the next request; draw it at once. */
export interface Picture {
  index: FrameIndex;
  image: CanvasImageSource;
  width: number;
  height: number;
}

/** 1 towards the end of the film, −1 towards its beginning. */
export type Direction = 1 | -1;

/** Gives pictures by frame number. What is asked for is what comes, or an error; never its neighbour. */
export interface FrameSource {
  /** Resolves with undefined when a later request has made this one needless. */
  frame: (index: FrameIndex, direction: Direction) => Promise<Picture | undefined>;
  /** Frames that will probably be asked for next, the likeliest first; a source that can has them ready. */
  expect: (frames: readonly FrameIndex[]) => void;
  /** A small copy of a frame, `height` pixels high. The caller closes it. Once aborted it may never come. */
  still: (index: FrameIndex, height: number, signal: AbortSignal) => Promise<ImageBitmap>;
  close: () => void;
}

export class WrongFrame extends Error {}

/** How far beyond a frame's own time one has to ask to be sure of it: rounding must not give the frame before. */
export const askTime = ({ timeline, firstFrameAt }: PlayableFilm, index: FrameIndex, grace: Ms): Ms => {
  const gap = (timeline[index + 1] ?? Infinity) - timeline[index]!;
  return firstFrameAt + timeline[index]! + Math.min(grace, gap / 2);
};
