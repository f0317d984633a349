import type { FrameIndex } from '@wax-fist/core/units';
import type { Direction } from './frame-source.ts';

/** Decoded frames kept on either side of the playhead. */
export const reach = 30;
/** Only when fewer than this many lie ready ahead is more fetched, so that work comes in runs and not frame by frame. */
export const eager = 20;
/** A review copy has a key frame every 15: decoding backwards goes in pieces of this size. */
const piece = 15;

/** Frames from one to the other, both included, decoded in one go. */
export type FrameRun = readonly [from: FrameIndex, to: FrameIndex];

export interface Playhead {
  at: FrameIndex;
  direction: Direction;
  /** Frames of the film. */
  count: number;
  /** Where the playhead will probably go next, the likeliest first; these lie ready wherever they are. */
  likely: readonly FrameIndex[];
  held: (index: FrameIndex) => boolean;
}

/** Whether a decoded frame is kept: near the playhead, or where it will probably go. */
export const isKept = (index: FrameIndex, { at, likely }: Pick<Playhead, 'at' | 'likely'>): boolean =>
  Math.abs(index - at) <= reach || likely.includes(index);

/** Missing frames between two, as runs from the lower to the higher. */
function gaps(from: FrameIndex, to: FrameIndex, held: Playhead['held']): FrameRun[] {
  const runs: FrameRun[] = [];
  for (let index = from; index <= to; index++) {
    if (held(index)) continue;
    const start = index;
    while (index < to && !held(index + 1)) index++;
    runs.push([start, index]);
  }
  return runs;
}

/**
 * What to decode, in order: the wanted frame, those that are likely wanted next, then ahead in the direction of travel, then
 * behind. Empty when enough lies ready.
 */
export function fetchPlan({ at, direction, count, likely, held }: Playhead): FrameRun[] {
  const low = Math.max(0, at - reach);
  const high = Math.min(count - 1, at + reach);
  const edge = direction === 1 ? Math.min(high, at + eager) : Math.max(low, at - eager);
  const ready = direction === 1 ? gaps(at, edge, held).length === 0 : gaps(edge, at, held).length === 0;
  const far = likely.filter((index) => !held(index) && (index < low || index > high));
  if (ready && far.length === 0) return [];
  const wanted = [...(held(at) ? [] : [at]), ...new Set(far)].map((index): FrameRun => [index, index]);
  const after = gaps(at + 1, high, held);
  const before: FrameRun[] = [];
  for (let top = at - 1; top >= low; top -= piece) before.push(...gaps(Math.max(low, top - piece + 1), top, held).reverse());
  return [...wanted, ...(direction === 1 ? [...after, ...before] : [...before, ...after])];
}
