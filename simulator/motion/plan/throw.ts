import type { BodySide } from '@wax-fist/core/body';
import { solve } from '../../body/skeleton.ts';
import type { Random } from '../../random.ts';
import type { SceneHolder } from '../../scene.ts';
import { faultModel } from '../fault/index.ts';
import { holderFaults, type HeldFault } from '../fault/holder.ts';
import type { FaultMoments } from '../fault/model.ts';
import { taught } from '../habit.ts';
import { contributionsOf, type MotionPart, type StrikeTimes } from '../part.ts';
import { fromRear, isMove, waysOf, type Single, type SingleModel } from '../technique/single.ts';
import { partsOf, seriesOf, type Thrown } from '../technique/thrown.ts';
import type { ThrownPart, ThrownStrike } from '../thrown-round.ts';
import { planHand } from './hand.ts';
import { kickContributions, reachBag } from './kick.ts';
import type { PlannedRound } from './round.ts';
import { beforeSeries, betweenSeries, seriesFeet, stepMoments, type ShownFault } from './series.ts';
import { aheadOf, gap } from './spacing.ts';

/** A tired body is so much slower. */
const slowed = 0.25;

/** No two repetitions take the same time. */
function hitsAndRoundsOf(
  { random, tiredAt }: PlannedRound,
  { outTime, dwellTime, returnTime }: SingleModel,
  launch: number,
): StrikeTimes {
  const pace = 1 + slowed * tiredAt(launch);
  const contact = launch + outTime * random.normal(1, 0.06) * pace;
  const leave = contact + dwellTime * random.normal(1, 0.15);
  return { launch, contact, leave, home: leave + returnTime * random.normal(1, 0.07) * pace };
}

function reshaped(model: SingleModel, faults: readonly ShownFault[]): SingleModel {
  return faults.reduce<SingleModel>((shape, { model: fault, strength }) => {
    if (shape.kind === 'hand') return fault.reshapeHand?.(shape, strength) ?? shape;
    if (shape.kind === 'kick') return fault.reshapeKick?.(shape, strength) ?? shape;
    const step = shape.first && { first: shape.first, by: {} };
    return fault.reshapeParts ? { ...shape, parts: fault.reshapeParts(shape.parts, strength, step) } : shape;
  }, model);
}

/** Puts one movement into the round; gives the elbow's angle at contact. */
function planOne(plan: PlannedRound, model: SingleModel, moments: StrikeTimes): number {
  if (model.kind === 'hand') return planHand(plan, model, moments);
  if (model.kind === 'move') return (plan.add(contributionsOf(model.parts, moments)), 0);
  const reach = {};
  plan.add(kickContributions(model, moments, reach));
  const side: BodySide = model.foot === 'lead' ? 'left' : 'right';
  reachBag(model, side, () => solve(plan.poseAt(moments.contact)), plan.travelAt(moments.contact), reach);
  return 0;
}

/** What the holder does wrong while one strike is held for. */
function drawHolderFaults({ faults }: SceneHolder, random: Random): HeldFault[] {
  return faults
    .filter(({ share }) => random.next() < share)
    .map(({ fault, strength }) => ({ id: fault, checkpoint: holderFaults[fault], strength: random.between(...strength) }));
}

/** How much wider than where the strike belongs a wide pad is held, metres. */
const wideBy = 0.2;
/** A strike goes where the pad is, be it ever so wide. */
const aimedWide = (model: SingleModel, wide: number): SingleModel =>
  model.kind === 'hand' && wide > 0 ? { ...model, aside: model.aside + (model.hand === 'lead' ? 1 : -1) * wideBy * wide } : model;

/** The faults that are shown this time. */
const shownIn = ({ scene, random }: PlannedRound, technique: Thrown): ShownFault[] =>
  scene.faults
    .filter((fault) => fault.strike === technique)
    .filter((fault) => random.next() < fault.share)
    .map((fault) => ({ model: faultModel(fault.fault)!, strength: random.between(...fault.strength) }));
/** One way after the other. */
function wayOf({ thrown }: PlannedRound, technique: Single): SingleModel {
  const ways = waysOf(technique);
  const before = thrown.get(technique) ?? 0;
  thrown.set(technique, before + 1);
  return ways[before % ways.length]!;
}

/** What is hit answers, and is heard. */
function land(
  { scene, random, hits }: PlannedRound,
  model: SingleModel,
  { contact }: StrikeTimes,
  faults: readonly ShownFault[],
): void {
  if (model.kind === 'move') return;
  const push = model.bagPush * random.normal(1, 0.15);
  const weight = (fromRear(model) ? 0.62 : 0.42) * (model.kind === 'kick' ? 1.3 : 1) * random.normal(1, 0.1);
  const pushed = faults.some(({ model: fault }) => fault.pushed);
  const snap = pushed ? random.between(0.05, 0.25) : random.between(0.55, 0.95);
  hits.push({ at: contact, push, on: scene.station ?? 'heavy-bag', weight, snap });
}

function addAround(plan: PlannedRound, faults: readonly ShownFault[], moments: FaultMoments, model: SingleModel): void {
  for (const { model: fault, strength } of faults) {
    const around = fault.around?.(moments, strength, model) ?? [];
    if (fault.held) plan.addHeld(around, 'posture');
    else plan.add(around);
  }
}

/** Throws one thing: draws its faults and moments, plans its parts, and tells what is true of it. */
export function throwOne(plan: PlannedRound, technique: Thrown, place: number, launch: number): ThrownStrike {
  const { scene, random } = plan;
  const faults = shownIn(plan, technique);
  const held = scene.holder && drawHolderFaults(scene.holder, random);
  const wide = held?.find(({ id }) => id === 'pads-wide')?.strength ?? 0;
  const series = seriesOf(technique);
  const drawn: { technique: Single; model: SingleModel; moments: StrikeTimes; own: ShownFault[] }[] = [];
  let next = launch;
  for (const part of partsOf(technique)) {
    const own = series ? faults.filter(({ model }) => model.of.includes(part)) : faults;
    const model = aimedWide(reshaped(taught(wayOf(plan, part), scene.habits ?? []), own), wide);
    const before = drawn.at(-1);
    const wait = before ? gap(before.model, model) + (series ? betweenSeries(series) : 0) : 0;
    const moments = hitsAndRoundsOf(plan, model, next + wait);
    drawn.push({ technique: part, model, moments, own });
    next = moments.leave + 0.09 * random.normal(1, 0.15);
  }
  const all = drawn.map(({ moments }) => moments);
  let feet: ThrownStrike['feet'];
  if (series?.step) {
    plan.add(seriesFeet(series.step, all, faults));
    feet = { ...stepMoments(series.step, all), first: series.step.first };
  }
  if (series) {
    const begins = all[0]!.launch - beforeSeries(series) * 0.5;
    const whole = faults.filter(({ model }) => model.of.includes(technique));
    addAround(plan, whole, { ...all.at(-1)!, launch: all[0]!.launch, begins }, drawn.at(-1)!.model);
  }
  const parts = drawn.map(({ technique: part, model, moments, own }): ThrownPart => {
    addAround(plan, own, { ...moments, begins: moments.launch - aheadOf(model) }, model);
    if (series?.beside && moments === all.at(-1)) {
      const beside = faults.reduce<readonly MotionPart[]>(
        (shape, { model: fault, strength }) => fault.reshapeParts?.(shape, strength, undefined) ?? shape,
        series.beside,
      );
      plan.add(contributionsOf(beside, moments));
    }
    const elbowAngle = planOne(plan, model, moments);
    land(plan, model, moments, own);
    return { technique: part, model, ...moments, elbowAngle };
  });
  const [first, last] = [parts[0]!, parts.at(-1)!];
  if (isMove(first.technique) && first.model.kind === 'move' && first.model.first)
    feet = { ...all[0]!, first: first.model.first };
  const { contact, leave, home } = last;
  const told = faults.map(({ model: { id, checkpoint }, strength }) => ({ id, checkpoint, strength }));
  return {
    technique,
    place,
    launch: first.launch,
    contact,
    leave,
    home,
    faults: told,
    elbowAngle: last.elbowAngle,
    parts,
    begins: launch - aheadOf(parts[0]!.model),
    exit: false,
    ...(held && { held }),
    ...(feet && { feet }),
  };
}
