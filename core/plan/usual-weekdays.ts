import { rollup } from 'd3-array';
import { weekOf } from '../days.ts';

/** From Monday, 0. */
export const weekdayOf = (day: string): number => weekOf(day).indexOf(day);

/** On which days of the week somebody comes, who was there on these days: those of at least a third as many as the commonest. */
export function usualWeekdays(days: readonly string[]): number[] {
  const times = rollup(days, (some) => some.length, weekdayOf);
  const most = Math.max(0, ...times.values());
  return [...times.keys()].filter((weekday) => times.get(weekday)! * 3 >= most).sort((a, b) => a - b);
}
