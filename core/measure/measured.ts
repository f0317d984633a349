import { guessedOf, moments, type Moment, type StrikeMoments } from '../strikes/index.ts';
import type { Degrees } from './spread.ts';

/** A number with its doubt. */
export interface MeasuredValue {
  value: number;
  /** Two of three truths are to lie within it, in the unit of the measure: see `shareBelow`. */
  doubt: number;
  /** What of the doubt all strikes of a film have in common: more of them do not make it less. */
  shared: number;
  /** How far off the few are that lie beyond the doubt: see `tails`. */
  degrees: Degrees;
}
/** A number with its doubt, or why there is none. */
export type Measured = MeasuredValue | { value: undefined; /** Why there is none, and what to film instead. */ reason: string };

/** Why there is no number where one of these moments is only guessed: it would measure the guess. Undefined where all are known. */
export function whyNotByGuesses(strike: StrikeMoments, needed: readonly Moment[] = moments): string | undefined {
  const guessed = guessedOf(strike).filter((moment) => needed.includes(moment));
  if (guessed.length === 0) return undefined;
  return `Guessed so far: ${guessed.join(' and ')}. Set ${guessed.length > 1 ? 'them' : 'it'} to have it measured.`;
}
