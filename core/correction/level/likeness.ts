import logGamma from '@stdlib/math-base-special-gammaln';
import type { Ratio } from '../../units.ts';
import type { Tally } from '../../review/index.ts';
import { posteriorOf } from '../rate.ts';
import { levels } from './grid.ts';

/**
 * How much the strikes of one day are like each other. A day has a rate of its own, drawn from a beta distribution round the level;
 * `days` is its size: the strikes of a day are never worth more than so many that were thrown on a day each. Without end they would
 * be independent.
 */
export interface Likeness {
  days: number;
  /** How likely this is of a club of which nothing is known. */
  usual: Ratio;
}
export const likenesses: readonly Likeness[] = [
  { days: 7, usual: 0.02 },
  { days: 11, usual: 0.07 },
  { days: 17, usual: 0.19 },
  { days: 26, usual: 0.27 },
  { days: 42, usual: 0.23 },
  { days: 75, usual: 0.13 },
  { days: 200, usual: 0.07 },
  { days: 2000, usual: 0.02 },
];

/** Faults and strikes of which a tally tells as much, were there no watches; see `posteriorOf`. */
interface Counts {
  faults: number;
  strikes: number;
}
function countsOf(tally: Tally): Counts {
  const { alpha, beta } = posteriorOf(tally);
  return { faults: Math.max(0, alpha - 0.5), strikes: Math.max(0, alpha + beta - 1) };
}

/** log B(a, b) of the day's beta distribution at every place of the grid, by likeness. */
const bases = likenesses.map(({ days }) =>
  Float64Array.from(levels, (level) => logGamma(level * days) + logGamma((1 - level) * days) - logGamma(days)),
);

/**
 * How well each level of the grid explains a day's tally: the logarithm of the beta-binomial likelihood (Skellam 1948) without the
 * binomial coefficient, which is the same for all. @param place of the likeness
 */
export function logLikelihood(tally: Tally, place: number): Float64Array {
  const { faults, strikes } = countsOf(tally);
  const { days } = likenesses[place]!;
  const base = bases[place]!;
  const whole = logGamma(strikes + days);
  return Float64Array.from(
    levels,
    (level, at) => logGamma(faults + level * days) + logGamma(strikes - faults + (1 - level) * days) - whole - base[at]!,
  );
}
