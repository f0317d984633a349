import type { Ratio } from '../units.ts';
import type { Degrees } from './spread.ts';

/**
 * From where a strike was seen, as far as it matters for how well points are found: across, whether the side that strikes is the one
 * nearer to the camera; along, nothing is behind the body.
 */
export type PlaceSeen = 'near' | 'far' | 'along' | 'quarter';
/** A body that kicks moves otherwise as a whole than one that punches: it has trials of its own. */
export type Seen = PlaceSeen | `leg ${PlaceSeen}`;

/** By which pass of a film: the first goes through all of it, the second once more over strikes, with the largest model. */
export type Pass = 'first' | 'second';

/** How steady a track is read: as it was found, or the more without what points jump from frame to frame, see `steadyTrack`. */
export const steadinesses = ['found', 'steady', 'steadier', 'steadiest'] as const;
export type Steadiness = (typeof steadinesses)[number];

/** A trial as it is kept, see `Trial`. */
export type KeptTrial = readonly [
  ...figures: [bias: number, shared: number, own: number, narrower: Ratio, degrees: Degrees, strikes: number, people: number],
  steadiness: Steadiness,
];
