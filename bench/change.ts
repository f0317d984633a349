import {
  clubSpread,
  levelOver,
  sureEnough,
  usualSpread,
  usualTarget,
  worthwhile,
  type ClubSpread,
} from '@wax-fist/core/correction';
import { mean, median } from 'd3-array';
import { fellByTheRuleBefore, saidByTheRuleBefore } from './rule-before.ts';
import {
  courses,
  simulatedSeries,
  usualSetting,
  type ClubSetting,
  type CourseName,
  type SimulatedSeries,
} from './simulated-series.ts';
import { percent, print, printTable, type Line } from './table.ts';

/** One answer, and whether it was right. */
interface Answered {
  said: 'better' | 'worse' | undefined;
  fell: number;
  rose: number;
  /** Whether it has fallen, or risen, by as much as is worth a word, since the time that is asked about. */
  hasFallen: boolean;
  hasRisen: boolean;
}

/** So many clubs of a kind, each with series of its own to learn from, and so many series of each course asked in each. */
const [clubs, series] = [3, 50];
const fromClub = { none: 24, 'jump of 30': 8, 'slope of 30': 8 } as const;
/** What was looked at while the model was made came from other seeds. */
const heldBackSeed = 21001;
const nearly = 1e-9;

const settings: { name: string; setting: ClubSetting; usual?: boolean; asked: boolean }[] = [
  { name: 'independent strikes', setting: usualSetting, asked: true },
  { name: 'ICC 0.05, days 3 points', setting: { ...usualSetting, icc: 0.05, day: 0.03 }, asked: true },
  { name: 'ICC 0.1, days 5 points', setting: { ...usualSetting, icc: 0.1, day: 0.05 }, asked: true },
  { name: 'ICC 0.15, days 8 points', setting: { ...usualSetting, icc: 0.15, day: 0.08 }, asked: true },
  {
    name: 'streaks, two rounds, 4 to 24 days apart, watches',
    setting: { ...usualSetting, day: 0.04, rounds: 2, gap: [4, 24], watch: 0.4, streak: 0.25 },
    asked: false,
  },
  {
    name: 'ICC 0.05, days 3 points, nothing known of the club',
    setting: { ...usualSetting, icc: 0.05, day: 0.03 },
    usual: true,
    asked: false,
  },
  {
    name: 'ICC 0.05, days 3 points, told by a measure alone',
    setting: { ...usualSetting, icc: 0.05, day: 0.03, measured: { own: 0.5, shared: 0.2 } },
    asked: false,
  },
];

/** Every look after the first of every series. */
type Ask = (one: InClub, place: number) => Answered;
/** A series, and what its club has learned. */
interface InClub extends SimulatedSeries {
  spread: ClubSpread;
}
const isMoved = ({ levels }: SimulatedSeries, from: number, to: number) => ({
  hasFallen: levels[to]! <= levels[from]! - worthwhile + nearly,
  hasRisen: levels[to]! >= levels[from]! + worthwhile - nearly,
});

function figuresOf(all: ReadonlyMap<CourseName, InClub[]>, ask: Ask) {
  const answers = new Map(
    [...all].map(([name, list]) => [name, list.map((one) => one.looks.slice(1).map((_, before) => ask(one, before + 1)))]),
  );
  const told = (name: CourseName): number => {
    const last = answers.get(name)!.filter((looks, place) => isMoved(all.get(name)![place]!, 0, looks.length).hasFallen);
    return mean(last, (looks) => (looks.some(({ said, hasFallen }) => said === 'better' && hasFallen) ? 1 : 0))!;
  };
  const every = [...answers.values()].flat(2);
  const sure = every.flatMap(({ fell, rose, hasFallen, hasRisen }) => [
    ...(fell >= 0.9 ? [hasFallen] : []),
    ...(rose >= 0.9 ? [hasRisen] : []),
  ]);
  return {
    falseWords: mean(answers.get('none')!, (looks) => (looks.some(({ said }) => said !== undefined) ? 1 : 0))!,
    drop: told('jump of 30'),
    slope: told('slope of 30'),
    sureAndTrue: mean(sure, Number) ?? 1,
    brier: mean(every, ({ fell, hasFallen }) => (fell - Number(hasFallen)) ** 2)!,
  };
}

const pair = (now: string, before: string): string => `${now} (${before})`;

/** Whether what is said of a change is right as often as it claims, against truth that is simulated. */
export function benchChange(): void {
  const rows: string[][] = [];
  const lines: Line[] = [];
  for (const { name, setting, usual, asked } of settings) {
    const all = new Map((Object.keys(courses) as CourseName[]).map((course) => [course, [] as InClub[]]));
    for (let club = 0; club < clubs; club++) {
      const seed = heldBackSeed + 1000 * club;
      const learned = Object.entries(fromClub).flatMap(([course, count], place) =>
        simulatedSeries(count, course as CourseName, { ...setting, sessions: 6 }, seed + 100 + place),
      );
      const spread = usual ? usualSpread : clubSpread(learned.map(({ looks }) => ({ looks, opening: 0 })));
      for (const [place, [course, list]] of [...all].entries())
        list.push(...simulatedSeries(series, course, setting, seed + place).map((one) => ({ ...one, spread })));
    }
    const now = figuresOf(all, (one, place) => {
      const { fell, rose } = levelOver(one.looks.slice(0, place + 1), one.spread, {
        opening: 0,
        aim: usualTarget,
        worthwhile,
        worked: true,
      });
      const said = fell >= sureEnough ? 'better' : rose >= sureEnough ? 'worse' : undefined;
      return { said, fell, rose, ...isMoved(one, 0, place) };
    });
    const before = figuresOf(all, (one, place) => {
      const [was, is] = [one.looks[place - 1]!.tally, one.looks[place]!.tally];
      const [fell, rose] = [fellByTheRuleBefore(was, is), fellByTheRuleBefore(is, was)];
      return { said: saidByTheRuleBefore(was, is), fell, rose, ...isMoved(one, place - 1, place) };
    });
    // The rule before, asked the same question: the opening against now.
    const { brier } = figuresOf(all, (one, place) => {
      const fell = fellByTheRuleBefore(one.looks[0]!.tally, one.looks[place]!.tally);
      return { said: undefined, fell, rose: 0, ...isMoved(one, 0, place) };
    });
    rows.push([
      name,
      pair(percent(now.falseWords), percent(before.falseWords)),
      pair(percent(now.drop), percent(before.drop)),
      pair(percent(now.slope), percent(before.slope)),
      pair(percent(now.sureAndTrue), percent(before.sureAndTrue)),
      pair(now.brier.toFixed(3), brier.toFixed(3)),
    ]);
    if (!asked) continue;
    const line = (what: string, measured: string, target: string, reached: boolean): void =>
      void lines.push({ what: `${name}: ${what}`, measured, target, reached });
    line('any false word in 7 looks', percent(now.falseWords), '≤ 10%', now.falseWords <= 0.1);
    line('said at ≥ 0.9: true', percent(now.sureAndTrue), '≥ 85%', now.sureAndTrue >= 0.85);
    line('Brier, against the rule before', `${now.brier.toFixed(3)} / ${brier.toFixed(3)}`, 'below', now.brier < brier);
    if (setting.icc !== 0.05) continue;
    line('drop of 30 told by the eighth session', percent(now.drop), '≥ 70%', now.drop >= 0.7);
    line('slope of 30 told', percent(now.slope), '≥ 45%', now.slope >= 0.45);
  }
  lines.push(longSeries());
  print('Better, worse or noise', lines);
  console.log('\nIn brackets the rule before:');
  printTable(['club', 'any false word', 'drop of 30 told', 'slope of 30 told', 'said ≥ 0.9: true', 'Brier'], rows);
}

/** What thirty sessions take. */
function longSeries(): Line {
  const setting = { ...usualSetting, icc: 0.05, day: 0.03 };
  const club = clubSpread(simulatedSeries(60, 'none', setting, 3));
  const times = simulatedSeries(40, 'slope of 30', { ...setting, sessions: 30 }, 4).map(({ looks }) => {
    const begun = performance.now();
    levelOver(looks, club, { opening: 0, aim: usualTarget, worthwhile, worked: true });
    return performance.now() - begun;
  });
  const took = median(times.slice(10))!;
  return { what: 'one answer over 30 sessions', measured: `${took.toFixed(0)} ms`, target: '≤ 20 ms', reached: took <= 20 };
}
