import type { Ms, Seconds } from '../units.ts';
import { manner, type Manner } from './manner.ts';

/** A day, or an instant, as it is where one is. @param text ISO 8601 */
export function dateOf(text: string): Date {
  const day = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text);
  return day ? new Date(Number(day[1]), Number(day[2]) - 1, Number(day[3])) : new Date(text);
}

const english = 'en-US';
const short = {
  weekday: new Intl.DateTimeFormat(english, { weekday: 'short' }),
  month: new Intl.DateTimeFormat(english, { month: 'short' }),
};
const wholeMonth = new Intl.DateTimeFormat(english, { month: 'long' });

/** “17 Nov”, “Nov 17”, or “11-17”. */
export function dayAndMonth(date: Date, { days } = manner()): string {
  const [day, month] = [date.getDate(), short.month.format(date)];
  return { 'day-first': `${day} ${month}`, 'month-first': `${month} ${day}`, 'year-first': isoDay(date).slice(5) }[days];
}

/** With the year: “17 Nov 2025”, “Nov 17, 2025”, or “2025-11-17”. */
function dayAndYear(date: Date, how: Manner): string {
  if (how.days === 'year-first') return isoDay(date);
  return `${dayAndMonth(date, how)}${how.days === 'month-first' ? ',' : ''} ${date.getFullYear()}`;
}

/** “Tue 17 Nov” in the year we are in, with the year otherwise. @param day ISO 8601 */
export function shortDay(day: string, now = new Date(), how = manner()): string {
  const date = dateOf(day);
  return date.getFullYear() === now.getFullYear()
    ? `${short.weekday.format(date)} ${dayAndMonth(date, how)}`
    : dayAndYear(date, how);
}

/** “17 November 2026”: as it stands on paper, which is read in another year as well. @param day ISO 8601 */
export function wholeDay(day: string, { days } = manner()): string {
  const date = dateOf(day);
  const [number, month, year] = [date.getDate(), wholeMonth.format(date), date.getFullYear()];
  return { 'day-first': `${number} ${month} ${year}`, 'month-first': `${month} ${number}, ${year}`, 'year-first': isoDay(date) }[
    days
  ];
}

const two = (value: number): string => String(value).padStart(2, '0');

/** Today where one is, as YYYY-MM-DD, moved by some days. */
export function localDay(daysOn = 0, now = new Date()): string {
  const date = new Date(now.getFullYear(), now.getMonth(), now.getDate() + daysOn);
  return isoDay(date);
}

const isoDay = (date: Date): string => `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;

/** “18:05”, or “6:05 pm”. */
export function timeOfDay(date: Date, { clock } = manner()): string {
  const [hours, minutes] = [date.getHours(), two(date.getMinutes())];
  return clock === '24' ? `${two(hours)}:${minutes}` : `${hours % 12 || 12}:${minutes} ${hours < 12 ? 'am' : 'pm'}`;
}

/** “2:05”, in minutes and seconds. */
export const minutes = (time: Ms): string => `${Math.floor(time / 60_000)}:${two(Math.floor(time / 1000) % 60)}`;

/** The same of seconds, to the nearest one. */
export const clockTime = (time: Seconds): string => minutes(Math.max(0, Math.round(time)) * 1000);
