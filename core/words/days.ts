import { format, parseISO } from 'date-fns';
import type { Ms, Seconds } from '../units.ts';

/** “Tue 17 Nov” in the year we are in, with the year otherwise. @param day ISO 8601 */
export function shortDay(day: string, now = new Date()): string {
  const date = parseISO(day);
  return format(date, date.getFullYear() === now.getFullYear() ? 'EEE d MMM' : 'd MMM yyyy');
}

/** “17 November 2026”: as it stands on paper, which is read in another year as well. @param day ISO 8601 */
export const wholeDay = (day: string): string => format(parseISO(day), 'd MMMM yyyy');

/** Today where one is, as YYYY-MM-DD, moved by some days. */
export function localDay(daysOn = 0, now = new Date()): string {
  return format(new Date(now.getFullYear(), now.getMonth(), now.getDate() + daysOn), 'yyyy-MM-dd');
}

/** “2:05”, in minutes and seconds. */
export const minutes = (time: Ms): string =>
  `${Math.floor(time / 60_000)}:${String(Math.floor(time / 1000) % 60).padStart(2, '0')}`;

/** The same of seconds, to the nearest one. */
export const clockTime = (time: Seconds): string => minutes(Math.max(0, Math.round(time)) * 1000);
