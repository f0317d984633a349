import { tallyByMeasures, type Look } from '@wax-fist/core/correction';
import { measuredRate, usualTail, type MeasuredValue } from '@wax-fist/core/measure';
import { emptyTally, type Tally } from '@wax-fist/core/review';
import type { Band } from '@wax-fist/core/technique';
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { randomBeta, randomBinomial, randomInt, randomLcg, randomNormal, randomUniform } from 'd3-random';

/** A trainee's true levels at one thing, session by session, and what was counted. */
export interface SimulatedSeries {
  looks: Look[];
  /** Shares of faults that nobody knows, without what the day did to them. */
  levels: number[];
}

/** What becomes of a level over the sessions of a series, as the part of `points` by which it has fallen; `at` is drawn for each. */
type Course = (session: number, sessions: number, at: number) => number;
const jump: Course = (session, _sessions, at) => (session >= at ? 1 : 0);
const slope: Course = (session, sessions) => session / (sessions - 1);

/** What may happen to a trainee. */
export const courses = {
  none: { course: () => 0, points: 0 },
  'jump of 10': { course: jump, points: 0.1 },
  'jump of 20': { course: jump, points: 0.2 },
  'jump of 30': { course: jump, points: 0.3 },
  'slope of 20': { course: slope, points: 0.2 },
  'slope of 30': { course: slope, points: 0.3 },
  relapse: { course: (session, _sessions, at) => (session >= at && session < at + 3 ? 1 : 0), points: 0.3 },
} satisfies Record<string, { course: Course; points: number }>;
export type CourseName = keyof typeof courses;

/** How a club trains and is counted. */
export interface ClubSetting {
  /** Correlation of the strikes of a round. */
  icc: number;
  /** Standard deviation of a day's rate round the level. */
  day: number;
  sessions: number;
  rounds: number;
  /** Fewest and most strikes a round. */
  perRound: [number, number];
  /** Fewest and most days from session to session. */
  gap: [number, number];
  /** Share of the faults that a coach calls a watch, and of the clean strikes; halves of faults make the level then. */
  watch: number;
  /** Share of strikes that simply are what the strike before was. */
  streak: number;
  /**
   * How far a measure is off where no coach judges, in spreads of what is measured: each strike by itself, and all of a day together.
   * Undefined where coaches judge.
   */
  measured?: { own: number; shared: number };
}

/** As the worked trial had it: weekly sessions of three rounds. */
export const usualSetting: ClubSetting = {
  icc: 0,
  day: 0,
  sessions: 8,
  rounds: 3,
  perRound: [6, 16],
  gap: [7, 7],
  watch: 0,
  streak: 0,
};

/** Beyond this a value is a fault. */
const edge: Band = { clean: [null, 0], watch: [null, 0] };
/** What a measure tells of a day: true values spread normally, so many of them beyond the edge as there are faults. */
function byMeasure(
  faults: number,
  strikes: number,
  rate: number,
  normal: () => number,
  { own, shared }: { own: number; shared: number },
): Tally {
  const middle = normalQuantile(rate, 0, 1);
  const off = shared * normal();
  const values: MeasuredValue[] = [];
  let [beyond, within] = [faults, strikes - faults];
  while (beyond + within > 0) {
    const value = middle + normal();
    if (value > 0 ? beyond === 0 : within === 0) continue;
    if (value > 0) beyond--;
    else within--;
    values.push({ value: value + own * normal() + off, doubt: Math.hypot(own, shared), shared, degrees: usualTail });
  }
  const told = measuredRate(edge, values);
  return told ? tallyByMeasures(told) : emptyTally;
}

const lowest = 0.02;
const firstDay = Date.UTC(2026, 0, 5);

/** So many series of one kind, always the same from a seed. */
export function simulatedSeries(count: number, name: CourseName, setting: ClubSetting, seed: number): SimulatedSeries[] {
  const source = randomLcg(seed);
  const { icc, day, sessions, rounds, perRound, gap, watch, streak, measured } = setting;
  const { course, points } = courses[name];
  const start = randomBeta.source(source)(2.5, 4);
  const ofDay = randomNormal.source(source)(0, 1);
  const at = randomInt.source(source)(2, sessions - 2);
  const strikes = randomInt.source(source)(perRound[0], perRound[1] + 1);
  const days = randomInt.source(source)(gap[0], gap[1] + 1);
  const binomial = (n: number, p: number): number => randomBinomial.source(source)(n, p)();
  const uniform = randomUniform.source(source)(0, 1);
  const faultsOf = (n: number, rate: number): number => {
    if (streak === 0) return binomial(n, rate);
    let [faults, isFault] = [0, uniform() < rate];
    for (let strike = 0; strike < n; strike++) {
      if (strike > 0 && uniform() >= streak) isFault = uniform() < rate;
      if (isFault) faults++;
    }
    return faults;
  };
  const inRound = (rate: number): number =>
    icc === 0 ? rate : randomBeta.source(source)(rate * (1 / icc - 1), (1 - rate) * (1 / icc - 1))();
  return Array.from({ length: count }, () => {
    const first = Math.min(0.8, Math.max(0.08, start()));
    const when = at();
    const fall = Math.min(points, first - lowest);
    let heldAt = firstDay;
    const levels: number[] = [];
    const looks: Look[] = [];
    for (let session = 0; session < sessions; session++) {
      const level = Math.max(lowest, first - fall * course(session, sessions, when));
      const today = day === 0 ? level : Math.min(0.97, Math.max(0.01, level + day * ofDay()));
      const tally = { clean: 0, watch: 0, fault: 0, cantSee: 0 };
      for (let round = 0; round < rounds; round++) {
        const seen = strikes();
        const faults = faultsOf(seen, inRound(today));
        // A watch is half a fault: of every two, one was a fault and one was clean, so that the level stays what it is.
        const watched = binomial(Math.min(faults, seen - faults), watch);
        tally.fault += faults - watched;
        tally.clean += seen - faults - watched;
        tally.watch += 2 * watched;
      }
      levels.push(level);
      const told = measured ? byMeasure(tally.fault, tally.fault + tally.clean, today, ofDay, measured) : tally;
      looks.push({ heldOn: new Date(heldAt).toISOString().slice(0, 10), tally: told });
      heldAt += days() * 86_400_000;
    }
    return { looks, levels };
  });
}
