import { localDay } from '@wax-fist/core/words';

/** The date so many days later. */
export const clubDayAfter = (at: Date, days: number): string => localDay(days, at);

/** Today's date where the club's server stands, as YYYY-MM-DD. */
export const clubDay = (now = new Date()): string => localDay(0, now);
