import type { Ms, Seconds } from '../units.ts';

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

/** “17 Nov”. */
export const dayAndMonth = (date: Date): string => `${date.getDate()} ${short.month.format(date)}`;

/** “Tue 17 Nov” in the year we are in, with the year otherwise. @param day ISO 8601 */
export function shortDay(day: string, now = new Date()): string {
  const date = dateOf(day);
  return date.getFullYear() === now.getFullYear()
    ? `${short.weekday.format(date)} ${dayAndMonth(date)}`
    : `${dayAndMonth(date)} ${date.getFullYear()}`;
}

/** “17 November 2026”: as it stands on paper, which is read in another year as well. @param day ISO 8601 */
export function wholeDay(day: string): string {
  const date = dateOf(day);
  return `${date.getDate()} ${wholeMonth.format(date)} ${date.getFullYear()}`;
}

const two = (value: number): string => String(value).padStart(2, '0');

/** Today where one is, as YYYY-MM-DD, moved by some days. */
export function localDay(daysOn = 0, now = new Date()): string {
  const date = new Date(now.getFullYear(), now.getMonth(), now.getDate() + daysOn);
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** “18:05”. */
export const timeOfDay = (date: Date): string => `${two(date.getHours())}:${two(date.getMinutes())}`;

/** “2:05”, in minutes and seconds. */
export const minutes = (time: Ms): string => `${Math.floor(time / 60_000)}:${two(Math.floor(time / 1000) % 60)}`;

/** The same of seconds, to the nearest one. */
export const clockTime = (time: Seconds): string => minutes(Math.max(0, Math.round(time)) * 1000);
