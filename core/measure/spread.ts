import studentCdf from '@stdlib/stats-base-dists-t-cdf';
import studentQuantile from '@stdlib/stats-base-dists-t-quantile';
import type { Ratio } from '../units.ts';

/**
 * How truths spread round what is measured: as Student's t does, scaled so that as many lie within one doubt as within one deviation
 * of a normal spread. Mostly a body is found well and now and then a limb is taken for another, so that a normal spread would be too
 * wide for most and too narrow for some (Lange, Little and Taylor 1989). Three degrees: of the people held back in trials so many lie
 * within `farOff` doubts as are to.
 */
const degrees = 3;
/** How many truths are to lie within one doubt, and within `farOff` doubts. */
export const [withinDoubt, withinFarOff]: readonly [Ratio, Ratio] = [0.6827, 0.95];
const endOf = (share: Ratio): number => studentQuantile((1 + share) / 2, degrees);
const oneDoubt = endOf(withinDoubt);
/** In so many doubts: one in twenty is farther off. */
export const farOff = endOf(withinFarOff) / oneDoubt;

/** How many truths lie below `end`. */
export const shareBelow = (end: number, value: number, doubt: number): Ratio =>
  studentCdf(((end - value) / doubt) * oneDoubt, degrees);

/** How likely something is to be off by so many doubts, against by none. */
export const likelihoodOf = (doubts: number): Ratio => (1 + (doubts * oneDoubt) ** 2 / degrees) ** (-(degrees + 1) / 2);
