import { quantile } from 'd3-array';
import { randomLcg } from 'd3-random';
import { dayAfter, weekOf } from '@wax-fist/core/days';
import { shippedDrills } from '@wax-fist/core/drills';
import { makePlan, planWeek, type PlannedCorrection, type PlanWish, type WeekPerson } from '@wax-fist/core/plan';
import { roundKinds } from '@wax-fist/core/rounds';
import { techniques } from '@wax-fist/core/technique';
import { ageGroups, grades } from '@wax-fist/core/trainee';
import type { Line } from './table.ts';

/** Sessions of all sorts, the same every time. */
const seed = 0.42;
const sessions = 400;
/** A club of forty, each three times a week. */
const [people, week] = [40, weekOf('2026-03-02')];

function someWish(random: () => number): PlanWish {
  const pick = <One>(list: readonly One[]): One => list[Math.floor(random() * list.length)]!;
  const corrections = Array.from({ length: Math.floor(random() * 6) }, (_, place): PlannedCorrection => {
    const technique = pick(techniques);
    const checkpointId = pick(technique.checkpoints);
    return {
      ...{
        id: String(place),
        technique: technique.id,
        techniqueName: technique.name,
        checkpointId,
        checkpointName: checkpointId,
      },
      ...{ cue: '', rung: 1 + Math.floor(random() * 7), due: random() < 0.5, strikes: 8 + Math.floor(random() * 60) },
      ...{ view: null, rate: 0 },
    };
  });
  return {
    ...{ length: 60 * (15 + Math.floor(random() * 120)), leads: 'both alike', corrections, technique: pick(techniques) },
    ...{ impactThisWeek: 0, drills: shippedDrills },
    who: {
      ...{ grade: pick(grades), ageGroup: pick(ageGroups), limits: [], kit: roundKinds.filter(() => random() < 0.7) },
      ...{ holder: random() < 0.5, partner: random() < 0.5 },
    },
  };
}

/** How long a session takes to be made. */
export function benchPlan(): Line[] {
  const random = randomLcg(seed);
  const took = Array.from({ length: sessions }, () => {
    const wish = someWish(random);
    const begun = performance.now();
    makePlan(wish);
    return performance.now() - begun;
  });
  const p95 = quantile(took, 0.95)!;
  const longest = Math.max(...took);
  const club = Array.from({ length: people }, (_, place): WeekPerson => {
    const { corrections, technique, ...wish } = someWish(random);
    return {
      ...{ ...wish, id: String(place), name: String(place), standing: [], techniques: technique ? [technique] : [] },
      days: [week[0]!, week[2]!, week[4]!],
      corrections: corrections.map(({ due, ...one }) => ({
        ...one,
        relapsed: false,
        recheckOn: due ? dayAfter(week[0]!, 2) : null,
      })),
    };
  });
  const begun = performance.now();
  const { plans } = planWeek(club, () => true);
  const ofWeek = performance.now() - begun;
  return [
    { what: 'a session is planned, p95', measured: `${p95.toFixed(1)} ms`, target: '≤ 200 ms', reached: p95 <= 200 },
    { what: 'the slowest of 400', measured: `${longest.toFixed(1)} ms`, target: '≤ 200 ms', reached: longest <= 200 },
    {
      what: `a week of forty, three times each: ${plans.length} sessions`,
      measured: `${(ofWeek / 1000).toFixed(2)} s`,
      target: '≤ 2 s',
      reached: ofWeek <= 2000,
    },
  ];
}
