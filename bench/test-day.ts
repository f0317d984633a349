import { chanceAtAim, daysToLock, sureOfAim, usualSpread, type Look } from '@wax-fist/core/correction';
import { daysBetween } from '@wax-fist/core/days';
import { earliestLock } from '@wax-fist/core/syllabus';
import { median } from 'd3-array';
import { courses, simulatedSeries, usualSetting, type ClubSetting, type CourseName } from './simulated-series.ts';
import { percent, printTable } from './table.ts';

/** The pass mark of a test, as share of faults. */
const aim = 0.2;
/** So many sessions were seen when the day is asked for, and so many come after it. */
const [seenBefore, sessions] = [6, 22];
const series = 120;
/** Other seeds than those that anything was looked at with. */
const seed = 31007;

const settings: { name: string; setting: ClubSetting }[] = [
  { name: 'independent strikes', setting: { ...usualSetting, sessions } },
  { name: 'ICC 0.1, days 5 points', setting: { ...usualSetting, sessions, icc: 0.1, day: 0.05 } },
];

/** When it is locked by the same rule, as the sessions come; undefined when it never is. */
function lockedOn(looks: readonly Look[]): string | undefined {
  let held: string | undefined;
  for (let count = seenBefore + 1; count <= looks.length; count++) {
    const { heldOn } = looks[count - 1]!;
    if (chanceAtAim(looks.slice(0, count), usualSpread, aim) < sureOfAim) continue;
    if (held !== undefined && daysBetween(held, heldOn) >= daysToLock) return heldOn;
    held ??= heldOn;
  }
  return undefined;
}

/** Of what the day that is called the earliest says, how often the real one was before it, and how long after it it came. */
export function benchTestDay(): void {
  const rows = settings.flatMap(({ name, setting }, place) =>
    (Object.keys(courses) as CourseName[]).map((course, at) => {
      const all = simulatedSeries(series, course, setting, seed + 100 * place + at);
      const asked = all.map(({ looks }) => {
        const known = looks.slice(0, seenBefore);
        const days = looks.slice(seenBefore).map(({ heldOn }) => heldOn);
        const at = earliestLock({ looks: new Map([[3, known]]), rungs: [3], heldOn: null, aim }, days, usualSpread);
        return { said: 'day' in at ? at.day : undefined, was: lockedOn(looks) };
      });
      const named = asked.filter(({ said }) => said !== undefined);
      const before = named.filter(({ said, was }) => was !== undefined && was < said!);
      const kept = named.filter(({ was }) => was !== undefined);
      const unnamed = asked.filter(({ said }) => said === undefined);
      return [
        ...[name, course, percent(named.length / series), percent(named.length === 0 ? undefined : before.length / named.length)],
        percent(named.length === 0 ? undefined : kept.length / named.length),
        kept.length === 0 ? '–' : Math.round(median(kept, ({ said, was }) => daysBetween(said!, was!))!),
        percent(unnamed.length === 0 ? undefined : unnamed.filter(({ was }) => was !== undefined).length / unnamed.length),
      ];
    }),
  );
  console.log('\nThe earliest day of a test');
  printTable(
    [
      'club',
      'what becomes of the level',
      'a day is named',
      'locked before it',
      'locked at all',
      'days after it (median)',
      'no day named, and yet locked',
    ],
    rows,
  );
}
