import { Vector3 } from 'three';
import type { BodySide } from '@wax-fist/core/body';
import { jointAngle, reachAt, solve, type Body } from '../../body/skeleton.ts';
import { baseStance, type Channel, type PoseChange } from '../../body/pose.ts';
import type { Contribution, StrikeTimes } from '../part.ts';
import { bodyRise, snapBack, strikeRise, swell, upAndBack } from '../shape.ts';
import type { StrikeModel } from '../technique/hand.ts';
import type { PlannedRound } from './round.ts';

/** From the first foot that moves until the launch of a strike that is stepped in for. */
export const approach = 0.42;
/** From the wrist to the front of the glove, and from the elbow to its skin. */
const gloveLength = 0.172;
const elbowDepth = 0.045;

const split = (body: PoseChange): [hips: PoseChange, rest: PoseChange] => {
  const { 'pelvis.yaw': turn = 0, ...rest } = body;
  return [{ 'pelvis.yaw': turn }, rest];
};

/** The point that lands: the front of the glove, or the elbow's skin. */
export function gloveFront({ joints }: Pick<Body, 'joints'>, side: BodySide, meets: StrikeModel['meets']): Vector3 {
  const [elbow, wrist] = [joints[`${side}Elbow`], joints[`${side}Wrist`]];
  if (meets === 'elbow') return elbow.clone().add(new Vector3(0, 0, elbowDepth));
  return gloveTip(elbow, wrist);
}
const gloveTip = (elbow: Vector3, wrist: Vector3): Vector3 =>
  wrist.clone().addScaledVector(wrist.clone().sub(elbow).normalize(), gloveLength);

/** The strike's own movement apart from its hand: hips a shade before the fist, feet before the hips. */
function bodyOf(model: StrikeModel, { launch, contact, leave, home }: StrikeTimes): Contribution[] {
  const { hipLag, feetLag } = model;
  const [hips, rest] = split(model.body);
  // The last of a step is so slow that the foot is down a little before.
  const landed = contact + 0.02 + feetLag;
  return [
    { change: rest, shape: upAndBack(launch - 0.01, contact, leave, home + 0.08, bodyRise) },
    { change: hips, shape: upAndBack(launch - 0.01 + hipLag, contact + hipLag, leave + hipLag, home + 0.08 + hipLag, bodyRise) },
    {
      change: model.feet,
      shape: upAndBack(launch - 0.03 + feetLag, landed, leave + 0.03 + feetLag, home + 0.2 + feetLag, bodyRise),
    },
    {
      change: { 'leadFoot.y': model.footLift },
      shape: swell(launch - 0.03 + feetLag, (launch + contact) / 2 - 0.03 + feetLag, landed),
    },
    {
      change: { 'leadFoot.y': model.footLift * 0.7 },
      shape: swell(leave + 0.05 + feetLag, (leave + home + 0.25) / 2 + feetLag, home + 0.2 + feetLag),
    },
    { change: model.arc, shape: swell(launch, (launch + contact) / 2, contact) },
    { change: model.load, shape: swell(launch - 0.16, launch + 0.02, contact) },
  ];
}

/** In with the lead foot first, out with the rear foot first, the hips between them. */
function advanceOf({ advance, stay }: StrikeModel, { launch, home: struck }: StrikeTimes): Contribution[] {
  if (advance === 0) return [];
  const home = struck + stay;
  return [
    { change: { 'pelvis.z': advance }, shape: upAndBack(launch - approach, launch - 0.06, home + 0.06, home + 0.34) },
    { change: { 'leadFoot.z': advance }, shape: upAndBack(launch - approach, launch - 0.22, home + 0.18, home + 0.36) },
    { change: { 'rearFoot.z': advance }, shape: upAndBack(launch - 0.28, launch - 0.08, home + 0.06, home + 0.22) },
    { change: { 'leadFoot.y': 0.03 }, shape: swell(launch - approach, launch - 0.32, launch - 0.22) },
    { change: { 'rearFoot.y': 0.03 }, shape: swell(launch - 0.28, launch - 0.18, launch - 0.08) },
    { change: { 'rearFoot.y': 0.03 }, shape: swell(home + 0.06, home + 0.14, home + 0.22) },
    { change: { 'leadFoot.y': 0.03 }, shape: swell(home + 0.18, home + 0.27, home + 0.36) },
  ];
}

const resting = solve(baseStance).joints;
const restingHips = resting.leftHip.clone().add(resting.rightHip).multiplyScalar(0.5);
/** Degrees. */
const straightArm = 176.5;

/** Plans a strike with the hand; gives the elbow's angle at contact, degrees. */
export function planHand(plan: PlannedRound, model: StrikeModel, moments: StrikeTimes): number {
  const { launch, contact, leave, home } = moments;
  const { random, station } = plan;
  const target = new Vector3(
    random.normal(0.0, 0.015) + model.aside,
    model.contactHeight + random.normal(0, 0.018),
    station.face + model.depth + plan.travelAt(contact),
  );
  const lean = { 'pelvis.z': 0 };
  const hand: Record<string, number> = { [`${model.hand}Hand.x`]: 0, [`${model.hand}Hand.y`]: 0, [`${model.hand}Hand.z`]: 0 };
  plan.add([
    ...bodyOf(model, moments),
    { change: lean, shape: upAndBack(launch - 0.03, contact, leave, home + 0.12) },
    { change: hand, shape: upAndBack(launch, contact, leave, home, strikeRise, snapBack) },
  ]);
  plan.addHeld(advanceOf(model, moments), 'advance');
  const side: BodySide = model.hand === 'lead' ? 'left' : 'right';
  return settle(plan, model, side, contact, target, lean, hand);
}

/** Brings what lands to the target: moves the hand onto it and the hips to where the elbow has the angle asked for. */
function settle(
  plan: PlannedRound,
  model: StrikeModel,
  side: BodySide,
  contact: number,
  target: Vector3,
  lean: { 'pelvis.z': number },
  hand: Record<string, number>,
): number {
  const wanted = model.elbowAngle + plan.random.normal(0, 2);
  const [x, y, z] = [`${model.hand}Hand.x`, `${model.hand}Hand.y`, `${model.hand}Hand.z`] as [string, string, string];
  const arm = () => {
    const pose = plan.poseAt(contact);
    const { joints } = solve(pose);
    // Where the hand is asked to be: further than the arm is long, if the body is too far away.
    const travelled = joints.leftHip.clone().add(joints.rightHip).multiplyScalar(0.5).sub(restingHips);
    const asked = new Vector3(pose[x as Channel], pose[y as Channel], pose[z as Channel]).add(travelled);
    return {
      asked,
      shoulder: joints[`${side}Shoulder`],
      elbow: joints[`${side}Elbow`],
      wrist: joints[`${side}Wrist`],
    };
  };
  for (let round = 0; round < 24; round++) {
    const { shoulder, elbow, wrist, asked } = arm();
    if (model.meets === 'elbow') {
      lean['pelvis.z'] += target.z - elbowDepth - elbow.z;
      // The hand comes nearer to the shoulder or further from it until the elbow is bent as asked for.
      const away = wrist.clone().sub(shoulder);
      const missing = (reachAt(wanted, elbow.distanceTo(shoulder), elbow.distanceTo(wrist)) - away.length()) * 0.5;
      away.normalize();
      hand[x]! += away.x * missing;
      hand[y]! += away.y * missing;
      hand[z]! += away.z * missing;
      continue;
    }
    const front = gloveTip(elbow, wrist);
    hand[x]! += target.x - front.x;
    hand[y]! += target.y - front.y;
    hand[z]! += target.z - front.z;
    if (jointAngle(shoulder, elbow, wrist) > straightArm) {
      // It cannot reach further: the body has to come.
      hand[x]! -= asked.x - wrist.x;
      hand[y]! -= asked.y - wrist.y;
      hand[z]! -= asked.z - wrist.z;
    }
    const upper = elbow.distanceTo(shoulder);
    const lower = elbow.distanceTo(wrist);
    const reach = reachAt(wanted, upper, lower);
    const landing = wrist.clone().add(target).sub(front);
    const missing = (shoulder.distanceTo(landing) - reach) * 0.7;
    lean['pelvis.z'] += missing;
    hand[z]! -= missing;
  }
  const { shoulder, elbow, wrist } = arm();
  return jointAngle(shoulder, elbow, wrist);
}
