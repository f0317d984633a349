import { rollup } from 'd3-array';
import { weekOf } from '../days.ts';

/** Credits for days on which somebody was there: one a day, of a week so many at most. */
export function creditsOf(days: Iterable<string>, aWeek: number): number {
  const ofWeeks = rollup(
    new Set(days),
    (some) => some.length,
    (day) => weekOf(day)[0]!,
  );
  return [...ofWeeks.values()].reduce((sum, count) => sum + Math.min(count, aWeek), 0);
}

/** The coming day on which credits are enough; undefined when there are too few days. */
export function creditsBy(
  asked: number,
  aWeek: number,
  attended: readonly string[],
  coming: readonly string[],
): { day: string; sessions: number } | undefined {
  const had = [...attended];
  for (const [place, day] of coming.entries()) {
    had.push(day);
    if (creditsOf(had, aWeek) >= asked) return { day, sessions: place + 1 };
  }
  return undefined;
}
