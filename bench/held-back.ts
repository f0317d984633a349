import {
  correctedBy,
  farOff,
  proposalFor,
  steadinesses,
  trialFrom,
  usualTail,
  widerThanTrials,
  type Degrees,
  type MeasuredValue,
  type Trial,
} from '@wax-fist/core/measure';
import { pastClean, verdictIn, type Band } from '@wax-fist/core/technique';
import { group as groupBy, mean } from 'd3-array';
import { grouped, type Shape, type Told } from './told.ts';

export function trialFor(group: readonly Told[]): Trial | undefined {
  if (!group[0]) return undefined;
  const { tails, narrowed } = group[0].shape;
  const errors = group.map(({ person, raw, truth }) => ({ person, error: raw.value - truth, doubt: raw.doubt }));
  const trial = trialFrom(errors, tails);
  return trial && { ...trial, narrower: trial.narrower ** narrowed };
}

/**
 * So many strikes at the least have to be faulty, and so many clean: a model that has seen mostly ordinary bodies makes up what is
 * ordinary, and of what nobody does wrong that looks like measuring.
 */
const leastOfEach = 2;
/**
 * How well faulty and clean strikes part by what was measured: 1 wholly, 0.5 not at all. Where too few are faulty, those that are one to
 * watch count with them; undefined where these are too few as well.
 */
export function partedBy(group: readonly Told[], values: readonly number[]): number | undefined {
  const of = (...verdicts: readonly string[]): number[] =>
    group.flatMap(({ band, truth }, place) =>
      band && verdicts.includes(verdictIn(band, truth)) ? [pastClean(band, values[place]!)] : [],
    );
  const [fault, clean] = [of('fault'), of('clean')];
  const amiss = fault.length >= leastOfEach ? fault : of('watch', 'fault');
  if (Math.min(amiss.length, clean.length) < leastOfEach) return undefined;
  return mean(amiss.flatMap((one) => clean.map((other): number => (one > other ? 1 : one === other ? 0.5 : 0))))!;
}
/** Remembers what was worked out of a group, which is asked for over and over where readings are held against each other. */
function remembered<Of>(workOut: (group: readonly Told[]) => Of): (group: readonly Told[]) => Of {
  const known = new WeakMap<readonly Told[], { of: Of }>();
  return (group) => {
    const before = known.get(group) ?? { of: workOut(group) };
    known.set(group, before);
    return before.of;
  };
}
/** Each person's strikes, measured by what the trials of all others say. */
export const heldBack = remembered((group): (Told & { measured: MeasuredValue })[] =>
  [...groupBy(group, ({ person }) => person)].flatMap(([person, theirs]) => {
    const trial = trialFor(group.filter((one) => one.person !== person));
    return trial ? theirs.map((one) => ({ ...one, measured: correctedBy(trial, one.raw, 1) })) : [];
  }),
);
/** Verdicts that the bench would propose, and whether they would be right. */
export const proposalsOf = (told: ReturnType<typeof heldBack>): boolean[] =>
  told.flatMap(({ band, measured, truth }) => {
    const verdict = band && proposalFor(band, { ...measured, doubt: measured.doubt * widerThanTrials })?.verdict;
    return verdict ? [verdict === verdictIn(band, truth)] : [];
  });
/** Each person counts once, however many of their strikes there are: it is people that a trial speaks of. */
export const within = (told: ReturnType<typeof heldBack>, times: (degrees: Degrees) => number): number | undefined =>
  mean([...groupBy(told, ({ person }) => person).values()], (list) =>
    mean(list, ({ measured, truth }) => Number(Math.abs(measured.value - truth) <= times(measured.degrees) * measured.doubt)),
  );
export const oneDoubt = (): number => 1;
const rightOf = (proposals: readonly boolean[]): number | undefined => mean(proposals, (right) => Number(right));

/** On fewer people nothing could be held back and checked. */
const leastPeople = 4;
/** What a measure has to keep on people that no trial has seen; else it says that it cannot tell. */
const [leastWithin, leastWithinDoubt, leastRight, leastParted, mostOfBand] = [0.9, 0.6, 0.95, 0.85, 0.9];

/** Why the trials of a measure are not shipped; undefined when they are. */
export const notToBeTrusted = remembered((group): string | undefined => {
  if (new Set(group.map(({ person }) => person)).size < leastPeople || !trialFor(group)) return 'too few were tried';
  const told = heldBack(group);
  if ((within(told, farOff) ?? 0) < leastWithin || (within(told, oneDoubt) ?? 0) < leastWithinDoubt)
    return 'its doubt does not hold for others';
  if ((rightOf(proposalsOf(told)) ?? 1) < leastRight) return 'too many proposals are wrong';
  const parted = partedBy(told, valuesOf(told));
  if (parted === undefined) return 'too few were amiss, or clean';
  if (parted < leastParted) return 'it hardly parts faulty from clean';
  const widths = told.flatMap(({ band }) => (band ? [widthOf(band)] : []));
  const doubt = mean(told, ({ measured }) => measured.doubt)!;
  return widths.length > 0 && doubt > mostOfBand * mean(widths)! ? 'its doubt is as wide as its band' : undefined;
});
/** Whether the trials of a measure are shipped. */
export const isTrusted = (group: readonly Told[]): boolean => !notToBeTrusted(group);
export const valuesOf = (told: ReturnType<typeof heldBack>): number[] => told.map(({ measured }) => measured.value);
/** From where it is a fault to where it is one again; of a band with one end, twice the way from clean to there. */
const widthOf = ({ clean, watch: [from, to] }: Band): number =>
  from !== null && to !== null ? to - from : 2 * Math.abs(from === null ? to! - clean[1]! : from - clean[0]!);

/** A steadier track, or a second pass, has to tell so much more: its doubt is that share of what is left without. */
const worthwhile = 0.9;
const doubtOf = (group: readonly Told[]): number => mean(heldBack(group), ({ measured }) => measured.doubt) ?? Infinity;
/** Whether a row told so is worth it: it keeps what it claims, and the other one does not, or tells less. */
export const tellsMore = (group: readonly Told[], than: readonly Told[]): boolean =>
  isTrusted(group) && (!isTrusted(than) || doubtOf(group) <= worthwhile * doubtOf(than));
/** Of each row the reading that tells most and keeps what it claims. */
export const steadilyRead = (all: readonly Told[]): Told[] => [...grouped(all).values()].flatMap(bestReading);
/**
 * Where too many proposals about the few that are far off are wrong, or their own tail does not hold for others, they have the usual
 * one, and then less is taken of what makes the doubt narrower.
 */
const shapes: readonly Shape[] = [1, 2 / 3, 1 / 3, 0].map((narrowed) => ({ tails: [usualTail], narrowed }));
export function bestReading(group: readonly Told[]): Told[] {
  const whole = steadiestOf(group);
  if (isTrusted(whole)) return whole;
  for (const shape of shapes) {
    const reading = steadiestOf(group.map((one) => ({ ...one, shape })));
    if (isTrusted(reading)) return reading;
  }
  return whole;
}
function steadiestOf(group: readonly Told[]): Told[] {
  const [found, ...others] = steadinesses.map((one) => group.filter(({ steadiness }) => steadiness === one)) as [
    Told[],
    ...Told[][],
  ];
  return others.reduce((best, other) => (tellsMore(other, best) ? other : best), found);
}
