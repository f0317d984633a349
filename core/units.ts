/**
 * Numbers that know their unit. A plain number may become any of them, but a time never passes for a length.
 */
declare const unit: unique symbol;
type Unit<Name extends string> = number & { readonly [unit]?: Name };

/** Milliseconds. */
export type Ms = Unit<'ms'>;
/** Seconds, where a clock is told in them: rounds that are planned and performed. */
export type Seconds = Unit<'s'>;
/** Metres of the room. */
export type Metres = Unit<'m'>;
/** Index of a frame in its film's timeline, from 0. Never a time times a rate. */
export type FrameIndex = Unit<'frame'>;
/** A share between 0 and 1. */
export type Ratio = Unit<'ratio'>;
/** Centimetres of a body. */
export type Centimetres = Unit<'cm'>;
/** Pixels of the picture. */
export type Px = Unit<'px'>;
/** Degrees of a turn. */
export type Degrees = Unit<'degrees'>;
/** A ratio of powers, ten times the logarithm. */
export type Decibels = Unit<'decibels'>;

/** From one instant to another. */
export interface TimeSpan {
  from: Ms;
  to: Ms;
}

/** How sure every interval is that is drawn or told. */
export const intervalMass: Ratio = 0.9;
/** Share of what lies outside of such an interval on either side. */
export const intervalTail: Ratio = (1 - intervalMass) / 2;
