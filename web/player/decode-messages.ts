import type { FrameIndex } from '@wax-fist/core/units';
import type { PlayableFilm } from './frame-source.ts';
import type { FrameRun } from './window-plan.ts';

export interface WantedStill {
  ticket: number;
  index: FrameIndex;
  height: number;
}

export type ToDecoder =
  | { kind: 'open'; film: PlayableFilm }
  /** Replaces any earlier fetch that is not done. */
  | { kind: 'fetch'; runs: FrameRun[] }
  | ({ kind: 'still' } & WantedStill)
  | { kind: 'forget'; ticket: number };

export type FromDecoder =
  | { kind: 'frame'; index: FrameIndex; frame: VideoFrame }
  | { kind: 'still'; ticket: number; still: ImageBitmap }
  | { kind: 'failed'; reason: string };
