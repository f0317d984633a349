import { format, parseISO } from 'date-fns';
import type { FaultRate } from '@wax-fist/core/correction';
import type { Ms } from '@wax-fist/core/units';

/** “Tue 17 Nov” in the year we are in, with the year otherwise. */
export function shortDay(day: string, now = new Date()): string {
  const date = parseISO(day);
  return format(date, date.getFullYear() === now.getFullYear() ? 'EEE d MMM' : 'd MMM yyyy');
}

export const dayAndTime = (instant: string): string => format(parseISO(instant), 'd MMM, HH:mm');

/** Today where the coach is, as YYYY-MM-DD, moved by some days. */
export function localDay(daysOn = 0, now = new Date()): string {
  return format(new Date(now.getFullYear(), now.getMonth(), now.getDate() + daysOn), 'yyyy-MM-dd');
}

/** Place in a film as minutes, seconds and hundredths. */
export function clock(time: Ms): string {
  const hundredths = Math.floor(time / 10);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${Math.floor(hundredths / 6000)}:${two(Math.floor(hundredths / 100) % 60)}.${two(hundredths % 100)}`;
}

const halves = (count: number): string => (Number.isInteger(count) ? String(count) : `${Math.floor(count) || ''}½`);

/** “14½ of 24”; a watch is half a fault. What measures say is worth so many strikes, and never a whole number of them. */
export const faultsOfSeen = ({ faults, seen }: Pick<FaultRate, 'faults' | 'seen'>): string =>
  Number.isInteger(seen) && Number.isInteger(2 * faults)
    ? `${halves(faults)} of ${seen}`
    : `about ${Math.round(faults)} of ${Math.round(seen)}, with measures`;

export const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** A rate in words; never a bare percentage when too few were seen. */
export const rateInWords = (rate: FaultRate): string =>
  rate.seen === 0
    ? 'nothing seen'
    : rate.enough
      ? `${percent(rate.rate)} (${percent(rate.low)}–${percent(rate.high)})`
      : 'too few to say';

/** How long something is likely to take still. */
export function timeLeft(time: Ms): string {
  const seconds = time / 1000;
  if (!Number.isFinite(seconds) || seconds > 86_400) return '';
  if (seconds < 10) return 'a few seconds left';
  return seconds < 90 ? `about ${Math.round(seconds / 5) * 5} s left` : `about ${Math.round(seconds / 60)} min left`;
}

const units = ['B', 'kB', 'MB', 'GB'];
export function fileSize(bytes: number): string {
  const step = Math.min(units.length - 1, Math.floor(Math.log10(Math.max(1, bytes)) / 3));
  return `${(bytes / 1000 ** step).toFixed(step > 1 ? 1 : 0)} ${units[step]}`;
}

export const counted = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
