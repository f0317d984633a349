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
  trialOf,
  widerThanTrials,
  type FollowedFilm,
  type KeptTrial,
  type MeasuredRate,
  steadinesses,
  type MeasuredValue,
  type Pass,
  type PointMeasure,
  type Seen,
  type Steadiness,
  type Trial,
} from '@wax-fist/core/measure';
import {
  checklistFor,
  isMeasureId,
  isSeries,
  measures,
  pastClean,
  rowsOfPart,
  shippedCatalogue,
  techniqueIn,
  usualSchool,
  verdictIn,
  wholeChecklist,
  type Band,
} from '@wax-fist/core/technique';
import { deviation, group as groupBy, mean } from 'd3-array';
import { basename } from 'node:path';
import type { Truth } from '../simulator/truth/truth.ts';
import { films, followed, personOf, trueMoments } from './followed-films.ts';

/** What one measure said of one strike, and what is true. */
export interface Told {
  checkpoint: string;
  seen: Seen;
  film: string;
  /** Its launch, which tells it from others of the film. */
  strike: number;
  /** How steady the track was that it is read from. */
  steadiness: Steadiness;
  truth: number;
  band: Band | undefined;
  raw: { value: number; doubt: number };
}

/** Of what a strike itself is not judged by, as whoever holds for it, and of what is told beside a row. */
function usualBand(checkpoint: string): Band | undefined {
  const measure = shippedCatalogue.checkpoints.get(checkpoint)?.measure ?? checkpoint;
  return isMeasureId(measure) ? measures[measure].band : undefined;
}

interface Telling {
  /** See `measurable`. */
  ofModel?: readonly number[];
  /** By the points of which pass. */
  pass?: Pass;
  /** How steadily a row is read, in each of these ways. */
  read?: (checkpoint: string, seen: Seen) => readonly Steadiness[];
}
type TrueStrike = Truth['strikes'][number];
type TrueTimes = Pick<TrueStrike, 'technique' | 'launch' | 'contact' | 'home' | 'measures'>;
const rowsIn = (technique: string, part: number | null = null): string[] =>
  rowsOfPart(wholeChecklist(shippedCatalogue, technique), shippedCatalogue, { technique, part }).map(
    ({ checkpoint }) => checkpoint.id,
  );
/** What lies before a spell and after it, and is measured of it as a whole. */
const aroundSpells: readonly string[] = ['df.distance'];
/**
 * What is thrown by itself, with what is true of it. Of a series these are its parts, the last of which answers for what only the whole
 * has; of a spell on pads, what lies around it as well.
 */
function thrownIn({ parts, ...whole }: TrueStrike): TrueTimes[] {
  if (!parts) return [whole];
  const asked = (ids: readonly string[]): TrueTimes['measures'] =>
    Object.fromEntries(Object.entries(whole.measures ?? {}).filter(([id]) => ids.includes(id)));
  const technique = techniqueIn(shippedCatalogue, whole.technique);
  if (!isSeries(technique)) return [...parts, { ...whole, measures: asked(aroundSpells) }];
  const last = parts.at(-1)!;
  const own = rowsIn(last.technique);
  const only = rowsIn(whole.technique, parts.length - 1).filter((id) => !own.includes(id));
  return [...parts.slice(0, -1), { ...last, measures: { ...last.measures, ...asked(only) } }];
}

/** What is told of the strikes of a film. */
export function* toldOf(
  film: string,
  { scene, truth }: { scene: FollowedFilm; truth: Pick<Truth, 'strikes'> },
  { ofModel, pass = 'first', read = () => ['found'] }: Telling = {},
): Generator<Told> {
  const { timeline, view } = scene;
  for (const { technique: id, measures, ...times } of truth.strikes.flatMap(thrownIn)) {
    if (!measures) continue;
    const technique = techniqueIn(shippedCatalogue, id);
    const first = measurable(scene, trueMoments(timeline, times), technique, ofModel);
    const strike = pass === 'first' ? first : first?.again;
    if (!strike) continue;
    const bands = new Map(
      checklistFor(shippedCatalogue, id, { school: usualSchool, view }).map(({ checkpoint, band }) => [checkpoint.id, band]),
    );
    for (const [checkpoint, value] of Object.entries(measures)) {
      const measure = (pointMeasures as Record<string, PointMeasure | undefined>)[checkpoint];
      const one = measure?.views.includes(view) && isNear(strike.sight, measure) ? readOf(strike, measure) : undefined;
      if (!one) continue;
      const band = bands.get(checkpoint) ?? usualBand(checkpoint);
      const about = { checkpoint, seen: seenFrom(one.sight), film, strike: times.launch, truth: value, band };
      for (const steadiness of read(checkpoint, about.seen)) {
        const raw = rawMeasure(one.steady(steadiness), measure!);
        if (raw) yield { ...about, steadiness, raw };
      }
    }
  }
}

/** A checkpoint, and from where it was seen. */
export const rowOf = ({ checkpoint, seen }: Pick<Told, 'checkpoint' | 'seen'>): string => `${checkpoint} ${seen}`;
export function grouped(list: readonly Told[]): Map<string, Told[]> {
  const groups = new Map<string, Told[]>();
  for (const one of list) {
    const key = rowOf(one);
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return new Map([...groups].sort(([one], [other]) => (one < other ? -1 : 1)));
}
const rounded = (value: number): number => Number(value.toPrecision(3));

export const trialFor = (group: readonly Told[]): Trial | undefined =>
  trialFrom(group.map(({ film, raw, truth }) => ({ person: personOf(film), error: raw.value - truth, doubt: raw.doubt })));

/**
 * So many strikes at the least have to be faulty, and so many clean: a model that has seen mostly ordinary bodies makes up what is
 * ordinary, and of what nobody does wrong that looks like measuring.
 */
const leastOfEach = 2;
/**
 * How well faulty and clean strikes part by what was measured: 1 wholly, 0.5 not at all. Where too few are faulty, those that are one to
 * watch count with them; undefined where these are too few as well.
 */
function partedBy(group: readonly Told[], values: readonly number[]): number | undefined {
  const of = (...verdicts: readonly string[]): number[] =>
    group.flatMap(({ band, truth }, place) =>
      band && verdicts.includes(verdictIn(band, truth)) ? [pastClean(band, values[place]!)] : [],
    );
  const [fault, clean] = [of('fault'), of('clean')];
  const amiss = fault.length >= leastOfEach ? fault : of('watch', 'fault');
  if (Math.min(amiss.length, clean.length) < leastOfEach) return undefined;
  return mean(amiss.flatMap((one) => clean.map((other): number => (one > other ? 1 : one === other ? 0.5 : 0))))!;
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
export const proposalsOf = (told: ReturnType<typeof heldBack>): boolean[] =>
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
  const parted = partedBy(told, valuesOf(told));
  if (parted === undefined) return 'too few were amiss, or clean';
  if (parted < leastParted) return 'it hardly parts faulty from clean';
  const widths = told.flatMap(({ band }) => (band ? [widthOf(band)] : []));
  const doubt = mean(told, ({ measured }) => measured.doubt)!;
  return widths.length > 0 && doubt > mostOfBand * mean(widths)! ? 'its doubt is as wide as its band' : undefined;
}
/** Whether the trials of a measure are shipped. */
export const isTrusted = (group: readonly Told[]): boolean => !notToBeTrusted(group);
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
    const { steadiness } = group[0]!;
    (trials[checkpoint] ??= {})[seen] = [rounded(bias), rounded(shared), rounded(own), strikes, people, steadiness];
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

const inEveryFilm = (telling: Telling): Told[] =>
  films.flatMap((film) => {
    const seen = followed(film);
    return seen ? [...toldOf(film, seen, telling)] : [];
  });
/** What is told of all strikes, each row in every way in which it can be read. */
export const everyReading = (pass: Pass): Told[] => inEveryFilm({ pass, read: () => steadinesses });
/** The same, each row read as it ships. */
export const asShipped = (pass: Pass): Told[] =>
  inEveryFilm({ pass, read: (checkpoint, seen) => [trialOf(checkpoint, seen, pass)?.steadiness ?? 'found'] });
/** The same, each row read as steadily as tells most. */
export const everyStrike = (pass: Pass = 'first'): Told[] => steadilyRead(everyReading(pass));

/** A steadier track, or a second pass, has to tell so much more: its doubt is that share of what is left without. */
const worthwhile = 0.9;
const doubtOf = (group: readonly Told[]): number => mean(heldBack(group), ({ measured }) => measured.doubt) ?? Infinity;
/** Whether a row told so is worth it: it keeps what it claims, and the other one does not, or tells less. */
export const tellsMore = (group: readonly Told[], than: readonly Told[]): boolean =>
  isTrusted(group) && (!isTrusted(than) || doubtOf(group) <= worthwhile * doubtOf(than));
/** Of each row the reading that tells most and keeps what it claims. */
export const steadilyRead = (all: readonly Told[]): Told[] => [...grouped(all).values()].flatMap(bestReading);
export function bestReading(group: readonly Told[]): Told[] {
  const [found, ...others] = steadinesses.map((one) => group.filter(({ steadiness }) => steadiness === one)) as [
    Told[],
    ...Told[][],
  ];
  return others.reduce((best, other) => (tellsMore(other, best) ? other : best), found);
}

export const figuresOf = (all: readonly Told[]): Figure[] =>
  [...grouped(all).values()].map((group) => {
    const told = heldBack(group);
    const errors = told.map(({ measured, truth }) => measured.value - truth);
    const proposals = proposalsOf(told);
    const { checkpoint, seen, steadiness } = group[0]!;
    return {
      ...{ checkpoint, seen, steadiness, strikes: group.length },
      naive: mean(group, ({ raw, truth }) => raw.value - truth)!,
      ...{ bias: mean(errors), spread: deviation(errors), doubt: mean(told, ({ measured }) => measured.doubt) },
      ...{ within68: within(told, 1), within95: within(told, 1.96) },
      parted: partedBy(told, valuesOf(told)),
      ...{ proposals: proposals.length, right: proposals.filter(Boolean).length, why: notToBeTrusted(group) },
    };
  });
