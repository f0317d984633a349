import type { Seconds } from '@wax-fist/core/units';
import { solve, type Body } from '../body/skeleton.ts';
import type { Scene } from '../scene.ts';
import { faultModel } from './fault/index.ts';
import { holdFor } from './holder.ts';
import type { Contribution, StrikeTimes } from './part.ts';
import { planRound } from './plan/round.ts';
import { beforeSeries } from './plan/series.ts';
import { afterOf, aheadOf, gap } from './plan/spacing.ts';
import { throwOne } from './plan/throw.ts';
import { upAndBack } from './shape.ts';
import { isBeat, isKick, isMove, waysOf } from './technique/single.ts';
import { speedBagRhythm } from './technique/speed-bag.ts';
import { partsOf, seriesOf } from './technique/thrown.ts';
import type { Impact, Performance, ThrownStrike } from './thrown-round.ts';

/** Even a good beat is a little uneven: spread over its length. */
const evenBeat = 0.02;
const leadIn = 1.6;
const leadOut = 1.4;
/** From a bell to the first launch, and from the last strike home to the bell. */
const untilFirst = 1.2;
const afterLast = 0.6;
/** Off the line after the last strike: gone and back. */
const exitTime = 0.75;
/** Off the line to one side, low, as soon as the hand is home. */
const exitOf = ({ home }: StrikeTimes, side: number): Contribution[] => [
  {
    change: {
      'pelvis.x': side * 0.08,
      'pelvis.y': -0.05,
      'pelvis.roll': side * -4,
      'chest.roll': side * -14,
      'head.roll': side * -4,
      'leadHand.x': side * 0.07,
      'rearHand.x': side * 0.07,
    },
    shape: upAndBack(home - 0.06, home + 0.18, home + 0.4, home + exitTime),
  },
];

/** Plans a round from its scene. The same scene gives the same round. */
export function perform(scene: Scene): Performance {
  let length = Infinity;
  const plan = planRound(scene, (seconds) => (scene.tired ?? 0) * Math.min(1, seconds / length));
  const { random } = plan;
  const strikes: ThrownStrike[] = [];
  let clock = leadIn;
  const rings: number[] = [];
  const rounds: [number, number][] = [];
  const order = random.shuffled(scene.work.flatMap(({ strikes: list, times }) => Array.from({ length: times }, () => list)));
  const perRound = Math.ceil(order.length / (scene.bells?.rounds ?? 1));
  length = order.length * 2.2;
  for (const [place, combination] of order.entries()) {
    if (place % perRound === 0) {
      if (scene.bells && place > 0) {
        rings.push((clock += afterLast));
        clock += scene.bells.rest;
      }
      if (scene.bells) rings.push(clock - untilFirst);
      rounds.push([clock, clock]);
    }
    let launch = clock;
    let before: ThrownStrike | undefined;
    for (const [index, technique] of combination.entries()) {
      const opening = waysOf(partsOf(technique)[0]!)[0]!;
      const series = seriesOf(technique);
      const wait = (before ? gap(before.parts.at(-1)!.model, opening) : aheadOf(opening)) + (series ? beforeSeries(series) : 0);
      const strike = throwOne(plan, technique, index + 1, launch + wait);
      strikes.push(strike);
      before = strike;
      launch = isBeat(technique)
        ? strike.contact + speedBagRhythm * random.normal(1, evenBeat + sumOf(strike, 'uneven')) - opening.outTime
        : strike.leave + 0.09 * random.normal(1, 0.15);
      clock = strike.home;
    }
    if (
      before &&
      !isMove(before.parts.at(-1)!.technique) &&
      !isBeat(before.technique) &&
      !isKick(before.parts.at(-1)!.technique)
    ) {
      const late = sumOf(before, 'lateExit');
      before.exit = late === 0;
      plan.add(exitOf({ ...before, home: before.home + late }, random.next() < 0.5 ? 1 : -1));
      clock += exitTime * 0.5;
    }
    if (before?.feet && !isMove(before.technique)) clock += 0.9;
    if (before) clock += sumOf(before, 'lasts') + afterOf(before.parts.at(-1)!.model);
    rounds.at(-1)![1] = clock;
    clock += random.between(0.45, 0.85);
  }
  if (scene.bells) rings.push((clock += afterLast));
  strikes.sort((a, b) => a.contact - b.contact);
  const bodyAt = (seconds: Seconds): Body => solve(plan.poseAt(seconds), scene.stance, scene.stature);
  const { holder } = scene;
  return {
    seconds: clock + leadOut,
    strikes,
    hits: plan.hits,
    rings,
    rounds,
    bodyAt,
    ...(holder && { holder: holdFor({ ...scene, holder }, strikes, bodyAt, plan.travelAt) }),
    orthodoxAt: (seconds) => solve(plan.poseAt(seconds), 'orthodox', scene.stature),
    bagAt: plan.travelAt,
    dentAt: (seconds) => dentOf(plan.hits, seconds),
    facingAt: (seconds) => plan.poseAt(seconds).facing,
  };
}

/** Leather comes back in about a tenth of a second. */
const dentOf = (hits: readonly Impact[], seconds: Seconds): number =>
  Math.min(
    1,
    hits.reduce(
      (sum, { at, weight }) => (seconds < at || seconds > at + 0.3 ? sum : sum + weight * 1.6 * Math.exp((at - seconds) / 0.045)),
      0,
    ),
  );

/** What faults add: seconds, or unevenness of a beat. */
const sumOf = ({ faults }: ThrownStrike, what: 'lasts' | 'lateExit' | 'uneven'): number =>
  faults.reduce((sum, { id, strength }) => sum + (faultModel(id)![what] ?? 0) * strength, 0);
