import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { mean, sum, variance } from 'd3-array';
import { verdictIn, type Band, type BandVerdict } from '../technique/index.ts';
import { intervalTail, type Ratio } from '../units.ts';
import type { MeasuredValue } from './measured.ts';
import { tooCoarse } from './proposal.ts';
import { steadyNormals, steadyRandom } from './shake.ts';
import { likelihoodOf } from './spread.ts';

/** How often something goes wrong, as the measures alone tell. */
export interface MeasuredRate {
  /** How many strikes were measured. */
  strikes: number;
  /** A watch counts as half a fault. */
  rate: Ratio;
  /** What is known of it, as a beta distribution. */
  posterior: { alpha: number; beta: number };
  /** Bounds of the 90% interval. */
  low: Ratio;
  high: Ratio;
  /** How many of the strikes are likely clean, to watch, and faults; together all of them. */
  clean: number;
  watch: number;
  fault: number;
  /** What the strikes that are not clean likely come to on the average; undefined when hardly any is, or they may lie on either side. */
  amiss: { value: number; doubt: number } | undefined;
}

/** True values that are thought possible: so many, evenly apart, as far beyond what was measured as its doubt. */
const places = 48;
const beyond = 2;
/** How often the likeliest spread is made likelier, and how often for each draw, which begins near its end. */
const [rounds, roundsOfDraw] = [80, 10];
/** So many draws give the spread of a rate to a fourteenth of it. */
const draws = 100;
/** Of Jeffreys' prior: half a strike of each verdict was seen before any was. */
const prior = 0.5;
/** Fewer strikes, and a smaller share of them, are hardly any. */
const [hardlyAny, hardlyAnyShare] = [0.5, 1e-5];

type Shares = Record<BandVerdict, Ratio>;

/** What each strike would read, were its true value one of the places: strike by place. */
interface Readings {
  trueValues: readonly number[];
  likelihood: readonly Float64Array[];
}

/** How far a strike may be off by itself, in the unit of its measure; never nothing, so that two equal numbers are no certainty. */
const ownDoubt = ({ doubt, shared }: MeasuredValue): number =>
  Math.sqrt(Math.max(doubt ** 2 - shared ** 2, (doubt / 10) ** 2, 1e-12));

function readingsOf(strikes: readonly MeasuredValue[]): Readings {
  const widest = Math.max(...strikes.map(ownDoubt));
  const values = strikes.map(({ value }) => value);
  const [from, to] = [Math.min(...values) - beyond * widest, Math.max(...values) + beyond * widest];
  const trueValues = Array.from({ length: places }, (_, place) => from + ((to - from) * (place + 0.5)) / places);
  // What is narrower than the places are apart would fall between them.
  const narrowest = (to - from) / places / 2;
  return {
    trueValues,
    likelihood: strikes.map((strike) => {
      const doubt = Math.max(narrowest, ownDoubt(strike));
      return Float64Array.from(trueValues, (one) => likelihoodOf((strike.value - one) / doubt, strike.degrees) / doubt);
    }),
  };
}

/**
 * The likeliest spread of true values behind what was measured, each strike blurred by its own doubt: the maximum likelihood of a
 * mixture without a form (Kiefer and Wolfowitz 1956) on given places, by expectation and maximisation (Laird 1978).
 * @param weights of the strikes @param begin shares of the places to begin with @returns shares of the places, together 1
 */
function spreadBehind({ likelihood }: Readings, weights: readonly number[], begin: Float64Array, times: number): Float64Array {
  const all = sum(weights);
  let spread = begin;
  for (let time = 0; time < times; time++) {
    const next = new Float64Array(spread.length);
    for (let strike = 0; strike < likelihood.length; strike++) {
      const likely = likelihood[strike]!;
      let whole = 0;
      for (let place = 0; place < spread.length; place++) whole += spread[place]! * likely[place]!;
      const weight = weights[strike]! / all / whole;
      for (let place = 0; place < spread.length; place++) next[place]! += spread[place]! * likely[place]! * weight;
    }
    spread = next;
  }
  return spread;
}
/** Without the places that hardly any strike can have come from: most of them, and nothing is gained by trying them again. */
function narrowed({ trueValues, likelihood }: Readings, spread: Float64Array): { readings: Readings; spread: Float64Array } {
  const kept = trueValues.flatMap((_, place) => (spread[place]! > hardlyAnyShare ? [place] : []));
  const of = (list: ArrayLike<number>): Float64Array => Float64Array.from(kept, (place) => list[place]!);
  const left = sum(kept, (place) => spread[place]!);
  return {
    readings: { trueValues: [...of(trueValues)], likelihood: likelihood.map(of) },
    spread: of(spread).map((share) => share / left),
  };
}

/**
 * The rate that measures alone give. Counting what each strike most likely is would count the blur of the measure as well; here the
 * spread of true values is found first and its share beyond the band is the rate. The interval holds three doubts: how many strikes
 * there were (Bayesian bootstrap, Rubin 1981, with Jeffreys' half strikes, so that with measures that are never wrong it is the
 * interval of `faultRate`), what each strike may be off by itself, and what all of them are off by together (a shift of the band).
 * Undefined when there are none, and when the measure is too coarse for the band: that would only tell how coarse it is.
 * @param strikes of one technique, checkpoint and view
 */
export function measuredRate(band: Band, strikes: readonly MeasuredValue[]): MeasuredRate | undefined {
  if (
    strikes.length === 0 ||
    tooCoarse(
      band,
      mean(strikes, ({ doubt }) => doubt)!,
    )
  )
    return undefined;
  const all = readingsOf(strikes);
  const evenly = strikes.map(() => 1);
  const { readings, spread } = narrowed(all, spreadBehind(all, evenly, new Float64Array(places).fill(1 / places), rounds));
  const shared = mean(strikes, (strike) => strike.shared)!;
  /** Every part of the shared error once. */
  const shifts = Array.from({ length: draws }, (_, draw) => shared * normalQuantile((draw + 0.5) / draws, 0, 1));
  const shares = (behind: Float64Array, shift: number): Shares => {
    const told = { clean: 0, watch: 0, fault: 0 };
    for (const [place, share] of behind.entries()) told[verdictIn(band, readings.trueValues[place]! - shift)] += share;
    return told;
  };

  const random = steadyRandom(strikes.length + 7);
  const normals = steadyNormals(strikes.length + 11);
  const drawn = shifts.map((shift, draw) => {
    const weights = evenly.map(() => -Math.log(1 - random()));
    const [watch, fault, clean] = [0, 1, 2].map((one) => normals(draw * 3 + one) ** 2 * prior) as [number, number, number];
    const weight = sum(weights);
    const { watch: watches, fault: faults } = shares(spreadBehind(readings, weights, spread, roundsOfDraw), shift);
    return (weight * (faults + watches / 2) + fault + watch / 2) / (weight + watch + fault + clean);
  });
  const posterior = betaOf(mean(drawn)!, variance(drawn)!);

  const likely = shifts.map((shift) => shares(spread, shift));
  const count = (verdict: BandVerdict): number => mean(likely, (one) => one[verdict])! * strikes.length;
  const [clean, watch, fault] = [count('clean'), count('watch'), count('fault')];
  return {
    ...{ strikes: strikes.length, rate: (fault + watch / 2) / strikes.length, posterior },
    low: watch + fault < hardlyAny ? 0 : betaQuantile(intervalTail, posterior.alpha, posterior.beta),
    high: clean + watch < hardlyAny ? 1 : betaQuantile(1 - intervalTail, posterior.alpha, posterior.beta),
    ...{ clean, watch, fault },
    amiss:
      watch + fault < hardlyAny || hasTwoEnds(band)
        ? undefined
        : amissOf(band, readings.trueValues, spread, shifts, {
            shared,
            own: Math.sqrt(mean(strikes, (strike) => ownDoubt(strike) ** 2)!),
            count: watch + fault,
          }),
  };
}

const hasTwoEnds = ({ clean: [from, to] }: Band): boolean => from !== null && to !== null;
/** The beta distribution of this mean and variance. */
function betaOf(average: Ratio, spread: number): { alpha: number; beta: number } {
  const size = (average * (1 - average)) / spread - 1;
  return { alpha: average * size, beta: (1 - average) * size };
}

/** What the strikes that are not clean come to on the average, of so many, each and all of them off by as much. */
function amissOf(
  band: Band,
  trueValues: readonly number[],
  spread: Float64Array,
  shifts: readonly number[],
  { shared, own, count }: { shared: number; own: number; count: number },
): { value: number; doubt: number } {
  const values = shifts.flatMap((shift) =>
    trueValues.flatMap((value, place) =>
      verdictIn(band, value - shift) === 'clean' ? [] : [{ value: value - shift, share: spread[place]! }],
    ),
  );
  const all = sum(values, ({ share }) => share);
  const average = sum(values, ({ value, share }) => value * share) / all;
  const scatter = sum(values, ({ value, share }) => (value - average) ** 2 * share) / all;
  return { value: average, doubt: Math.hypot(shared, Math.sqrt((scatter + own ** 2) / count)) };
}
