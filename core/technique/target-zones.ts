import type { Ratio } from '../units.ts';
import type { Band, Span } from './band.ts';

/** How high something is aimed. */
export const heights = ['head', 'body', 'legs'] as const;
export type Height = (typeof heights)[number];

interface Zone {
  height: Height;
  /**
   * From where to where it lies, over the hip joints of whoever is as tall and stands as whoever strikes, in trunks. Chin, eyes, knees
   * and ankles after Drillis and Contini (1966), who put the hips at 0.530 and the shoulders at 0.818 of the stature; the belt line is
   * that of the hip bones, a quarter of a trunk over the joints, and the lowest ribs lie an eighth above that.
   */
  at: readonly [Ratio, Ratio];
}
const zones = {
  face: { height: 'head', at: [1.1, 1.5] },
  chin: { height: 'head', at: [1, 1.25] },
  temple: { height: 'head', at: [1.25, 1.5] },
  'solar plexus': { height: 'body', at: [0.5, 0.8] },
  ribs: { height: 'body', at: [0.38, 0.85] },
  hip: { height: 'body', at: [-0.1, 0.25] },
  thigh: { height: 'legs', at: [-0.9, -0.1] },
  'lower leg': { height: 'legs', at: [-1.8, -0.9] },
} as const satisfies Record<string, Zone>;

/** Where a strike may land: nothing below the belt line, nothing behind the side seam. */
export type TargetZone = keyof typeof zones;
export const targetZones = Object.keys(zones) as TargetZone[];

/** The one height at which something lands; undefined where it may be aimed higher or lower, and where it lands nowhere. */
export function heightOf(aimedAt: readonly TargetZone[]): Height | undefined {
  const [height, ...others] = new Set(aimedAt.map((zone) => zones[zone].height));
  return others.length > 0 ? undefined : height;
}

/** About a hand’s breadth beside a zone, in trunks: from the lowest ribs to the belt line. */
const beside: Ratio = 0.13;
/** How high the hip joints of somebody who stands lie over the floor, in their trunks (Drillis and Contini 1966). */
const hips: Ratio = 0.53 / 0.288;
/**
 * How high a strike that may land in these zones is clean, from the lowest to the highest of them, in trunks of whoever strikes over their
 * hips; undefined where it lands nowhere.
 * @param opponent how tall whoever it is thrown at is, of whoever strikes: what lies z over their hips lies r · z + (r − 1) · h over the own
 */
export function bandOfZones(aimedAt: readonly TargetZone[], opponent: Ratio = 1): Band | undefined {
  if (aimedAt.length === 0) return undefined;
  const over = (at: Ratio): Ratio => opponent * at + (opponent - 1) * hips;
  const [from, to] = [
    over(Math.min(...aimedAt.map((zone) => zones[zone].at[0]))),
    over(Math.max(...aimedAt.map((zone) => zones[zone].at[1]))),
  ];
  const span = (more: Ratio): Span => [from - more, to + more];
  return { clean: span(0), watch: span(beside) };
}
