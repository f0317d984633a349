import {
  correctedBy,
  isNear,
  measurable,
  measuredRate,
  pointMeasures,
  proposalFor,
  rawMeasure,
  readOf,
  seenFrom,
  trialFrom,
  widerThanTrials,
  type FollowedFilm,
  type KeptTrial,
  type MeasuredRate,
  type MeasuredValue,
  type PointMeasure,
  type Seen,
  type Trial,
} from '@wax-fist/core/measure';
import {
  checklistFor,
  isMeasureId,
  measures,
  shippedCatalogue,
  techniqueIn,
  usualSchool,
  verdictIn,
  type Band,
} from '@wax-fist/core/technique';
import { deviation, group as groupBy, mean, sum } from 'd3-array';
import { writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { Truth } from '../simulator/truth/truth.ts';
import { films, followed, personOf, trueMoments } from './followed-films.ts';
import { benchDecided } from './decided.ts';
import { benchMeasuring } from './measuring-speed.ts';
import { benchMoments } from './moments.ts';
import { benchPoints, writePointErrors } from './points.ts';
import { number, percent, printTable } from './table.ts';

/** What one measure said of one strike, and what is true. */
export interface Told {
  checkpoint: string;
  seen: Seen;
  film: string;
  truth: number;
  band: Band | undefined;
  raw: { value: number; doubt: number };
}

/** Of what a strike itself is not judged by, as whoever holds for it. */
function usualBand(checkpoint: string): Band | undefined {
  const measure = shippedCatalogue.checkpoints.get(checkpoint)?.measure ?? '';
  return isMeasureId(measure) ? measures[measure].band : undefined;
}

/** What is told of the strikes of a film. @param spreadOf see `measurable` */
export function* toldOf(
  film: string,
  { scene, truth }: { scene: FollowedFilm; truth: Pick<Truth, 'strikes'> },
  spreadOf?: (point: number) => number,
): Generator<Told> {
  const { timeline, view } = scene;
  // Of a series as a whole nothing is measured, but of whoever holds for its parts.
  for (const { technique: id, measures, ...times } of truth.strikes.flatMap((one) => one.parts ?? one)) {
    if (!measures) continue;
    const technique = techniqueIn(shippedCatalogue, id);
    const strike = measurable(scene, trueMoments(timeline, times), technique, spreadOf);
    if (!strike) continue;
    const bands = new Map(
      checklistFor(shippedCatalogue, id, { school: usualSchool, view }).map(({ checkpoint, band }) => [checkpoint.id, band]),
    );
    for (const [checkpoint, value] of Object.entries(measures)) {
      const measure = (pointMeasures as Record<string, PointMeasure | undefined>)[checkpoint];
      const read = measure?.views.includes(view) && isNear(strike.sight, measure) ? readOf(strike, measure) : undefined;
      const raw = read && rawMeasure(read, measure!);
      if (!raw) continue;
      const band = bands.get(checkpoint) ?? usualBand(checkpoint);
      yield { checkpoint, seen: seenFrom(read.sight), film, truth: value, band, raw };
    }
  }
}

export function grouped(list: readonly Told[]): Map<string, Told[]> {
  const groups = new Map<string, Told[]>();
  for (const one of list) {
    const key = `${one.checkpoint} ${one.seen}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return new Map([...groups].sort(([one], [other]) => (one < other ? -1 : 1)));
}
const rounded = (value: number): number => Number(value.toPrecision(3));

const trialFor = (group: readonly Told[]): Trial | undefined =>
  trialFrom(group.map(({ film, raw, truth }) => ({ person: personOf(film), error: raw.value - truth, doubt: raw.doubt })));

/** How well faulty and clean strikes part by what was measured: 1 wholly, 0.5 not at all. */
function partedBy(group: readonly Told[], values: readonly number[]): number | undefined {
  const of = (verdict: string): number[] =>
    values.filter((_, place) => group[place]!.band && verdictIn(group[place]!.band, group[place]!.truth) === verdict);
  const [faulty, clean] = [of('fault'), of('clean')];
  if (faulty.length === 0 || clean.length === 0) return undefined;
  const wins = faulty.flatMap((one) => clean.map((other): number => (one > other ? 1 : one === other ? 0.5 : 0)));
  const above = mean(wins)!;
  return Math.max(above, 1 - above);
}

/** Each person's strikes, measured by what the trials of all others say. */
export function heldBack(group: readonly Told[], wider = 1): (Told & { measured: MeasuredValue })[] {
  return [...new Set(group.map(({ film }) => personOf(film)))].flatMap((person) => {
    const trial = trialFor(group.filter(({ film }) => personOf(film) !== person));
    if (!trial) return [];
    const theirs = group.filter(({ film }) => personOf(film) === person);
    return theirs.map((one) => ({ ...one, measured: correctedBy(trial, one.raw, wider) }));
  });
}
/** Verdicts that the bench would propose, and whether they would be right. */
const proposalsOf = (told: ReturnType<typeof heldBack>): boolean[] =>
  told.flatMap(({ band, measured, truth }) => {
    const verdict = band && proposalFor(band, { ...measured, doubt: measured.doubt * widerThanTrials })?.verdict;
    return verdict ? [verdict === verdictIn(band, truth)] : [];
  });
/** Each person counts once, however many of their strikes there are: it is people that a trial speaks of. */
export const within = (told: ReturnType<typeof heldBack>, times: number): number | undefined =>
  mean([...groupBy(told, ({ film }) => personOf(film)).values()], (list) =>
    mean(list, ({ measured, truth }) => Number(Math.abs(measured.value - truth) <= times * measured.doubt)),
  );
const rightOf = (proposals: readonly boolean[]): number | undefined => mean(proposals, (right) => Number(right));

/** On fewer people nothing could be held back and checked. */
const leastPeople = 4;
/** What a measure has to keep on people that no trial has seen; else it says that it cannot tell. */
const [leastWithin, leastRight, leastParted, mostOfBand] = [0.9, 0.95, 0.85, 0.9];

/** Why the trials of a measure are not shipped; undefined when they are. */
function notToBeTrusted(group: readonly Told[]): string | undefined {
  if (new Set(group.map(({ film }) => personOf(film))).size < leastPeople || !trialFor(group)) return 'too few were tried';
  const told = heldBack(group);
  if ((within(told, 1.96) ?? 0) < leastWithin) return 'its doubt does not hold for others';
  if ((rightOf(proposalsOf(told)) ?? 1) < leastRight) return 'too many proposals are wrong';
  if ((partedBy(told, valuesOf(told)) ?? 1) < leastParted) return 'it hardly parts faulty from clean';
  const widths = told.flatMap(({ band }) => (band ? [widthOf(band)] : []));
  const doubt = mean(told, ({ measured }) => measured.doubt)!;
  return widths.length > 0 && doubt > mostOfBand * mean(widths)! ? 'its doubt is as wide as its band' : undefined;
}
const valuesOf = (told: ReturnType<typeof heldBack>): number[] => told.map(({ measured }) => measured.value);
/** From where it is a fault to where it is one again; of a band with one end, twice the way from clean to there. */
const widthOf = ({ clean, watch: [from, to] }: Band): number =>
  from !== null && to !== null ? to - from : 2 * Math.abs(from === null ? to! - clean[1]! : from - clean[0]!);

/** What is shipped: the trials of all people, of measures that keep what they claim. */
export function trialsOf(list: readonly Told[]): Record<string, Partial<Record<Seen, KeptTrial>>> {
  const trials: Record<string, Partial<Record<Seen, KeptTrial>>> = {};
  for (const group of grouped(list).values()) {
    const trial = notToBeTrusted(group) ? undefined : trialFor(group);
    const { checkpoint, seen } = group[0]!;
    if (!trial) continue;
    const { bias, shared, own, strikes, people } = trial;
    (trials[checkpoint] ??= {})[seen] = [rounded(bias), rounded(shared), rounded(own), strikes, people];
  }
  return trials;
}

/** What the strikes of one measure from one side come to, each person judged by the trials of all others. */
export interface Figure {
  checkpoint: string;
  seen: Seen;
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
    .flatMap((group) => [
      ...groupBy(heldBack(group, widerThanTrials), ({ film, band }) => `${film} ${JSON.stringify(band)}`).values(),
    ])
    .flatMap((list) => {
      const { band, checkpoint, seen, film } = list[0]!;
      if (!band || list.length < leastOfFilm) return [];
      const truth = mean(list, (one) => weightOf[verdictIn(band, one.truth)])!;
      const told = measuredRate(
        band,
        list.map(({ measured }) => measured),
      );
      return told ? [{ checkpoint, seen, film: basename(film), strikes: list.length, truth, told }] : [];
    });

/** Whether the interval has the true rate, to two points: no interval of a few strikes begins at nothing. */
export const isHeld = ({ truth, told: { low, high } }: RateOfFilm): boolean => truth >= low - 0.02 && truth <= high + 0.02;

export const everyStrike = (): Told[] =>
  films.flatMap((film) => {
    const seen = followed(film);
    return seen ? [...toldOf(film, seen)] : [];
  });

export const figuresOf = (all: readonly Told[]): Figure[] =>
  [...grouped(all).values()].map((group) => {
    const told = heldBack(group);
    const errors = told.map(({ measured, truth }) => measured.value - truth);
    const proposals = proposalsOf(told);
    return {
      ...{ checkpoint: group[0]!.checkpoint, seen: group[0]!.seen, strikes: group.length },
      naive: mean(group, ({ raw, truth }) => raw.value - truth)!,
      ...{ bias: mean(errors), spread: deviation(errors), doubt: mean(told, ({ measured }) => measured.doubt) },
      ...{ within68: within(told, 1), within95: within(told, 1.96) },
      parted: partedBy(told, valuesOf(told)),
      ...{ proposals: proposals.length, right: proposals.filter(Boolean).length, why: notToBeTrusted(group) },
    };
  });

const titles = [
  ...['checkpoint', 'from', 'strikes', 'naive bias', 'bias', 'spread', 'doubt', 'in 68%', 'in 95%', 'AUC'],
  ...['proposed', 'right', 'told'],
];
const cellsOf = (one: Figure): (string | number)[] => [
  ...[one.checkpoint, one.seen, one.strikes, number(one.naive), number(one.bias), number(one.spread), number(one.doubt)],
  ...[percent(one.within68), percent(one.within95), number(one.parted), one.proposals, one.right, one.why ?? 'yes'],
];

/** Prints whether the claimed doubt holds for people that no trial has seen, and what a proposal would be worth, as in `docs/measures.md`. */
export function benchMeasures(): void {
  const all = everyStrike();
  if (process.argv.includes('--write')) {
    const text = [
      "import type { CheckpointId } from '../technique/index.ts';",
      "import type { KeptTrial, Seen } from './seen.ts';",
      '',
      '/** What trials say of each measure by where it was seen from. Written by `bin/bench measures --write`. */',
      `export const trials: Readonly<Record<CheckpointId, Partial<Record<Seen, KeptTrial>>>> = ${JSON.stringify(trialsOf(all))};`,
      '',
    ];
    writeFileSync(join(import.meta.dirname, '..', 'core', 'measure', 'trials.ts'), text.join('\n'));
    writePointErrors();
    return;
  }
  const figures = figuresOf(all);
  console.log(`\nMeasures by points on ${films.length} films, each person by the trials of the others\n`);
  printTable(titles, figures.map(cellsOf));
  const told = figures.filter(({ why }) => !why);
  const [made, right] = [sum(told, ({ proposals }) => proposals), sum(told, (one) => one.right)];
  console.log(`\nProposals of measures that are told: ${made}, right ${right}`);
  const rates = ratesOf(all);
  const holds = mean(rates, (rate) => Number(isHeld(rate)));
  const off = mean(rates, ({ truth, told: { rate } }) => Math.abs(rate - truth));
  const wide = mean(rates, ({ told: { low, high } }) => high - low);
  console.log(
    `Rates of a film by measures alone: ${rates.length}, true rate inside of the 90% interval in ${percent(holds)}, off by ${percent(off)} on the average, interval ${percent(wide)} wide`,
  );
  benchMoments();
  benchDecided();
  benchPoints();
  benchMeasuring();
}
