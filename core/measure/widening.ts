import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { group, mean, sum } from 'd3-array';
import { pinSpread, type PointPart } from '../body/index.ts';
import { intervalTail, type Px, type Ratio } from '../units.ts';
import { pointErrors, type PointSeen } from './point-errors.ts';

/**
 * Trials are made with footage whose truth is known, which is made by a machine; gyms are darker, clothes wider, and somebody walks
 * through. Until a club's coaches have checked points of its own films, doubt is taken to be wider by this.
 */
export const widerThanTrials: Ratio = 1.5;

/** A part of the body and from where it is seen: what a model does well or badly. */
export interface PointKind {
  part: PointPart;
  seen: PointSeen;
}
/** A kind as the key of a table. */
export const kindKey = ({ part, seen }: PointKind): string => `${part} ${seen}`;

/** How much more is doubted of points than trials say: of those that were checked often enough, and of all others. */
export interface Widenings {
  all: Ratio;
  of: Readonly<Record<string, Ratio>>;
}
export const unlearned: Widenings = { all: widerThanTrials, of: {} };
export const wideningOf = ({ all, of }: Widenings, kind: PointKind): Ratio => of[kindKey(kind)] ?? all;

/** A point that a coach was asked for, chosen at random and without being shown what was found. */
export interface PointCheck extends PointKind {
  filmId: string;
  /** Where the coach sees it and where the model had found it, in pixels of the film; null where the coach cannot see it. */
  said: { x: Px; y: Px } | null;
  found: { x: Px; y: Px };
  /** Length of the trunk. */
  trunk: Px;
}

/** How far off a point was found, in what trials say it is off in two of three frames; undefined where trials say nothing of it. */
export function timesOff({ part, seen, said, found, trunk }: PointCheck): number | undefined {
  const error = pointErrors[part][seen];
  if (!error || !said) return undefined;
  // The hand that points it out is off, too.
  const [across, up] = error.map((one) => Math.hypot(one, pinSpread) * trunk) as [Px, Px];
  return Math.hypot((said.x - found.x) / across, (said.y - found.y) / up);
}

interface Normal {
  mean: number;
  deviation: number;
}
/**
 * Logarithm of how far points are off in the trials themselves, on the average and how it spreads; held to them by `bench`. (Were both
 * coordinates of all points normally off, it would be Rayleigh's 0.06 and 0.64.) In logarithms a single limb that was taken for the
 * other says no more than that it was far off.
 */
export const logOfTrials: Readonly<Normal> = { mean: 0.13, deviation: 0.68 };
/** What was checked in the same film says partly the same. */
const spreadOfFilms = 0.3;
/** How far a club may be from what is assumed of all, and one kind of point from all of a club. */
const [spreadOfClubs, spreadOfKinds] = [0.35, 0.25];
/** Nothing is off by less than nothing. */
const leastOff = 0.02;
const intervalEnd = normalQuantile(1 - intervalTail, 0, 1);

/** A normal prior with normal evidence, film by film (Gelman et al. 2013, 5.4). */
function learn(prior: Normal, offs: readonly { filmId: string; log: number }[]): Normal {
  const films = [...group(offs, ({ filmId }) => filmId).values()].map((list) => ({
    log: mean(list, ({ log }) => log)! - logOfTrials.mean,
    precision: 1 / (spreadOfFilms ** 2 + logOfTrials.deviation ** 2 / list.length),
  }));
  const before = 1 / prior.deviation ** 2;
  const precision = before + sum(films, (film) => film.precision);
  return {
    mean: (prior.mean * before + sum(films, (film) => film.log * film.precision)) / precision,
    deviation: Math.sqrt(1 / precision),
  };
}

/** How much wider than trials say something is off, with its 90% interval, and from how many checks this is known. */
export interface Learned {
  wider: Ratio;
  low: Ratio;
  high: Ratio;
  /** With a place; and those of which coaches said that they cannot be seen. */
  checks: number;
  hidden: number;
}
const told = ({ mean: middle, deviation }: Normal, checks: readonly PointCheck[]): Learned => ({
  wider: Math.exp(middle),
  low: Math.exp(middle - intervalEnd * deviation),
  high: Math.exp(middle + intervalEnd * deviation),
  checks: checks.filter(({ said }) => said).length,
  hidden: checks.filter(({ said }) => !said).length,
});
/** A simulator is no harder than a gym. */
const atLeastTrials = (wider: Ratio): Ratio => Math.max(1, Math.round(wider * 10) / 10);

/**
 * What checks say of a club's own films: of all points, and of each kind, which is drawn towards all of them as long as it was
 * checked but a few times.
 */
export function learnWidenings(checks: readonly PointCheck[]): {
  all: Learned;
  kinds: (PointKind & Learned)[];
  widenings: Widenings;
} {
  const logsOf = (list: readonly PointCheck[]) =>
    list.flatMap((check) => {
      const off = timesOff(check);
      return off === undefined ? [] : [{ filmId: check.filmId, log: Math.log(Math.max(leastOff, off)) }];
    });
  const all = learn({ mean: Math.log(widerThanTrials), deviation: spreadOfClubs }, logsOf(checks));
  const kinds = [...group(checks, kindKey).values()].map((list) => {
    const { part, seen } = list[0]!;
    return { part, seen, ...told(learn({ mean: all.mean, deviation: spreadOfKinds }, logsOf(list)), list) };
  });
  return {
    all: told(all, checks),
    kinds,
    widenings: {
      all: atLeastTrials(Math.exp(all.mean)),
      of: Object.fromEntries(kinds.map((kind) => [kindKey(kind), atLeastTrials(kind.wider)])),
    },
  };
}
