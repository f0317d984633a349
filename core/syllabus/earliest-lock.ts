import { median } from 'd3-array';
import { chanceAtAim, daysToLock, fewestSeen, levelAhead, sureOfAim, type ClubSpread, type Look } from '../correction/index.ts';
import { daysBetween } from '../days.ts';
import { seen } from '../review/index.ts';
import type { Ratio } from '../units.ts';

/** Something that has to be locked, rung by rung. */
export interface ToLock {
  /** What was seen at each rung, oldest first. */
  looks: ReadonlyMap<number, readonly Look[]>;
  /** Those that are not locked yet, the easiest first. */
  rungs: readonly number[];
  /** When it was first seen to hold at the first of them, as long as it still does. */
  heldOn: string | null;
  aim: Ratio;
}

/** The earliest day on which something can be met, after so many more sessions; or why nobody can name one. */
export type Earliest = { day: string; sessions: number } | { never: string };

/** A session shows at least so many strikes of what it looks at. */
const fewStrikes = 12;
/** What takes more looks at a rung than this nobody waits for. */
const mostLooks = 8;

const weeksFrom = (day: string, to: string): number => Math.max(0, Math.round(daysBetween(day, to) / 7));

/** What a session is thought to show at a level. */
const thought = (heldOn: string, level: Ratio, strikes: number): Look => ({
  heldOn,
  tally: { clean: strikes * (1 - level), watch: 0, fault: strikes * level, cantSee: 0 },
});

/**
 * The earliest honest day on which something is locked at the last of its rungs. The level of “whether it holds” is followed to each
 * coming session as it goes on by itself, the session is thought to show just that, and the same rules ask of it what they ask of a
 * real one: sure enough at the aim, and again at least so many days later. At a rung that was never looked at it is thought to hold as
 * well as at the rung before, which is the best that can be: no earlier day is honest, a later one may well be true.
 * @param days of the sessions to come, in order
 */
export function earliestLock({ looks, rungs, heldOn, aim }: ToLock, days: readonly string[], club: ClubSpread): Earliest {
  let basis = nearestBelow(looks, rungs[0] ?? 0);
  let [next, sessions, held] = [0, 0, heldOn];
  let last: string | undefined;
  for (const rung of rungs) {
    const own = looks.get(rung) ?? [];
    if (own.length > 0) basis = own;
    if (basis.length === 0) return { never: 'It was never looked at: film it once, and a day can be named.' };
    const since = basis.at(-1)!.heldOn;
    const ahead = levelAhead(basis, club, weeksFrom(since, days.at(-1) ?? since));
    const strikes = Math.max(fewStrikes, Math.round(median(basis, ({ tally }) => seen(tally))!));
    const shown: Look[] = [];
    let locked = false;
    for (; next < days.length && !locked && shown.length < mostLooks; next++) {
      const day = days[next]!;
      const level = ahead[weeksFrom(since, day)]!;
      if (level > aim || (held !== null && daysBetween(held, day) < daysToLock)) continue;
      shown.push(thought(day, level, strikes));
      sessions++;
      if (seen(shown.at(-1)!.tally) < fewestSeen || chanceAtAim([...own, ...shown], club, aim) < sureOfAim) continue;
      if (held !== null) [locked, last] = [true, day];
      held ??= day;
    }
    if (!locked) return { never: whyNever({ ahead, aim, days, looks: shown.length, chance: chanceAtAim(basis, club, aim) }) };
    held = null;
  }
  return last === undefined ? { never: 'Nothing is left to lock.' } : { day: last, sessions };
}

/** What was seen at the nearest easier rung; where there is none, at the nearest harder one. */
function nearestBelow(looks: ToLock['looks'], rung: number): readonly Look[] {
  const seenAt = [...looks.keys()].filter((one) => looks.get(one)!.length > 0).sort((a, b) => a - b);
  const nearest = seenAt.filter((one) => one < rung).at(-1) ?? seenAt[0];
  return nearest === undefined ? [] : looks.get(nearest)!;
}

/** So likely at the aim, what was seen does not rule out that it is there. */
const leftOpen: Ratio = 0.2;

function whyNever({
  ahead,
  aim,
  days,
  looks,
  chance,
}: {
  ahead: readonly Ratio[];
  aim: Ratio;
  days: readonly string[];
  looks: number;
  chance: Ratio;
}): string {
  if (days.length === 0) return 'No session is to come.';
  if (looks >= mostLooks) return `So near the pass mark ${mostLooks} more looks do not make sure of it.`;
  if (ahead.some((level) => level <= aim)) return 'There are too few sessions to come within half a year.';
  return chance >= leftOpen
    ? 'What was seen leaves it open whether it is there already: film it again, and a day can be named.'
    : 'At the rate at which it goes now it does not get there within half a year.';
}
