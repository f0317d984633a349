/** In what lengths are told and typed. */
export const unitSystems = ['metric', 'imperial'] as const;
export type UnitSystem = (typeof unitSystems)[number];
/** In which order a date is written: 17 Nov 2026, Nov 17, 2026, or 2026-11-17. */
export const dayOrders = ['day-first', 'month-first', 'year-first'] as const;
export type DayOrder = (typeof dayOrders)[number];
export const clocks = ['24', '12'] as const;
export type Clock = (typeof clocks)[number];
export const decimalSigns = ['point', 'comma'] as const;
export type DecimalSign = (typeof decimalSigns)[number];

/** How somebody reads lengths, days, times and numbers. */
export interface Manner {
  units: UnitSystem;
  days: DayOrder;
  clock: Clock;
  decimals: DecimalSign;
}

/** As long as nobody has said otherwise. */
export const usualManner: Manner = { units: 'metric', days: 'day-first', clock: '24', decimals: 'point' };

let told: () => Manner = () => usualManner;

/**
 * The manner of whoever is told something now. Words are put together in many places, and none of them knows for whom; who does is the
 * page, for whoever sits there, and the server, for whoever asks.
 */
export const manner = (): Manner => told();

/** Says once, where a program starts, from where it is known. */
export const mannerFrom = (source: () => Manner): void => void (told = source);
