import { farOff, type Degrees, type MeasuredValue } from '../measure/index.ts';

/** By how much one measure of a thing is more than another one. */
export interface Difference {
  value: number;
  /** Standard error. */
  doubt: number;
  /** Whether it is more than both may be off by: as far beyond its doubt as one in twenty is. */
  clear: boolean;
}

/**
 * The second measure less the first. What all strikes of a film are off by together is the same in both where they are of one film, and
 * then it is no doubt of their difference. Both together have no longer a tail than the longer of them.
 */
export function differenceOf(first: MeasuredValue, second: MeasuredValue, sameFilm: boolean): Difference {
  const value = second.value - first.value;
  const squares = [first, second].map(({ doubt, shared }) => doubt ** 2 - (sameFilm ? shared ** 2 : 0));
  const doubt = Math.sqrt(Math.max(0, squares[0]! + squares[1]!));
  const degrees = Math.min(first.degrees, second.degrees) as Degrees;
  return { value, doubt, clear: Math.abs(value) > farOff(degrees) * doubt };
}
