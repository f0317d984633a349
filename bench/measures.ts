import {
  farOff,
  measuredRate,
  widerThanTrials,
  type KeptTrial,
  type MeasuredRate,
  type Pass,
  type Seen,
  type Steadiness,
} from '@wax-fist/core/measure';
import { verdictIn, type Band } from '@wax-fist/core/technique';
import { deviation, group as groupBy, mean } from 'd3-array';
import { basename } from 'node:path';
import {
  heldBack,
  notToBeTrusted,
  oneDoubt,
  partedBy,
  proposalsOf,
  steadilyRead,
  trialFor,
  valuesOf,
  within,
} from './held-back.ts';
import { everyReading, grouped, shippedReading, type Told } from './told.ts';

const rounded = (value: number): number => Number(value.toPrecision(3));

/** What is shipped: the trials of all people, of measures that keep what they claim. */
export function trialsOf(list: readonly Told[]): Record<string, Partial<Record<Seen, KeptTrial>>> {
  const trials: Record<string, Partial<Record<Seen, KeptTrial>>> = {};
  for (const group of grouped(list).values()) {
    const trial = notToBeTrusted(group) ? undefined : trialFor(group);
    if (!trial) continue;
    const { checkpoint, seen, steadiness } = group[0]!;
    const { bias, shared, own, narrower, degrees, strikes, people } = trial;
    const figures = [bias, shared, own, narrower].map(rounded) as [number, number, number, number];
    (trials[checkpoint] ??= {})[seen] = [...figures, degrees, strikes, people, steadiness];
  }
  return trials;
}

/** What the strikes of one measure from one side come to, each person judged by the trials of all others. */
export interface Figure {
  checkpoint: string;
  seen: Seen;
  steadiness: Steadiness;
  strikes: number;
  /** By how much it would be off without trials. */
  naive: number;
  bias: number | undefined;
  spread: number | undefined;
  doubt: number | undefined;
  within68: number | undefined;
  within95: number | undefined;
  /** How well faulty and clean strikes part. */
  parted: number | undefined;
  proposals: number;
  right: number;
  /** Why it is not told; undefined when it is. */
  why: string | undefined;
  /** Whether it is told, and parts nearly all faulty from clean strikes or is off by little of what is one to watch. */
  ofUse: boolean;
}

/** The rate of one film by measures alone, each person by the trials of the others, and what is true of it. */
export interface RateOfFilm {
  checkpoint: string;
  seen: Seen;
  film: string;
  strikes: number;
  truth: number;
  told: MeasuredRate;
}
/** Fewer strikes of a film say nothing about a rate. */
const leastOfFilm = 8;
const weightOf = { clean: 0, watch: 0.5, fault: 1 };
/** Rates of all films by the measures that are told. */
export const ratesOf = (all: readonly Told[]): RateOfFilm[] =>
  [...grouped(all).values()]
    .filter((group) => !notToBeTrusted(group))
    .flatMap((group) => [...groupBy(heldBack(group), ({ film, band }) => `${film} ${JSON.stringify(band)}`).values()])
    .flatMap((list) => {
      const { band, checkpoint, seen, film } = list[0]!;
      if (!band || list.length < leastOfFilm) return [];
      const truth = mean(list, (one) => weightOf[verdictIn(band, one.truth)])!;
      const told = measuredRate(
        band,
        list.map(({ measured: { value, doubt, shared, degrees } }) => ({
          ...{ value, degrees, doubt: doubt * widerThanTrials, shared: shared * widerThanTrials },
        })),
      );
      return told ? [{ checkpoint, seen, film: basename(film), strikes: list.length, truth, told }] : [];
    });

/** Whether the interval has the true rate, to two points: no interval of a few strikes begins at nothing. */
export const isHeld = ({ truth, told: { low, high } }: RateOfFilm): boolean => truth >= low - 0.02 && truth <= high + 0.02;

/** What is told of all strikes, each row read as steadily as tells most. */
export const everyStrike = (pass: Pass): Told[] => steadilyRead(everyReading(pass));
/** The same, each row as it ships. */
export const asShipped = (pass: Pass): Told[] => steadilyRead(shippedReading(pass));

const [nearlyAll, little] = [0.95, 1 / 3];
/** From where it is clean no longer to where it is a fault, at the nearer end. */
const widthToWatch = ({ clean, watch }: Band): number => Math.min(apart(clean[0], watch[0]), apart(clean[1], watch[1]));
const apart = (one: number | null, other: number | null): number =>
  one === null || other === null ? Infinity : Math.abs(one - other);
const isOfUse = (group: readonly Told[], parted: number | undefined, spread: number | undefined): boolean =>
  (parted ?? 0) >= nearlyAll ||
  (spread ?? Infinity) <= little * (mean(group, ({ band }) => (band ? widthToWatch(band) : undefined)) ?? 0);
/** Checkpoints that are of use from some of these places. */
export const ofUseFrom = (figures: readonly Figure[], isThere: (seen: Seen) => boolean): string[] => [
  ...new Set(figures.flatMap(({ ofUse, seen, checkpoint }) => (ofUse && isThere(seen) ? [checkpoint] : []))),
];
/** From the front, from behind and askew, and not across. */
export const isAlong = (seen: Seen): boolean => /along|quarter/.test(seen);

export const figuresOf = (all: readonly Told[]): Figure[] =>
  [...grouped(all).values()].map((group) => {
    const told = heldBack(group);
    const errors = told.map(({ measured, truth }) => measured.value - truth);
    const proposals = proposalsOf(told);
    const { checkpoint, seen, steadiness } = group[0]!;
    const [spread, parted, why] = [deviation(errors), partedBy(told, valuesOf(told)), notToBeTrusted(group)];
    return {
      ...{ checkpoint, seen, steadiness, strikes: group.length },
      naive: mean(group, ({ raw, truth }) => raw.value - truth)!,
      ...{ bias: mean(errors), spread, doubt: mean(told, ({ measured }) => measured.doubt) },
      ...{ within68: within(told, oneDoubt), within95: within(told, farOff) },
      ...{ parted, proposals: proposals.length, right: proposals.filter(Boolean).length },
      ...{ why, ofUse: why === undefined && isOfUse(group, parted, spread) },
    };
  });
