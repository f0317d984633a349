import { farOff, inCentimetres, lengthOf, type BodyLength, type Degrees } from '@wax-fist/core/measure';
import { lengthInWords, smallLengthInWords } from '@wax-fist/core/setup';
import { isMeasureId, measures } from '@wax-fist/core/technique';
import { manner, shortDecimal } from '@wax-fist/core/words';

const lengthNames: Record<BodyLength, string> = {
  head: 'heads',
  forearm: 'forearms',
  torso: 'trunks',
  foot: 'feet',
  shoulders: 'shoulder widths',
};

/** Half of a body’s length is told like one, a hand’s breadth in the smallest unit that is still true. Centimetres. */
const longLength = 60;
const length = (value: number): string =>
  manner().units === 'metric' || Math.abs(value) >= longLength ? lengthInWords(value) : smallLengthInWords(value);
/** The doubt of a length is never told as none. */
const doubtOfLength = (doubt: number): string =>
  manner().units === 'metric' ? length(Math.max(1, doubt)) : length(Math.max(0.3, doubt));

/** As wide as a plus: a hyphen before a number is not seen. */
const withMinus = (told: string): string => told.replace(/^-/, '−');

/** A value in the unit of its measure, as short as it is still true; a length as lengths are told where the stature is known. */
export function valueInWords(measure: string, value: number, stature: number | null = null): string {
  const cm = stature === null ? undefined : inCentimetres(measure, { value, doubt: 0 }, stature);
  if (cm) return withMinus(length(cm.value));
  const unit = isMeasureId(measure) ? measures[measure].unit : 'ratio';
  if (unit === 'milliseconds') return withMinus(`${Math.round(value)} ms`);
  return withMinus(unit === 'degrees' ? `${Math.round(value)}°` : shortDecimal(value, 2));
}

/** A doubt by itself, as a length where it is one and the stature is known. */
export function doubtInWords(measure: string, doubt: number, stature: number | null): string {
  const cm = stature === null ? undefined : inCentimetres(measure, { value: 0, doubt }, stature);
  return cm ? doubtOfLength(cm.doubt) : valueInWords(measure, doubt);
}

/** What every doubt beside a value says, and what one of such a tail does. */
export const twoOfThree = 'Two of three lie within the ±';
/** @param degrees of the spread round it */
export const whatDoubtSays = (degrees: Degrees): string =>
  `${twoOfThree}, one in twenty farther off than ${shortDecimal(farOff(degrees), 1)} times as much.`;

/**
 * A value with its doubt: as a length where it is one and the stature is known, else in what the measure is told in.
 * @param stature centimetres
 */
export function measuredInWords(
  measure: string,
  measured: { value: number; doubt: number },
  stature: number | null = null,
): string {
  const value = Math.max(measured.value, (isMeasureId(measure) ? measures[measure].least : undefined) ?? -Infinity);
  const cm = stature === null ? undefined : inCentimetres(measure, { ...measured, value }, stature);
  if (cm) return `${withMinus(length(cm.value)).replace(/ cm$/, '')} ± ${doubtOfLength(cm.doubt)}`;
  const inLengths = lengthOf(measure);
  const told = `${valueInWords(measure, value)} ± ${valueInWords(measure, measured.doubt)}`;
  return inLengths ? `${told} ${lengthNames[inLengths]}` : told;
}
