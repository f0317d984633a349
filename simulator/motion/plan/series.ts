import { contributionsOf, stepOf, type Contribution, type Limb, type MotionPart, type StrikeTimes } from '../part.ts';
import type { FaultModel, Footstep } from '../fault/model.ts';
import type { PoseChange } from '../../body/pose.ts';
import { swell, upAndBack } from '../shape.ts';
import type { SeriesModel, SeriesStep } from '../technique/series.ts';

/** A fault with how plainly it is shown. */
export interface ShownFault {
  model: FaultModel;
  strength: number;
}

/** The feet begin to move so long before the hand. Seconds. */
const feetBefore = 0.13;
/** A single strike has landed before the second foot recovers. */
const recoverAfter = 0.28;
/** Both feet have been down for so long when the cross of a drive is launched. */
const downBefore = 0.06;
/** When the stance steps away to begin with, and when it is away, before the first foot moves. */
const away = { from: 1.15, until: 0.5 };
const other = (foot: Limb): Limb => (foot === 'lead' ? 'rear' : 'lead');

/** Time that a series needs before its first launch. */
export const beforeSeries = (model: SeriesModel): number => (model.step ? feetBefore + away.from : 0);
/** Extra time before a strike of a series: for the second foot, or for a hand that has to come home first. */
export const betweenSeries = (model: SeriesModel): number =>
  (model.between ?? 0) + (model.step ? (model.step.recovers === 'before-the-last' ? 0.3 : 0.06) : 0);

/** When the feet of a series move: begin, both down, leave, back. */
export function stepMoments({ recovers }: SeriesStep, parts: readonly StrikeTimes[]): StrikeTimes {
  const [first, last] = [parts[0]!, parts.at(-1)!];
  const down =
    recovers === 'before-the-last'
      ? last.launch - downBefore
      : parts.length === 1
        ? first.contact + recoverAfter
        : Math.max(first.contact + 0.14, last.launch + 0.05);
  return { launch: first.launch - feetBefore, contact: down, leave: last.home + 0.3, home: last.home + 0.85 };
}

/** The stance begins away by as much as it will stepOf; the first foot is down with the first strike, then the other recovers. */
export function seriesFeet(plan: SeriesStep, parts: readonly StrikeTimes[], faults: readonly ShownFault[]): Contribution[] {
  const moments = stepMoments(plan, parts);
  const landed = (parts[0]!.contact + 0.02 - moments.launch) / (moments.contact - moments.launch);
  const own: Footstep = { first: plan.first, by: plan.by };
  const homewards = [0, 1] as const;
  let steps: readonly MotionPart[] = [
    { change: { 'pelvis.x': plan.by.x ?? 0, 'pelvis.z': plan.by.z ?? 0 }, come: [0.05, 0.98], go: homewards },
    ...stepOf(plan.first, plan.by, [0, landed], homewards),
    ...stepOf(other(plan.first), plan.by, [Math.min(0.9, landed + 0.02), 1], homewards),
  ];
  for (const { model, strength } of faults) steps = model.reshapeParts?.(steps, strength, own) ?? steps;
  // Nobody walks back: what went away beforehand and what came in cancel out, and fade together.
  return [
    ...awayFirst(plan, moments),
    ...contributionsOf(
      steps.filter((part) => !('passing' in part) || part.passing === 'in'),
      moments,
    ),
  ];
}

/** A stepOf away from where the series is thrown, the foot that comes in last going first. */
function awayFirst({ first, by: { x = 0, z = 0 } }: SeriesStep, { launch, leave, home }: StrikeTimes): Contribution[] {
  const [begin, end] = [launch - away.from, launch - away.until];
  const middle = (begin + end) / 2;
  const second = other(first);
  const aside = (foot: Limb): PoseChange => ({ [`${foot}Foot.x`]: -x, [`${foot}Foot.z`]: -z });
  return [
    { change: { 'pelvis.x': -x, 'pelvis.z': -z }, shape: upAndBack(begin + 0.03, end, leave, home) },
    { change: aside(second), shape: upAndBack(begin, middle + 0.03, leave, home) },
    { change: aside(first), shape: upAndBack(middle, end, leave, home) },
    { change: { [`${second}Foot.y`]: 0.03 }, shape: swell(begin, (begin + middle) / 2, middle + 0.03) },
    { change: { [`${first}Foot.y`]: 0.03 }, shape: swell(middle, (middle + end) / 2, end) },
  ];
}
