import studentCdf from '@stdlib/stats-base-dists-t-cdf';
import studentQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { Ratio } from '../units.ts';

/**
 * How truths spread round what is measured: as Student's t does, scaled so that as many lie within one doubt as within one deviation
 * of a normal spread. Mostly a body is found well and now and then a limb is taken for another, so that a normal spread would be too
 * wide for most and too narrow for some (Lange, Little and Taylor 1989). The fewer its degrees of freedom, the farther off are the few
 * that are: three for most measures, fewer where trials say so.
 */
export const tails = [3, 2, 1.5, 1] as const;
export type Degrees = (typeof tails)[number];
export const usualTail: Degrees = 3;
/** How many truths are to lie within one doubt, and within `farOff` doubts. */
export const [withinDoubt, withinFarOff]: readonly [Ratio, Ratio] = [0.6827, 0.95];
const endOf = (share: Ratio, degrees: Degrees): number => studentQuantile((1 + share) / 2, degrees);
const scales = new Map(tails.map((degrees) => [degrees, endOf(withinDoubt, degrees)]));
const scaleOf = (degrees: Degrees): number => scales.get(degrees)!;
/** In so many doubts: one in twenty is farther off. */
export const farOff = (degrees: Degrees): number => endOf(withinFarOff, degrees) / scaleOf(degrees);

/** How many truths lie below `end`. */
export const shareBelow = (end: number, value: number, doubt: number, degrees: Degrees): Ratio =>
  studentCdf(((end - value) / doubt) * scaleOf(degrees), degrees);

/** How likely something is to be off by so many doubts, against by none. */
export const likelihoodOf = (doubts: number, degrees: Degrees): Ratio =>
  (1 + (doubts * scaleOf(degrees)) ** 2 / degrees) ** (-(degrees + 1) / 2);
