import { mean, median } from 'd3-array';
import type { Ms, Ratio } from '../units.ts';

/** How a speed bag was worked. */
export interface SpeedBagBeat {
  /** Median time from beat to beat. */
  beat: Ms;
  /** Mean departure of the beats from it, as a share of it: 0 is a machine. */
  unevenness: Ratio;
  /** Beats that are not there. */
  missed: number;
  /** Times after which a beat is missing. */
  gaps: Ms[];
}

/** Beats further apart than this many are a pause, not a miss. */
const longestGap = 4;

/** @param times of beats, in order; undefined below five of them. */
export function speedBagBeat(times: readonly Ms[]): SpeedBagBeat | undefined {
  if (times.length < 5) return undefined;
  const intervals = times.slice(1).map((time, place) => time - times[place]!);
  const beat = median(intervals)!;
  const gaps: Ms[] = [];
  const departures: number[] = [];
  let missed = 0;
  intervals.forEach((interval, place) => {
    const beats = Math.max(1, Math.round(interval / beat));
    if (beats > longestGap) return;
    departures.push(Math.abs(interval / beats - beat) / beat);
    if (beats === 1) return;
    missed += beats - 1;
    gaps.push(times[place]!);
  });
  return { beat, unevenness: mean(departures) ?? 0, missed, gaps };
}
