import betaCdf from '@stdlib/stats-base-dists-beta-cdf';
import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import { seen, weightedFaults, type Tally } from '../review/index.ts';
import { intervalTail as tail, type Ratio } from '../units.ts';

/** Fewer strikes than this say nothing about a rate. */
export const fewestSeen = 8;

/** How often a fault is made, with its doubt. */
export interface FaultRate {
  faults: number;
  seen: number;
  rate: Ratio;
  /** Bounds of the 90% interval. */
  low: Ratio;
  high: Ratio;
  enough: boolean;
}

/** Shape of what is known about a rate: Beta(k + ½, n − k + ½), the Jeffreys posterior. A watch counts as half a fault. */
export interface Posterior {
  alpha: number;
  beta: number;
}

/** What a tally says of the fault rate: Beta with Jeffreys prior, ½ and ½; a strike to watch counts half, *can’t see* not at all. */
export function posteriorOf(tally: Tally): Posterior {
  const faults = weightedFaults(tally);
  return { alpha: faults + 0.5, beta: seen(tally) - faults + 0.5 };
}

/**
 * Fault rate with its 90% Jeffreys interval (Brown, Cai and DasGupta, 2001): equal tails, with the bound pinned to 0 or 1
 * when no fault or nothing but faults was seen. With nothing seen the rate is 0 and the interval everything.
 */
export function faultRate(tally: Tally): FaultRate {
  const count = seen(tally);
  const faults = weightedFaults(tally);
  if (count === 0) return { faults: 0, seen: 0, rate: 0, low: 0, high: 1, enough: false };
  const { alpha, beta } = posteriorOf(tally);
  return {
    faults,
    seen: count,
    rate: faults / count,
    low: faults === 0 ? 0 : betaQuantile(tail, alpha, beta),
    high: faults === count ? 1 : betaQuantile(1 - tail, alpha, beta),
    enough: count >= fewestSeen,
  };
}

/** Probability that the true rate is at most `target`. */
export function chanceAtMost(target: Ratio, tally: Tally): Ratio {
  const { alpha, beta } = posteriorOf(tally);
  return betaCdf(target, alpha, beta);
}

const steps = 400;

/** Probability that the true rate of `after` lies below that of `before` by at least `margin`. */
export function chanceFell(before: Tally, after: Tally, margin: Ratio): Ratio {
  const was = posteriorOf(before);
  const is = posteriorOf(after);
  /*
   * The integral of pdf(was) × cdf(is, x − margin), taken over equal shares of the first posterior instead of equal
   * steps of x: the Jeffreys density has no bound at 0 and 1, its quantiles have. Midpoint rule.
   */
  let sum = 0;
  for (let step = 0; step < steps; step++) {
    const x = betaQuantile((step + 0.5) / steps, was.alpha, was.beta);
    if (x > margin) sum += betaCdf(x - margin, is.alpha, is.beta);
  }
  return sum / steps;
}
