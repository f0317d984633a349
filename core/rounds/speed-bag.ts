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
/** Fewer beats say nothing. */
const fewestBeats = 5;
/** No hand is faster. */
const shortestBeat: Ms = 60;
/** What each missing beat costs against the departures that it explains: a slow, even beat is believed before a fast one with holes. */
const missingCosts = 0.12;

/** Times of beats, each once: a bag that rattles is heard twice. */
function once(times: readonly Ms[], apart: Ms): Ms[] {
  const beats: Ms[] = [];
  for (const time of times) if (beats.length === 0 || time - beats.at(-1)! >= apart) beats.push(time);
  return beats;
}
const intervalsOf = (times: readonly Ms[]): Ms[] => times.slice(1).map((time, place) => time - times[place]!);
const beatsIn = (interval: Ms, beat: Ms): number => Math.max(1, Math.round(interval / beat));

/** How badly a beat explains the intervals: mean departure, as a share of the beat, and what is missing. */
function misfit(intervals: readonly Ms[], beat: Ms): number {
  const near = intervals.filter((interval) => beatsIn(interval, beat) <= longestGap);
  // An interval shorter than half a beat is a beat heard twice, and is left out later.
  const departures = near.map((interval) => Math.min(0.5, Math.abs(interval / beatsIn(interval, beat) - beat) / beat));
  const missing = near.map((interval) => beatsIn(interval, beat) - 1);
  // What is too long for this beat is a pause: few are believed.
  const pauses = (intervals.length - near.length) / intervals.length;
  return near.length === 0 ? Infinity : mean(departures)! + missingCosts * mean(missing)! + pauses;
}

/** @param times of beats, in order; undefined below five of them. */
export function speedBagBeat(times: readonly Ms[]): SpeedBagBeat | undefined {
  const heard = once(times, shortestBeat);
  if (heard.length < fewestBeats) return undefined;
  const candidates = [...new Set(intervalsOf(heard).flatMap((interval) => [interval, interval / 2, interval / 3]))].filter(
    (beat) => beat >= shortestBeat,
  );
  const guess = candidates.reduce((best, beat) =>
    misfit(intervalsOf(heard), beat) < misfit(intervalsOf(heard), best) ? beat : best,
  );
  const beats = once(heard, guess / 2);
  if (beats.length < fewestBeats) return undefined;
  const intervals = intervalsOf(beats);
  const inTime = intervals.filter((interval) => beatsIn(interval, guess) <= longestGap);
  const beat = median(inTime, (interval) => interval / beatsIn(interval, guess))!;
  const missing = intervals.map((interval) => beatsIn(interval, beat) - 1);
  const isGap = (_: Ms, place: number): boolean => missing[place]! > 0 && missing[place]! < longestGap;
  return {
    beat,
    unevenness: mean(inTime, (interval) => Math.abs(interval / beatsIn(interval, beat) - beat) / beat)!,
    missed: missing.filter((count) => count < longestGap).reduce((total, count) => total + count, 0),
    gaps: beats.slice(0, -1).filter(isGap),
  };
}
