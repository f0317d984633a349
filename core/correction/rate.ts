import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import { sum } from 'd3-array';
import { fewestSeen } from './fewest-seen.ts';
import { emptyTally, seen, weightedFaults, type Tally } from '../review/index.ts';
import { intervalTail as tail, type Ratio } from '../units.ts';

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

/** What is known about a rate, as a beta distribution. */
export interface Posterior {
  alpha: number;
  beta: number;
}

/** Of Jeffreys' prior: half a strike of each verdict was seen before any was. */
const prior = 0.5;

/**
 * What measures alone say of a rate, as if so many strikes had been judged: clean ones and faults whose posterior is the same. They
 * are fewer than were measured, by as much as a measure knows less than a coach.
 */
export function tallyByMeasures({ posterior: { alpha, beta }, strikes }: { posterior: Posterior; strikes: number }): Tally {
  const [clean, fault] = [Math.max(0, beta - prior), Math.max(0, alpha - prior)];
  // A posterior that was fitted to draws comes out too narrow now and then: measures never say more than a judge of as many strikes.
  const share = Math.min(1, strikes / (clean + fault || 1));
  return { ...emptyTally, clean: clean * share, fault: fault * share };
}

/**
 * What a tally says of the fault rate, a watch counting half of a fault and *can’t see* not at all. Without watches it is Jeffreys'
 * posterior Beta(k + ½, n − k + ½). With some the shares of clean, watch and fault have the posterior Dirichlet(c + ½, w + ½, f + ½),
 * and the rate, fault + watch / 2, is told by the beta distribution of the same mean and variance: a watch for certain is no fault
 * in half of the cases, and taking it so would make intervals up to 2.4 times too wide.
 */
export function posteriorOf({ clean, watch, fault }: Tally): Posterior {
  if (watch === 0) return { alpha: fault + prior, beta: clean + prior };
  const weights = [
    { count: clean + prior, counts: 0 },
    { count: watch + prior, counts: 0.5 },
    { count: fault + prior, counts: 1 },
  ];
  const all = sum(weights, ({ count }) => count);
  const mean = sum(weights, ({ count, counts }) => count * counts) / all;
  const variance = (sum(weights, ({ count, counts }) => count * counts ** 2) / all - mean ** 2) / (all + 1);
  const size = (mean * (1 - mean)) / variance - 1;
  return { alpha: mean * size, beta: (1 - mean) * size };
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
