import studentQuantile from '@stdlib/stats-base-dists-t-quantile';
import { group, mean, sum, variance } from 'd3-array';
import type { CheckpointId } from '../technique/index.ts';
import type { MeasuredValue } from './measured.ts';
import { secondTrials } from './second-trials.ts';
import type { Pass, PlaceSeen, Seen, Steadiness } from './seen.ts';
import type { Sight } from './sight.ts';
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

/** How a measure came out in trials whose truth was known: by how much it is off on the average, and how far it then spreads. */
export interface Errors {
  bias: number;
  /** Spread from person to person: what all strikes of one film are off by together, so that many of them say no more than one. */
  shared: number;
  /** Spread from strike to strike of one person. */
  own: number;
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
/** On fewer nothing is known of a measure, and it tells nothing: people are built differently, and cameras stand elsewhere. */
const [leastStrikes, leastPeople] = [16, 3];

/** One strike of a trial: how far off the measure was, what shaking made of it, and whose it was. */
export interface TrialStrike {
  person: string;
  error: number;
  doubt: number;
}

/**
 * What a trial says of somebody who was not in it: the average of what each of its people is off by, the spread of these (wider by
 * what an average of few is off itself, and by as much as Student's t of as many is wider than normal), and that of one person's
 * strikes. What shaking says already is not counted twice. Undefined when too few were tried.
 */
export function trialFrom(strikes: readonly TrialStrike[]): Trial | undefined {
  const byPerson = [...group(strikes, ({ person }) => person).values()];
  const people = byPerson.length;
  if (strikes.length < leastStrikes || people < leastPeople) return undefined;
  const means = byPerson.map((list) => mean(list, ({ error }) => error)!);
  const bias = mean(means)!;
  const within =
    sum(byPerson, (list) => sum(list, ({ error }) => (error - mean(list, (one) => one.error)!) ** 2)) / (strikes.length - people);
  const shaken = mean(strikes, ({ doubt }) => doubt ** 2)!;
  const few = studentQuantile(oneSided, people - 1) / normalQuantile;
  const between = variance(means)! * (1 + 1 / people) * few ** 2;
  const [shared, own] = [Math.sqrt(between), Math.sqrt(Math.max(0, within - shaken))];
  return { bias, shared, own, strikes: strikes.length, people };
}
/** The end of the middle 95% of a spread. */
const oneSided = 0.975;
const normalQuantile = 1.96;

/**
 * What trials say of a measure from where a strike was seen; undefined where it was not tried enough, and of a second pass where that
 * tells no more than the first.
 */
export function trialOf(checkpoint: CheckpointId, seen: Seen, pass: Pass = 'first'): ReadTrial | undefined {
  const told = { first: trials, second: secondTrials }[pass][checkpoint]?.[seen];
  if (!told) return undefined;
  const [bias, shared, own, strikes, people, steadiness] = told;
  return { bias, shared, own, strikes, people, steadiness };
}

/** A measure as trials correct it. @param wider how much more is doubted than they say */
export const correctedBy = (
  { bias, shared, own }: Errors,
  { value, doubt }: { value: number; doubt: number },
  wider: number,
): MeasuredValue => ({ value: value - bias, doubt: wider * Math.hypot(doubt, shared, own), shared: wider * shared });
