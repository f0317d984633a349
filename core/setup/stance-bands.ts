import { measures } from '../technique/index.ts';
import type { Ratio } from '../units.ts';

/** The clean band of a measure that has both ends. @throws RangeError for one that has not */
export function bandOfMeasure(id: 'stance-width' | 'stance-length'): { from: Ratio; to: Ratio } {
  const [from, to] = measures[id].band?.clean ?? [null, null];
  if (from === null || to === null) throw new RangeError(`“${id}” has no band with two ends.`);
  return { from, to };
}
