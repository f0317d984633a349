import { quantile } from 'd3-array';
import type { Ms, Ratio } from '../units.ts';
import { isPeak } from '../peaks.ts';
import type { Candidate } from '../sound/hit.ts';
import type { FrameTimeline } from '../film/timeline.ts';

/** The picture is looked at in this many cells across and down. */
export const motionColumns = 16;
/** And in this many down. */
export const motionRows = 9;
const cells = motionColumns * motionRows;

/** Part of the picture, each side a share of its width or height. */
export interface Region {
  left: Ratio;
  top: Ratio;
  width: Ratio;
  height: Ratio;
}
/** Everything that the camera sees. */
export const wholePicture: Region = { left: 0, top: 0, width: 1, height: 1 };

/**
 * How much each cell of a picture differs from the one before: mean absolute difference of brightness, 0 to 255.
 * @param picture brightness, row by row, `width` × `height`, both multiples of the cells
 */
export function movementOf(picture: Uint8Array, before: Uint8Array, width: number, height: number): Uint8Array {
  const grid = new Uint8Array(cells);
  const [across, down] = [width / motionColumns, height / motionRows];
  for (let cell = 0; cell < cells; cell++) {
    const [left, top] = [(cell % motionColumns) * across, Math.floor(cell / motionColumns) * down];
    let sum = 0;
    for (let y = top; y < top + down; y++) {
      for (let x = left; x < left + across; x++) sum += Math.abs(picture[y * width + x]! - before[y * width + x]!);
    }
    grid[cell] = Math.min(255, Math.round((4 * sum) / (across * down)));
  }
  return grid;
}

/** Moments of most movement are at least this far apart. */
const refractory: Ms = 180;
/** A punch is out within this time; movement is smoothed over half of it. */
const smoothing: Ms = 45;

/**
 * Moments at which something moved fastest, for rounds without sound. A strike is fastest shortly before it is furthest out, so
 * a peak is a proposal to look at, no more: prominence never passes 0.8.
 * @param movement frame × cell, as `movementOf` gives them; the first frame has none
 */
export function findMotion(movement: Uint8Array, timeline: FrameTimeline, region: Region = wholePicture): Candidate[] {
  const frames = Math.min(timeline.length, Math.floor(movement.length / cells));
  const inside = Array.from({ length: cells }, (_, cell) => cell).filter((cell) => {
    const x = ((cell % motionColumns) + 0.5) / motionColumns;
    const y = (Math.floor(cell / motionColumns) + 0.5) / motionRows;
    return x >= region.left && x <= region.left + region.width && y >= region.top && y <= region.top + region.height;
  });
  if (inside.length === 0 || frames < 3) return [];
  const speed = new Float64Array(frames);
  for (let frame = 1; frame < frames; frame++) {
    const gap = timeline[frame]! - timeline[frame - 1]!;
    for (const cell of inside) speed[frame]! += movement[frame * cells + cell]! ** 2;
    speed[frame] = Math.sqrt(speed[frame]! / inside.length) / gap;
  }
  const smooth = smoothed(speed, timeline, smoothing);
  const [still, strong] = [quantile(smooth, 0.4)!, quantile(smooth, 0.97)!];
  const order = Array.from({ length: frames }, (_, frame) => frame)
    .filter((frame) => smooth[frame]! > still + 0.02 * (strong - still) && isPeak(smooth, frame))
    .sort((a, b) => smooth[b]! - smooth[a]!);
  const taken: Candidate[] = [];
  for (const frame of order) {
    const time = timeline[frame]!;
    if (taken.some((one) => Math.abs(one.time - time) < refractory)) continue;
    taken.push({ time, prominence: 0.8 * Math.max(0, Math.min(1, (smooth[frame]! - still) / (strong - still + 1e-9))) });
  }
  return taken.sort((a, b) => a.time - b.time);
}

/** Mean over `reach` milliseconds to either side. */
function smoothed(values: Float64Array, timeline: FrameTimeline, reach: Ms): Float64Array {
  const means = new Float64Array(values.length);
  let [first, end, sum] = [0, 0, 0];
  for (let at = 0; at < values.length; at++) {
    while (end < values.length && timeline[end]! <= timeline[at]! + reach) sum += values[end++]!;
    while (timeline[first]! < timeline[at]! - reach) sum -= values[first++]!;
    means[at] = Math.max(0, sum) / (end - first);
  }
  return means;
}
