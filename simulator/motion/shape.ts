import type { Seconds } from '@wax-fist/core/units';
/** How much of a change is present at a moment, 0 to 1, as a function of seconds. */
export type Shape = (seconds: Seconds) => number;

const clamped = (value: number): number => Math.max(0, Math.min(1, value));

/** Minimum-jerk rise from 0 to 1 (Flash and Hogan, 1985): how a relaxed limb travels between two places of rest. */
export const minimumJerk = (share: number): number => {
  const u = clamped(share);
  return u * u * u * (10 + u * (6 * u - 15));
};

/** A fist does not come to rest at the bag: it is close to its fastest when it lands. */
export const strikeRise = (share: number): number => {
  const u = clamped(share);
  return 0.35 * u * u * (3 - 2 * u) + 0.65 * Math.pow(u, 2.3);
};

/** What turns a heavy body: as smooth, but later in its swing, so that the hips arrive with the fist. */
export const bodyRise = (share: number): number => minimumJerk(clamped(share) ** 1.5);

/** A hand leaves what it has hit faster than it would leave a place of rest. */
export const snapBack = (share: number): number => minimumJerk(clamped(share) ** 0.72);

/** Up between `start` and `full`, held until `leave`, back to nothing at `end`. */
export const upAndBack =
  (start: number, full: number, leave: number, end: number, rise = minimumJerk, fall = minimumJerk): Shape =>
  (seconds) => {
    if (seconds <= start || seconds >= end) return 0;
    if (seconds < full) return rise((seconds - start) / (full - start));
    return seconds <= leave ? 1 : 1 - fall((seconds - leave) / (end - leave));
  };

/** A single swell with its peak at `peak`. */
export const swell = (start: number, peak: number, end: number): Shape => upAndBack(start, peak, peak, end);
