import { sum } from 'd3-array';
import { laterOf, seenByLikeness, transitionsBetween, type Look } from './forward.ts';
import { unseen } from './grid.ts';
import { likenesses } from './likeness.ts';
import { motions } from './motion.ts';

/** What is known of the levels of a club. */
export interface ClubSpread {
  /** How likely each likeness and each motion is together, likeness by motion; all together 1. */
  shares: readonly (readonly number[])[];
  /** How likely each level of the grid is before anything was seen; all together 1. */
  levels: readonly number[];
}

/** Of a club of which nothing is known yet. */
export const usualSpread: ClubSpread = {
  shares: likenesses.map((likeness) => motions.map((motion) => likeness.usual * motion.usual)),
  levels: [...unseen],
};

/** So many series would have to be seen before they weigh as much as what is usual. */
const usualSeries = 12;
const rounds = 25;
/** Of how alike days are, several series of one trainee tell the same: they were thrown on the same days. */
const ownWeight = 0.6;
/** Series of fewer looks tell nothing of how a level moves. */
export const fewestLooks = 2;

/** The looks at one thing, oldest first, and after which of them it began to be worked on. */
export interface LearnedSeries {
  looks: readonly Look[];
  opening?: number;
}

/** How well each level at its first look explains a series, and the logarithm of what that was divided by, by motion. */
type Explained = { first: Float64Array; log: number }[];

/** Shares of the motions, and of the levels, with how well they explain all series. */
interface Fitted {
  motions: number[];
  levels: number[];
  log: number;
}

/**
 * What a club's own series tell of how alike the strikes of a day are, how levels move and where they lie: for each likeness the
 * likeliest shares of motions and levels, by expectation and maximisation (Dempster, Laird and Rubin 1977) with what is usual as so
 * many series more; the likenesses are weighed by how well they then explain all of it.
 */
export function clubSpread(series: readonly LearnedSeries[]): ClubSpread {
  const told = series.filter(({ looks }) => looks.length >= fewestLooks).map(explained);
  if (told.length === 0) return usualSpread;
  const fits = likenesses.map((_, place) => fitted(told.map((one) => one[place]!)));
  const [weights] = weighedShares(
    fits.map(({ log }) => log * ownWeight),
    likenesses.map(({ usual }) => usual),
  );
  return {
    shares: fits.map((fit, place) => fit.motions.map((share) => share * weights[place]!)),
    levels: usualSpread.levels.map((_, level) => sum(fits.map((fit, place) => fit.levels[level]! * weights[place]!))),
  };
}

/** Likeness by motion. */
function explained({ looks, opening }: LearnedSeries): Explained[] {
  const seen = looks.map(seenByLikeness);
  const transitions = transitionsBetween(looks, opening);
  return likenesses.map((_, likeness) => {
    const ofLikeness = seen.map((one) => one[likeness]!);
    const { shares, log: scale } = ofLikeness[0]!;
    return transitions.map((ofMotion) => {
      const { later, log } = laterOf(ofLikeness, ofMotion);
      return { first: later[0]!.map((one, level) => one * shares[level]!), log: log + scale };
    });
  });
}

/** The likeliest shares under one likeness. */
function fitted(series: readonly Explained[]): Fitted {
  let fit: Fitted = { motions: motions.map(({ usual }) => usual), levels: [...usualSpread.levels], log: 0 };
  for (let round = 0; round < rounds; round++) {
    const counts = motions.map(({ usual }) => usual * usualSeries);
    const found = usualSpread.levels.map((share) => share * usualSeries);
    let log = 0;
    for (const one of series) {
      const byMotion = one.map(({ first, log: ofMotion }) => {
        let whole = 0;
        for (let level = 0; level < first.length; level++) whole += first[level]! * fit.levels[level]!;
        return { whole, log: ofMotion + Math.log(whole) };
      });
      const [weights, whole] = weighedShares(
        byMotion.map(({ log: ofMotion }) => ofMotion),
        fit.motions,
      );
      log += whole;
      for (const [motion, weight] of weights.entries()) {
        counts[motion]! += weight;
        const { first } = one[motion]!;
        const part = weight / byMotion[motion]!.whole;
        for (let level = 0; level < first.length; level++) found[level]! += part * first[level]! * fit.levels[level]!;
      }
    }
    const all = sum(counts);
    fit = { motions: counts.map((count) => count / all), levels: found.map((count) => count / all), log };
  }
  return fit;
}

/** Shares after they were weighed by likelihoods, and the logarithm of how likely all was. */
export function weighedShares(logs: readonly number[], shares: readonly number[]): [weights: number[], log: number] {
  const most = Math.max(...logs);
  const weights = logs.map((log, place) => shares[place]! * Math.exp(log - most));
  const all = sum(weights);
  return [weights.map((weight) => weight / all), most + Math.log(all)];
}
