/** The date so many days later. */
export function clubDayAfter(at: Date, days: number): string {
  const then = new Date(at);
  then.setDate(then.getDate() + days);
  return clubDay(then);
}

/** Today's date where the club's server stands, as YYYY-MM-DD. */
export function clubDay(now = new Date()): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
