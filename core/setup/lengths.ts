import type { Centimetres } from '../units.ts';
import { manner, shortDecimal, type UnitSystem } from '../words/index.ts';

const inch: Centimetres = 2.54;
const inches = (value: Centimetres): number => value / inch;

/** A length of a body or a room in words: `172 cm`, or `5′ 8″`. */
export function lengthInWords(value: Centimetres, units: UnitSystem = manner().units): string {
  if (units === 'metric') return `${Math.round(value)} cm`;
  const whole = Math.round(inches(value));
  return whole < 24 ? `${whole}″` : `${Math.floor(whole / 12)}′ ${whole % 12}″`;
}
/** A small length, or the error of one: `1.5 cm`, or `0.6″`. */
export const smallLengthInWords = (value: Centimetres, units: UnitSystem = manner().units): string =>
  units === 'metric' ? `${shortDecimal(value, 1)} cm` : `${shortDecimal(inches(value), 1)}″`;

/** A length that was typed, or what is wrong with it. */
export type ReadLength = { ok: true; value: Centimetres } | { ok: false; says: string };

const feetAndInches = /^(\d+)\s*(?:′|'|ft|feet)\s*(?:(\d+(?:\.\d+)?)\s*(?:″|"|''|in|inches)?)?$/i;
const oneNumber = /^(\d+(?:[.,]\d+)?)\s*(cm|m|mm|″|"|in|inches)?$/i;
const inCentimetres: Record<string, Centimetres> = { cm: 1, m: 100, mm: 0.1, '″': inch, '"': inch, in: inch, inches: inch };

/**
 * Reads a length as people type it: `172`, `172 cm`, `1.72 m`, `5′ 8″`, `5 ft 8`, `68 in`. A number without a unit is in centimetres, or
 * in inches where one thinks in them. @param least and most what is possible at all, in centimetres
 */
export function readLength(
  typed: string,
  { what, least, most }: { what: string; least: Centimetres; most: Centimetres },
  units: UnitSystem = manner().units,
): ReadLength {
  const text = typed.trim();
  const feet = feetAndInches.exec(text);
  const plain = oneNumber.exec(text);
  const unit = plain?.[2]?.toLowerCase();
  const value = feet
    ? (Number(feet[1]) * 12 + Number(feet[2] ?? 0)) * inch
    : plain
      ? Number(plain[1]!.replace(',', '.')) * (unit ? inCentimetres[unit]! : units === 'metric' ? 1 : inch)
      : Number.NaN;
  if (Number.isNaN(value))
    return { ok: false, says: `${what}: such as ${units === 'metric' ? '172 or 1.72 m' : '5′ 8″ or 68 in'}.` };
  if (value < least || value > most) {
    const [from, to] = [lengthInWords(least, units), lengthInWords(most, units)];
    return { ok: false, says: `${what}: ${lengthInWords(value, units)} cannot be; from ${from} to ${to}.` };
  }
  return { ok: true, value };
}
