import { gapAt, timeOf, type FrameTimeline } from '@wax-fist/core/film';
import type { FrameIndex, Ms } from '@wax-fist/core/units';

/** When a frame is shown by the film's own clock, half of a gap sooner, so that rounding leaves the frame itself in. */
export const justBefore = ({ timeline, firstFrameAt }: { timeline: FrameTimeline; firstFrameAt: Ms }, frame: FrameIndex): Ms =>
  firstFrameAt + timeOf(timeline, frame) - gapAt(timeline, Math.max(0, frame - 1)) / 2;
