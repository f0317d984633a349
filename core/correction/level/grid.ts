import type { Ratio } from '../../units.ts';

/** Levels are held on a grid that is even in logits: a step near nothing is as hard to make as one near always. */
const [lowest, highest] = [-5, 3.4];
const cells = 60;
/** Between two places of the grid, in logits. */
export const step = (highest - lowest) / (cells - 1);

const logistic = (logit: number): Ratio => 1 / (1 + Math.exp(-logit));

/** The logits of the grid, lowest first. */
const logits: readonly number[] = Array.from({ length: cells }, (_, place) => lowest + place * step);
/** The fault rates of the grid, lowest first. */
export const levels: readonly Ratio[] = logits.map(logistic);

const bell = (middle: number, spread: number): Float64Array =>
  normalised(Float64Array.from(logits, (logit) => Math.exp(-0.5 * ((logit - middle) / spread) ** 2)));
/** A fault that is made: most that anybody looks at are made in a fifth to a half of all strikes. */
const made = bell(-1.1, 1.4);
/** One that hardly ever is. */
const [hardlyEver, share] = [bell(-4.3, 0.6), 0.35];
/** What is known of a level before anything was seen, in a club of which nothing is known either. */
export const unseen: Readonly<Float64Array> = made.map((one, place) => (1 - share) * one + share * hardlyEver[place]!);

/** Shares that make a whole; changes what it is given. */
export function normalised(shares: Float64Array): Float64Array {
  let all = 0;
  for (const one of shares) all += one;
  shares.forEach((one, place) => (shares[place] = one / all));
  return shares;
}

/** How likely a distribution is at or below a level; the place of the grid that the level falls into counts in part. */
export function chanceBelow(distribution: ArrayLike<number>, level: Ratio): Ratio {
  if (level <= 0) return 0;
  const at = level >= 1 ? cells : (Math.log(level / (1 - level)) - lowest) / step;
  let below = 0;
  for (let place = 0; place < cells; place++) below += Math.min(1, Math.max(0, at - place + 0.5)) * distribution[place]!;
  return below;
}

/** The level below which a share of a distribution lies. */
export function quantileOf(distribution: ArrayLike<number>, share: Ratio): Ratio {
  let below = 0;
  for (let place = 0; place < cells; place++) {
    const here = distribution[place]!;
    if (below + here >= share) return logistic(lowest + (place - 0.5 + (share - below) / here) * step);
    below += here;
  }
  return levels[cells - 1]!;
}

/** Its mean. */
export function meanOf(distribution: ArrayLike<number>): Ratio {
  let mean = 0;
  for (let place = 0; place < cells; place++) mean += distribution[place]! * levels[place]!;
  return mean;
}
