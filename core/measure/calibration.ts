import type { CheckpointId, Technique } from '../technique/index.ts';
import type { Ratio } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import type { MeasuredValue } from './measured.ts';
import { secondTrials } from './second-trials.ts';
import type { Pass, PlaceSeen, Seen, Steadiness } from './seen.ts';
import { sidesOf, type Sight } from './sight.ts';
import type { Degrees } from './spread.ts';
import { trials } from './trials.ts';

function placeSeen({ view, near, striking }: Pick<Sight, 'view' | 'near' | 'striking'>): PlaceSeen {
  if (view === 'quarter') return 'quarter';
  if (near === undefined) return 'along';
  return near === striking ? 'near' : 'far';
}
/** By which trials a strike is measured. */
export const seenFrom = (sight: Pick<Sight, 'view' | 'near' | 'striking' | 'byLeg'>): Seen =>
  sight.byLeg ? `leg ${placeSeen(sight)}` : placeSeen(sight);

/** The same of the pass that tells most, once both are made. */
export const bestTrialOf = (checkpoint: CheckpointId, seen: Seen): ReadTrial | undefined =>
  trialOf(checkpoint, seen, 'second') ?? trialOf(checkpoint, seen);

/** Whether a second pass tells more than the first of anything that is seen from there. */
export const secondPassTells = (seen: Seen): boolean => Object.values(secondTrials).some((bySeen) => seen in bySeen);
/** The same of a technique as a film shows it. */
export const secondPassTellsOf = (
  { view, stance }: Pick<FollowedFilm, 'view' | 'stance'>,
  technique: Pick<Technique, 'side' | 'kind'>,
): boolean => secondPassTells(seenFrom(sidesOf(view, stance, technique)));

/** How a measure came out in trials whose truth was known: by how much it is off on the average, and how far it then spreads. */
export interface Errors {
  bias: number;
  /** Spread from person to person: what all strikes of one film are off by together, so that many of them say no more than one. */
  shared: number;
  /** Spread from strike to strike of one person. */
  own: number;
  /** How much of what these spreads and shaking make together is doubted: few that are far off make a spread wide. */
  narrower: Ratio;
  /** How far off these few are. */
  degrees: Degrees;
}
export interface Trial extends Errors {
  /** On how many strikes of how many people it was tried. */
  strikes: number;
  people: number;
}
/** A trial of one reading: by which track it was read. */
export interface ReadTrial extends Trial {
  steadiness: Steadiness;
}
/**
 * What trials say of a measure from where a strike was seen; undefined where it was not tried enough, and of a second pass where that
 * tells no more than the first.
 */
export function trialOf(checkpoint: CheckpointId, seen: Seen, pass: Pass = 'first'): ReadTrial | undefined {
  const told = { first: trials, second: secondTrials }[pass][checkpoint]?.[seen];
  if (!told) return undefined;
  const [bias, shared, own, narrower, degrees, strikes, people, steadiness] = told;
  return { bias, shared, own, narrower, degrees, strikes, people, steadiness };
}

/** A measure as trials correct it. @param wider how much more is doubted than they say */
export function correctedBy(
  { bias, shared, own, narrower, degrees }: Errors,
  { value, doubt }: { value: number; doubt: number },
  wider: number,
): MeasuredValue {
  const times = wider * narrower;
  return { value: value - bias, doubt: times * Math.hypot(doubt, shared, own), shared: times * shared, degrees };
}
/** What is doubted of a measure that shaking leaves as it is. */
export const doubtOfTrial = (trial: Errors, wider: number): number => correctedBy(trial, { value: 0, doubt: 0 }, wider).doubt;
