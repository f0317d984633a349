import type { MeasuredRateOfSession } from '@wax-fist/contract/measures';
import { percent } from '@wax-fist/core/words';
import { measuredInWords } from '../checklists/measured-words.ts';
import { tellsSomething } from './sheet-rows.ts';

/** “31 of 58, 53% (44–62%), on these 14 ± 4 cm”: what measures alone say. @param measure in which it is told @param stature centimetres */
export function measuredRateInWords(rate: MeasuredRateOfSession, measure: string, stature: number | null): string {
  const { strikes, low, high, fault, watch, amiss } = rate;
  const interval = `${percent(low)}–${percent(high)}`;
  if (!tellsSomething(rate)) return `cannot tell by itself (${interval})`;
  const count = Math.round(fault + watch / 2);
  const told = `${count} of ${strikes}, ${percent(rate.rate)} (${interval})`;
  return amiss && count > 0 ? `${told}, on these ${measuredInWords(measure, amiss, stature)}` : told;
}
