import { Vector3 } from 'three';
import { addChange, baseStance, type Channel, type Pose, type PoseChange } from '../body/pose.ts';
import { jointAngle, solve, type Body, type Side } from '../body/skeleton.ts';
import { seededRandom, type Random } from '../random.ts';
import type { Scene } from '../scene.ts';
import { bagFace, bagTravel, type BagHit } from './bag.ts';
import { faultModel, type Contribution, type StrikeMoments } from './fault.ts';
import { strikeRise, swell, upAndBack } from './shape.ts';
import { kickModels, type KickId, type KickModel } from './kick.ts';
import { kickContributions, reachBag } from './plan-kick.ts';
import { strikeModels, type StrikeModel, type TechniqueId } from './technique.ts';
import { advanceFor, isKick, type Thrown } from './thrown.ts';

/** One thrown strike with everything that is true of it. Seconds of the round, degrees. */
export interface ThrownStrike extends StrikeMoments {
  technique: Thrown;
  /** Place in its combination, from 1. */
  place: number;
  faults: { id: string; checkpoint: string; strength: number }[];
  /** At contact; 0 for what is no strike with a hand. */
  elbowAngle: number;
}

/** A whole round: what was thrown, and the body and bag at any moment. */
export interface Performance {
  seconds: number;
  strikes: ThrownStrike[];
  /** When the bell rings: at the beginning and at the end of every round. */
  rings: number[];
  bodyAt(seconds: number): Body;
  bagAt(seconds: number): number;
}

interface PlannedStrike {
  thrown: ThrownStrike;
  contributions: Contribution[];
  /** Steps in for a strike from close up. Of several that overlap the furthest holds: nobody steps in twice. */
  advance: Contribution[];
}

/** From the first foot that moves until the launch of a strike that is stepped in for. */
const approach = 0.42;
/** Between a hand and a leg. */
const afterHand = 0.16;

interface DrawnFault {
  id: string;
  strength: number;
}

/** From the wrist to the front of the glove. */
const gloveLength = 0.172;
const leadIn = 1.6;
const leadOut = 1.4;
/** From a bell to the first launch, and from the last strike home to the bell. */
const untilFirst = 1.2;
const afterLast = 0.6;
/** Rings at the end of a round; gives the time that passes. */
function rung(rings: number[], clock: number): number {
  rings.push(clock + afterLast);
  return afterLast;
}

function idleSway(random: Random): (pose: Pose, seconds: number) => void {
  const phase = Array.from({ length: 6 }, () => random.between(0, 2 * Math.PI));
  const wave = (index: number, hertz: number, seconds: number): number => Math.sin(2 * Math.PI * hertz * seconds + phase[index]!);
  return (pose, seconds) => {
    addChange(pose, { 'pelvis.y': -0.009 }, 1 + wave(0, 1.55, seconds));
    addChange(pose, { 'pelvis.x': 0.012, 'pelvis.roll': 0.8 }, wave(1, 0.41, seconds));
    addChange(pose, { 'pelvis.z': 0.014 }, wave(2, 0.33, seconds));
    addChange(pose, { 'leadHand.x': 0.01, 'leadHand.y': 0.012 }, wave(3, 0.77, seconds));
    addChange(pose, { 'rearHand.x': 0.006, 'rearHand.y': 0.008 }, wave(4, 0.69, seconds));
    addChange(pose, { 'chest.yaw': 1.6, 'head.yaw': 1.2 }, wave(5, 0.52, seconds));
  };
}

/** The strike's own movement apart from its hand: hips a shade before the fist, feet before the hips. */
function bodyOf(model: StrikeModel, { launch, contact, leave, home }: StrikeMoments): Contribution[] {
  return [
    { change: model.body, shape: upAndBack(launch - 0.03, contact, leave, home + 0.08) },
    { change: model.feet, shape: upAndBack(launch - 0.05, contact - 0.012, leave + 0.03, home + 0.2) },
    { change: { 'leadFoot.y': model.footLift }, shape: swell(launch - 0.05, (launch + contact) / 2 - 0.03, contact - 0.012) },
    { change: { 'leadFoot.y': model.footLift * 0.7 }, shape: swell(leave + 0.05, (leave + home + 0.25) / 2, home + 0.2) },
    { change: model.arc, shape: swell(launch, (launch + contact) / 2, contact) },
    { change: model.load, shape: swell(launch - 0.16, launch + 0.02, contact) },
  ]; // prettier-ignore
}

/** In with the lead foot first, out with the rear foot first, the hips between them. */
function advanceOf({ advance }: StrikeModel, { launch, home }: StrikeMoments): Contribution[] {
  if (advance === 0) return [];
  return [
    { change: { 'pelvis.z': advance }, shape: upAndBack(launch - approach, launch - 0.06, home + 0.16, home + 0.46) },
    { change: { 'leadFoot.z': advance }, shape: upAndBack(launch - approach, launch - 0.22, home + 0.3, home + 0.48) },
    { change: { 'rearFoot.z': advance }, shape: upAndBack(launch - 0.28, launch - 0.08, home + 0.16, home + 0.34) },
    { change: { 'leadFoot.y': 0.03 }, shape: swell(launch - approach, launch - 0.32, launch - 0.22) },
    { change: { 'rearFoot.y': 0.03 }, shape: swell(launch - 0.28, launch - 0.18, launch - 0.08) },
    { change: { 'rearFoot.y': 0.03 }, shape: swell(home + 0.16, home + 0.25, home + 0.34) },
    { change: { 'leadFoot.y': 0.03 }, shape: swell(home + 0.3, home + 0.39, home + 0.48) },
  ];
}

/** The furthest of every strike's step, channel by channel. */
function addFurthest(pose: Pose, planned: readonly PlannedStrike[], seconds: number): void {
  const furthest: PoseChange = {};
  for (const { advance } of planned) {
    for (const { change, shape } of advance) {
      const amount = shape(seconds);
      if (amount === 0) continue;
      for (const channel of Object.keys(change) as Channel[]) furthest[channel] = Math.max(furthest[channel] ?? 0, change[channel]! * amount); // prettier-ignore
    }
  }
  addChange(pose, furthest, 1);
}

/** Plans a round from its scene. The same scene gives the same round, whoever films it and from where. */
export function perform(scene: Scene): Performance {
  const random = seededRandom(scene.seed);
  const sway = idleSway(random);
  const planned: PlannedStrike[] = [];
  const hits: BagHit[] = [];

  const poseAt = (seconds: number): Pose => {
    const pose = { ...baseStance };
    sway(pose, seconds);
    addFurthest(pose, planned, seconds);
    for (const { contributions } of planned) {
      for (const { change, shape } of contributions) {
        const amount = shape(seconds);
        if (amount !== 0) addChange(pose, change, amount);
      }
    }
    return pose;
  };

  const faultsOf = (technique: Thrown): DrawnFault[] =>
    scene.faults
      .filter((fault) => fault.strike === technique)
      .filter((fault) => random.next() < fault.share)
      .map((fault) => ({ id: fault.fault, strength: random.between(...fault.strength) }));
  /** No two repetitions take the same time. */
  const momentsOf = ({ outTime, dwellTime, returnTime }: StrikeModel | KickModel, launch: number): StrikeMoments => {
    const contact = launch + outTime * random.normal(1, 0.06);
    const leave = contact + dwellTime * random.normal(1, 0.15);
    return { launch, contact, leave, home: leave + returnTime * random.normal(1, 0.07) };
  };
  const withCheckpoints = (faults: readonly DrawnFault[]) =>
    faults.map(({ id, strength }) => ({ id, strength, checkpoint: faultModel(id)!.checkpoint }));

  const planKick = (technique: KickId, place: number, launch: number): PlannedStrike => {
    const faults = faultsOf(technique);
    let model = kickModels[technique];
    for (const fault of faults) model = faultModel(fault.id)?.reshapeKick?.(model, fault.strength) ?? model;
    const moments = momentsOf(model, launch);
    const { contact } = moments;
    const reach: PoseChange = {};
    const around = faults.flatMap(({ id, strength }) => faultModel(id)?.addToKick?.(model, moments, strength) ?? []);
    const strike: PlannedStrike = {
      contributions: [...kickContributions(model, moments, reach), ...around],
      advance: [],
      thrown: { technique, place, ...moments, faults: withCheckpoints(faults), elbowAngle: 0 },
    };
    planned.push(strike);
    const side: Side = model.foot === 'lead' ? 'left' : 'right';
    reachBag(model, side, () => solve(poseAt(contact)), bagTravel(hits, contact), reach);
    hits.push({ seconds: contact, push: model.bagPush * random.normal(1, 0.15) });
    return strike;
  };

  const plan = (technique: TechniqueId, place: number, launch: number): PlannedStrike => {
    const faults = faultsOf(technique);
    let model = strikeModels[technique];
    for (const fault of faults) model = faultModel(fault.id)?.reshape?.(model, fault.strength) ?? model;
    const moments = momentsOf(model, launch);
    const { contact, leave } = moments;
    const side: Side = model.hand === 'lead' ? 'left' : 'right';
    const target = new Vector3(
      random.normal(0.0, 0.015) + model.aside,
      model.contactHeight + random.normal(0, 0.018),
      bagFace + model.depth + bagTravel(hits, contact),
    );
    const lean = { change: { 'pelvis.z': 0 }, shape: upAndBack(launch - 0.03, contact, leave, moments.home + 0.12) };
    const hand = {
      change: { [`${model.hand}Hand.x`]: 0, [`${model.hand}Hand.y`]: 0, [`${model.hand}Hand.z`]: 0 },
      shape: upAndBack(launch, contact, leave, moments.home, strikeRise),
    };
    const around = faults.flatMap(({ id, strength }) => faultModel(id)?.add?.(model, moments, strength) ?? []);
    const strike: PlannedStrike = {
      contributions: [...bodyOf(model, moments), lean, hand, ...around],
      advance: advanceOf(model, moments),
      thrown: {
        technique,
        place,
        ...moments,
        faults: withCheckpoints(faults),
        elbowAngle: 0,
      },
    };
    planned.push(strike);
    settle(strike, model, side, target, lean.change, hand.change);
    hits.push({ seconds: contact, push: model.bagPush * random.normal(1, 0.15) });
    return strike;
  };

  /** Brings fist and bag together: moves the hand onto the target and the hips to where the elbow has the angle asked for. */
  const settle = (
    { thrown }: PlannedStrike,
    model: StrikeModel,
    side: Side,
    target: Vector3,
    lean: { 'pelvis.z': number },
    hand: Record<string, number>,
  ): void => {
    const wanted = model.elbowAngle + random.normal(0, 2);
    for (let round = 0; round < 14; round++) {
      const { joints } = solve(poseAt(thrown.contact));
      const [shoulder, elbow, wrist] = [joints[`${side}Shoulder`], joints[`${side}Elbow`], joints[`${side}Wrist`]];
      const front = wrist.clone().addScaledVector(wrist.clone().sub(elbow).normalize(), gloveLength);
      for (const axis of ['x', 'y', 'z'] as const) hand[`${model.hand}Hand.${axis}`]! += target[axis] - front[axis];
      const upper = elbow.distanceTo(shoulder);
      const lower = elbow.distanceTo(wrist);
      const reach = Math.sqrt(upper ** 2 + lower ** 2 - 2 * upper * lower * Math.cos((wanted * Math.PI) / 180));
      const landing = wrist.clone().add(target).sub(front);
      const missing = (shoulder.distanceTo(landing) - reach) * 0.9;
      lean['pelvis.z'] += missing;
      hand[`${model.hand}Hand.z`]! -= missing;
    }
    const { joints } = solve(poseAt(thrown.contact));
    thrown.elbowAngle = jointAngle(joints[`${side}Shoulder`], joints[`${side}Elbow`], joints[`${side}Wrist`]);
  };

  let clock = leadIn;
  const rings: number[] = [];
  const order = random.shuffled(scene.work.flatMap(({ strikes, times }) => Array.from({ length: times }, () => strikes)));
  const perRound = Math.ceil(order.length / (scene.bells?.rounds ?? 1));
  for (const [place, combination] of order.entries()) {
    if (scene.bells && place % perRound === 0) {
      if (place > 0) clock += rung(rings, clock) + scene.bells.rest;
      rings.push(clock - untilFirst);
    }
    let launch = clock;
    for (const [index, technique] of combination.entries()) {
      const before = combination[index - 1];
      const comesCloser = before !== undefined && advanceFor(technique) > advanceFor(before);
      // A leg is thrown from a stance that has closed behind the strike before.
      const legFirst = before !== undefined && (isKick(technique) || isKick(before));
      const from = launch + (comesCloser ? approach : 0) + (legFirst ? afterHand : 0);
      const { thrown } = isKick(technique) ? planKick(technique, index + 1, from) : plan(technique, index + 1, from);
      launch = thrown.leave + 0.09 * random.normal(1, 0.15);
      clock = thrown.home;
    }
    clock += random.between(0.45, 0.85);
  }
  if (scene.bells) clock += rung(rings, clock);
  const strikes = planned.map(({ thrown }) => thrown).sort((a, b) => a.contact - b.contact);
  return {
    seconds: clock + leadOut,
    strikes,
    rings,
    bodyAt: (seconds) => solve(poseAt(seconds), scene.stance, scene.stature),
    bagAt: (seconds) => bagTravel(hits, seconds),
  };
}
