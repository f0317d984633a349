import type { FrameIndex, Ms } from '../units.ts';

/**
 * The true presentation time of every frame of a film, in milliseconds from its first frame, strictly rising.
 * Phones record at a varying rate, so a frame is always found here and never by time × rate.
 */
export type FrameTimeline = Float64Array;

/** @throws RangeError when there is no frame or the times do not rise. */
export function timelineOf(times: ArrayLike<number>): FrameTimeline {
  if (times.length === 0) throw new RangeError('A film without frames has no timeline.');
  const timeline = Float64Array.from(times);
  for (let index = 1; index < timeline.length; index++) {
    if (!(timeline[index]! > timeline[index - 1]!)) {
      throw new RangeError(`The time of frame ${index} does not come after the one before it.`);
    }
  }
  return timeline;
}

/** Little-endian doubles, eight bytes a frame. */
export function packTimeline(timeline: FrameTimeline): Uint8Array {
  const bytes = new DataView(new ArrayBuffer(timeline.length * 8));
  timeline.forEach((time, index) => bytes.setFloat64(index * 8, time, true));
  return new Uint8Array(bytes.buffer);
}

/** @throws RangeError when the bytes are not a whole number of frames. */
export function unpackTimeline(packed: Uint8Array): FrameTimeline {
  if (packed.byteLength % 8 !== 0) throw new RangeError('These bytes are not a frame timeline.');
  const bytes = new DataView(packed.buffer, packed.byteOffset, packed.byteLength);
  return timelineOf(Array.from({ length: packed.byteLength / 8 }, (_, index) => bytes.getFloat64(index * 8, true)));
}

/** The nearest frame that the film has. */
export const clampFrame = (timeline: FrameTimeline, frame: number): FrameIndex =>
  Math.max(0, Math.min(timeline.length - 1, Math.round(frame)));

/** When a frame is shown, in milliseconds from the first. A frame beyond the film counts as its last. */
export const timeOf = (timeline: FrameTimeline, frame: FrameIndex): Ms => timeline[clampFrame(timeline, frame)]!;

/** The last frame whose time is not after `time`, exactly; the first where there is none. */
export function lastNotAfter(timeline: FrameTimeline, time: Ms): FrameIndex {
  let low = 0;
  let high = timeline.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (timeline[middle]! <= time) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The frame on show at `time`: the last whose time is not after it (with half a millisecond of grace). */
export const frameAt = (timeline: FrameTimeline, time: Ms): FrameIndex => lastNotAfter(timeline, time + 0.5);

/** The frame that was taken nearest to `time`; of two as near, the earlier. */
export function frameNearest(timeline: FrameTimeline, time: Ms): FrameIndex {
  const before = lastNotAfter(timeline, time);
  const after = Math.min(before + 1, timeline.length - 1);
  return Math.abs(timeline[after]! - time) < Math.abs(timeline[before]! - time) ? after : before;
}

/** How long a frame stays on show; the last one as long as the one before it. */
export function gapAt(timeline: FrameTimeline, frame: FrameIndex): Ms {
  if (timeline.length === 1) return 0;
  const from = Math.min(clampFrame(timeline, frame), timeline.length - 2);
  return timeline[from + 1]! - timeline[from]!;
}

/** Standard doubt of a duration between two frames: half the local gap at each end, combined. */
export const durationDoubt = (timeline: FrameTimeline, from: FrameIndex, to: FrameIndex): Ms =>
  Math.hypot(gapAt(timeline, from) / 2, gapAt(timeline, to) / 2);
