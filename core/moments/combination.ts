import type { Ms } from '../units.ts';
import { timeOf, type FrameTimeline } from './timeline.ts';
import type { StrikeMoments } from './strike-moments.ts';

/** The next strike of a combination is on its way before this long has passed since the last one came home. */
export const combinationGap: Ms = 350;

/** Strikes, in order of contact, grouped into what was thrown in one go. A single strike is a group of one. */
export function combinationsOf<T extends StrikeMoments>(timeline: FrameTimeline, strikes: readonly T[]): T[][] {
  const groups: T[][] = [];
  for (const strike of strikes) {
    const group = groups.at(-1);
    const last = group?.at(-1);
    const pause = last ? timeOf(timeline, strike.launchFrame) - timeOf(timeline, last.homeFrame) : Infinity;
    if (group && pause < combinationGap) group.push(strike);
    else groups.push([strike]);
  }
  return groups;
}
