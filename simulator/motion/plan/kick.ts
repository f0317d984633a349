import type { Vector3 } from 'three';
import { summed, type PoseChange } from '../../body/pose.ts';
import type { BodySide } from '@wax-fist/core/body';
import type { Body } from '../../body/skeleton.ts';
import { bagFace, bagRadius } from '../station.ts';
import { contributionsOf, stepOf, type Contribution, type MotionPart, type StrikeTimes } from '../part.ts';
import type { KickModel } from '../technique/kick.ts';
import { strikeRise, swell, upAndBack } from '../shape.ts';

/** From the middle of the shin to its skin, and of the sole. */
const shinDepth = 0.045;
const soleDepth = 0.03;

/** What a kick does to the body over time; `reach` is what brings it to the bag, found afterwards. */
export function kickContributions(model: KickModel, moments: StrikeTimes, reach: PoseChange): Contribution[] {
  const { launch, contact, leave, home } = moments;
  const foot = `${model.foot}Foot` as const;
  const onwards =
    model.way === 'straight'
      ? { [`${foot}.z`]: model.through, 'pelvis.z': model.through * 0.5 }
      : { [`${foot}.x`]: model.through * (model.foot === 'rear' ? 1 : -1) };
  const half = Object.fromEntries(Object.entries(model.arc).map(([channel, value]) => [channel, value * 0.6]));
  return [
    { change: model.support, shape: upAndBack(launch - 0.06, contact - 0.04, leave + 0.08, home + 0.1) },
    { change: model.body, shape: upAndBack(launch - 0.02, contact, leave, home + 0.06) },
    {
      change: summed(model.leg, model.way === 'round' ? { [`${foot}.z`]: -model.crowded } : {}),
      shape: upAndBack(launch, contact, leave, home, strikeRise),
    },
    { change: reach, shape: upAndBack(launch, contact, leave, home, strikeRise) },
    { change: model.arc, shape: swell(launch, (launch + contact) / 2, contact) },
    { change: half, shape: swell(leave, (leave + home) / 2, home) },
    { change: onwards, shape: swell(contact, leave + 0.03, leave + (home - leave) * 0.5) },
    ...contributionsOf([...model.beside, ...crowdedIn(model)], moments),
  ];
}

/** Both feet and the hips too far forward, from well before the launch. */
function crowdedIn({ crowded }: KickModel): MotionPart[] {
  if (crowded === 0) return [];
  const by = { z: crowded };
  return [
    { change: { 'pelvis.z': crowded }, come: [-2.2, -1.1], go: [1.2, 2.2] },
    ...stepOf('lead', by, [-2.2, -1.6], [1.6, 2.2]),
    ...stepOf('rear', by, [-1.7, -1.1], [1.1, 1.7]),
  ];
}

/** The point of the leg that meets the bag. */
export function meetingPoint({ joints }: Pick<Body, 'joints'>, side: BodySide, { meets }: KickModel): Vector3 {
  const [knee, ankle] = [joints[`${side}Knee`], joints[`${side}Ankle`]];
  if (meets <= 1) return knee.clone().lerp(ankle, meets);
  return joints[`${side}Heel`].clone().lerp(joints[`${side}Toe`], 0.6);
}

/** Brings leg and bag together: a round kick closes in from its side, a straight one comes forward, hips and all. */
export function reachBag(model: KickModel, side: BodySide, bodyAtContact: () => Body, travel: number, reach: PoseChange): void {
  const foot = `${model.foot}Foot` as const;
  for (let round = 0; round < 12; round++) {
    const point = meetingPoint(bodyAtContact(), side, model);
    if (model.way === 'straight') {
      const missing = bagFace + travel - (model.meets > 1 ? soleDepth : shinDepth + 0.03) - point.z;
      reach['pelvis.z'] = (reach['pelvis.z'] ?? 0) + missing * (model.crowded > 0 && model.meets > 1 ? 0.1 : 0.5);
      reach[`${foot}.z`] = (reach[`${foot}.z`] ?? 0) + missing * 0.9;
      continue;
    }
    // The flank that the leg comes from: the rear one for the rear leg.
    const flank = model.foot === 'rear' ? -1 : 1;
    const past = point.z - (bagFace + bagRadius + travel);
    const wanted = flank * Math.sqrt(Math.max(0, (bagRadius + shinDepth) ** 2 - past ** 2));
    reach[`${foot}.x`] = (reach[`${foot}.x`] ?? 0) + (wanted - point.x) * 0.8;
  }
}
