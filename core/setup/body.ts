import type { Centimetres, Ratio } from '../units.ts';

/** A length with what it may be off by, and where it comes from. */
export interface Told {
  value: Centimetres;
  /** Half of what two in three people lie within. */
  error: Centimetres;
  source: string;
}

/** Shares of the stature, what people differ by in them, and who measured them. */
interface Share {
  share: Ratio;
  spread: Ratio;
  source: string;
}
const segments = 'Drillis and Contini (1966), shares of the stature';
/** Where no table gives the spread it is our own estimate from how shares of this kind differ, rounded up. */
const shares = {
  eyes: { share: 0.936, spread: 0.006, source: segments },
  mouth: { share: 0.895, spread: 0.007, source: `${segments}, between eyes and chin` },
  chin: { share: 0.87, spread: 0.007, source: segments },
  shoulder: { share: 0.818, spread: 0.009, source: segments },
  solarPlexus: { share: 0.72, spread: 0.012, source: 'between shoulder and hip of the same table' },
  lowerRibs: { share: 0.66, spread: 0.013, source: 'between shoulder and hip of the same table' },
  belt: { share: 0.61, spread: 0.013, source: 'above the hip of the same table (0.530)' },
  navel: { share: 0.6, spread: 0.013, source: 'above the hip of the same table (0.530)' },
  reach: { share: 0.395, spread: 0.015, source: `${segments}: upper arm 0.186, forearm 0.146, closed hand about 0.06` },
  upperArm: { share: 0.186, spread: 0.009, source: segments },
  forearmAndFist: { share: 0.206, spread: 0.01, source: `${segments}: forearm 0.146, closed hand about 0.06` },
  shoulderWidth: { share: 0.259, spread: 0.012, source: `${segments}, over both shoulders` },
  torso: { share: 0.288, spread: 0.01, source: segments },
  foot: { share: 0.152, spread: 0.006, source: segments },
} as const satisfies Record<string, Share>;
export type BodyMeasure = keyof typeof shares;
export const bodyMeasures = Object.keys(shares) as readonly BodyMeasure[];

/** What is known of a body: its stature, and what somebody has measured of it. */
export interface KnownBody {
  stature: Centimetres;
  measured: Partial<Record<BodyMeasure, Centimetres>>;
}

/** A tape is read to a centimetre. */
const tape: Centimetres = 1;

/** A measure of a body: as it was measured, else from its stature. */
export function tellMeasure({ stature, measured }: KnownBody, which: BodyMeasure): Told {
  const own = measured[which];
  if (own !== undefined) return { value: own, error: tape, source: 'measured' };
  const { share, spread, source } = shares[which];
  return { value: stature * share, error: Math.hypot(stature * spread, tape * share), source };
}

/** The sum of some lengths, each off by itself. */
export const sumOf = (parts: readonly Told[], source: string): Told => ({
  value: parts.reduce((sum, { value }) => sum + value, 0),
  error: Math.hypot(...parts.map(({ error }) => error)),
  source,
});
/** So often a length. */
export const timesOf = ({ value, error, source }: Told, times: number): Told => ({
  value: value * times,
  error: error * Math.abs(times),
  source,
});
/** A length that is what it is. */
export const exactly = (value: Centimetres, source: string): Told => ({ value, error: 0, source });
