import studentQuantile from '@stdlib/stats-base-dists-t-quantile';
import { group, mean, sum, variance } from 'd3-array';
import type { Ratio } from '../units.ts';
import type { Trial } from './calibration.ts';
import { farOff, tails, withinDoubt, type Degrees } from './spread.ts';

/** On fewer nothing is known of a measure, and it tells nothing: people are built differently, and cameras stand elsewhere. */
const [leastStrikes, leastPeople] = [16, 3];

/** One strike of a trial: how far off the measure was, what shaking made of it, and whose it was. */
export interface TrialStrike {
  person: string;
  error: number;
  doubt: number;
}

/** What is summed up of one person's strikes. */
interface Person {
  strikes: readonly TrialStrike[];
  /** Of the errors. */
  mean: number;
  /** Of how far errors are from their mean, squared and added up. */
  squares: number;
  /** Of what shaking made of them, squared and added up. */
  shaken: number;
}
const personOf = (strikes: readonly TrialStrike[]): Person => {
  const middle = mean(strikes, ({ error }) => error)!;
  return {
    ...{ strikes, mean: middle },
    squares: sum(strikes, ({ error }) => (error - middle) ** 2),
    shaken: sum(strikes, ({ doubt }) => doubt ** 2),
  };
};

/**
 * What a trial says of somebody who was not in it: the average of what each of its people is off by, the spread of these (wider by
 * what an average of few is off itself, and by as much as Student's t of as many is wider than normal), that of one person's strikes,
 * how much narrower most are and how far off the others. What shaking says already is not counted twice. Undefined when too few were
 * tried.
 * @param among tails that it may have, the shortest first
 */
export function trialFrom(strikes: readonly TrialStrike[], among: readonly Degrees[] = tails): Trial | undefined {
  const people = [...group(strikes, ({ person }) => person).values()].map(personOf);
  const spread = spreadOf(people);
  return spread && { ...spread, ...shapeOf(people, among), strikes: strikes.length, people: people.length };
}

type Spread = Pick<Trial, 'bias' | 'shared' | 'own'>;
function spreadOf(people: readonly Person[]): Spread | undefined {
  const count = sum(people, ({ strikes }) => strikes.length);
  if (count < leastStrikes || people.length < leastPeople) return undefined;
  const means = people.map((person) => person.mean);
  const within = sum(people, ({ squares }) => squares) / (count - people.length);
  const shaken = sum(people, (person) => person.shaken) / count;
  const few = studentQuantile(oneSided, people.length - 1) / normalQuantile;
  const between = variance(means)! * (1 + 1 / people.length) * few ** 2;
  return { bias: mean(means)!, shared: Math.sqrt(between), own: Math.sqrt(Math.max(0, within - shaken)) };
}
/** The end of the middle 95% of a spread. */
const oneSided = 0.975;
const normalQuantile = 1.96;

/** So many of the people held back have to lie within `farOff` doubts: nine of ten, and a little more as they are few. */
const leastWithin: Ratio = 0.91;
/**
 * How much of what deviations say has to be doubted for as many truths of each person, measured by what all others say, to lie within
 * the doubt as are to: a few that are far off make a deviation wide, and all else is nearer. Each person counts once; drawn towards the
 * deviation as if half a person more had been tried who is off by as much as it says. Never more than it says. The tail is the shortest that
 * reaches those that are far off; where none does, the doubt is wider.
 */
function shapeOf(people: readonly Person[], among: readonly Degrees[]): Pick<Trial, 'narrower' | 'degrees'> {
  const offs = people.flatMap((person) => {
    const others = spreadOf(people.filter((one) => one !== person));
    if (!others) return [];
    const { bias, shared, own } = others;
    const weight = 1 / person.strikes.length;
    return person.strikes.map(({ error, doubt }) => ({ weight, off: Math.abs(error - bias) / Math.hypot(doubt, shared, own) }));
  });
  if (offs.length === 0) return { narrower: 1, degrees: among[0]! };
  offs.sort((one, other) => one.off - other.off);
  const drawn = (enough: number): Ratio => Math.min(1, enough ** (people.length / (people.length + halfOne)));
  const near = drawn(offWithin(offs, withinDoubt));
  const needed = (degrees: Degrees): Ratio => drawn(offWithin(offs, leastWithin) / farOff(degrees));
  const degrees = among.find((one) => needed(one) <= near) ?? among.at(-1)!;
  return { narrower: Math.max(near, needed(degrees)), degrees };
}
/** Of what people are drawn towards, in people. */
const halfOne = 0.5;
/** Within what the share of them lies. @param offs the least first */
function offWithin(offs: readonly { weight: number; off: number }[], share: Ratio): number {
  let left = share * sum(offs, ({ weight }) => weight);
  return (offs.find(({ weight }) => (left -= weight) <= 0) ?? offs.at(-1)!).off;
}
