import { dateOf, dayAndMonth, decimal, timeOfDay } from '@wax-fist/core/words';
import type { Ms } from '@wax-fist/core/units';
import { appWords as words } from './words.ts';

export function dayAndTime(instant: string): string {
  const date = dateOf(instant);
  return `${dayAndMonth(date)}, ${timeOfDay(date)}`;
}

/** Place in a film as minutes, seconds and hundredths. */
export function clock(time: Ms): string {
  const hundredths = Math.floor(time / 10);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${Math.floor(hundredths / 6000)}:${two(Math.floor(hundredths / 100) % 60)}.${two(hundredths % 100)}`;
}

/** How long something is likely to take still. */
export function timeLeft(time: Ms): string {
  const seconds = time / 1000;
  if (!Number.isFinite(seconds) || seconds > 86_400) return '';
  if (seconds < 10) return words.aFewSecondsLeft;
  return seconds < 90 ? words.aboutSLeft(Math.round(seconds / 5) * 5) : words.aboutMinLeft(Math.round(seconds / 60));
}

const units = ['B', 'kB', 'MB', 'GB'];
export function fileSize(bytes: number): string {
  const step = Math.min(units.length - 1, Math.floor(Math.log10(Math.max(1, bytes)) / 3));
  return `${decimal(bytes / 1000 ** step, step > 1 ? 1 : 0)} ${units[step]}`;
}
