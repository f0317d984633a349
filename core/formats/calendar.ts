import { createEvents, type DateArray } from 'ics';
import { dayAfter } from '../days.ts';

/** A day on which something is looked at again. */
export interface CalendarDay {
  /** The same as long as it is the same thing: a calendar that has it already changes it, and has it not twice. */
  id: string;
  /** Rises with every change. */
  version: number;
  /** ISO 8601. */
  day: string;
  title: string;
  description: string;
  /** Where it is on the pages. */
  url?: string;
}

const dateOf = (day: string): DateArray => day.split('-').map(Number) as DateArray;

/** iCalendar (RFC 5545), whole days. @throws Error when a day is none */
export function calendarOf(days: readonly CalendarDay[], name: string): string {
  const { error, value } = createEvents(
    days.map(({ id, version, day, title, description, url }) => ({
      uid: `${id}@wax-fist`,
      sequence: version,
      start: dateOf(day),
      // The day on which it ends is not part of it.
      end: dateOf(dayAfter(day, 1)),
      title,
      description,
      ...(url !== undefined && { url }),
      busyStatus: 'FREE' as const,
      transp: 'TRANSPARENT' as const,
    })),
    { productId: 'wax-fist', calName: name },
  );
  if (error || !value) throw new Error('This calendar could not be written.', { cause: error });
  return value;
}
