import { manner, type DecimalSign, type Manner } from './manner.ts';

const signs: Record<DecimalSign, string> = { point: '.', comma: ',' };

/** A number with so many decimals: `1.5`, or `1,5`. */
export const decimal = (value: number, digits: number, { decimals }: Pick<Manner, 'decimals'> = manner()): string =>
  value.toFixed(digits).replace('.', signs[decimals]);

/** The same without noughts at its end. */
export const shortDecimal = (value: number, digits: number, { decimals }: Pick<Manner, 'decimals'> = manner()): string =>
  String(Number(value.toFixed(digits)) || 0).replace('.', signs[decimals]);
