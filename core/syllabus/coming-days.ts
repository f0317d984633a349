import { median } from 'd3-array';
import { dayAfter, daysBetween } from '../days.ts';

/** Days on which nobody trains, both included, as YYYY-MM-DD. */
export interface Closure {
  from: string;
  to: string;
}
export const isClosed = (closures: readonly Closure[], day: string): boolean =>
  closures.some(({ from, to }) => from <= day && day <= to);

/** Farther ahead nobody can see. */
const horizon = 182;
const usualGap = 7;
/** So many of the last sessions tell how often somebody comes. */
const sessionsTelling = 8;

/** How many days lie between two sessions of somebody, usually; a week where nobody knows. @param days of past sessions, in order */
export function usualDaysApart(days: readonly string[]): number {
  const lately = [...new Set(days)].sort().slice(-sessionsTelling);
  return Math.max(1, Math.round(median(lately.slice(1), (day, place) => daysBetween(lately[place]!, day)) ?? usualGap));
}

/** The days of the sessions to come: those that are planned, and after them as often as somebody comes; half a year ahead, none on a closed day. */
export function comingDays(today: string, planned: readonly string[], apart: number, closures: readonly Closure[]): string[] {
  const days = [...new Set(planned)].filter((day) => day >= today).sort();
  const until = dayAfter(today, horizon);
  for (let day = dayAfter(days.at(-1) ?? today, apart); day <= until; day = dayAfter(day, apart)) days.push(day);
  return days.filter((day) => !isClosed(closures, day));
}
