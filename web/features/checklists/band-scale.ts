import type { Band } from '@wax-fist/core/technique';

/** From where to where something is drawn, in the unit of its measure. */
export interface Scale {
  from: number;
  to: number;
}

/** Where a band ends, in no order. */
export const endsOf = ({ clean, watch }: Band): number[] => [...clean, ...watch].filter((end): end is number => end !== null);

/** A scale that shows all ends of a band, what was measured, and some room on either side. */
export function scaleFor(band: Band, values: readonly number[]): Scale {
  const shown = [...endsOf(band), ...values];
  const [low, high] = [Math.min(...shown), Math.max(...shown)];
  const room = Math.max(high - low, Math.abs(high) * 0.3, 0.2) * 0.3;
  return { from: low - room, to: high + room };
}
