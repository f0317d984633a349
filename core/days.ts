const dayLength = 86_400_000;

/** Days from one day to another, both as YYYY-MM-DD; below nothing when the other was before. */
export const daysBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / dayLength;

/** The day so many days after another, or before it, as YYYY-MM-DD. */
export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * dayLength).toISOString().slice(0, 10);

/** The seven days of the week of a day, from Monday. @param day YYYY-MM-DD */
export function weekOf(day: string): string[] {
  const weekday = new Date(`${day}T12:00:00Z`).getUTCDay();
  const monday = dayAfter(day, -((weekday + 6) % 7));
  return Array.from({ length: 7 }, (_, place) => dayAfter(monday, place));
}
