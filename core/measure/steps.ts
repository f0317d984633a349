import { type BodySide, bodySides, otherSideOf, pointsOf } from '../body/index.ts';
import { across, type Technique, type TechniqueId, type View } from '../technique/index.ts';
import type { Ms, Px, Ratio } from '../units.ts';
import { instants, middle, middleOf, rangeOf, whenGoneFurther, whenMost } from './geometry.ts';
import { isStep, rearOf, type Sight } from './sight.ts';

// A step as the picture shows it: across, one to the front or back; along, one to a side. One towards the camera or away from it is not
// seen, and tells nothing.

/** Both feet together go at least so far, in trunks, or the step goes where this camera does not see it. */
const shortest: Ratio = 0.15;
/** A foot has left when it has gone so much of the first one's way. */
const hasLeft: Ratio = 0.12;
/** The feet are off before the launch is seen by no more than this, and stand so long after contact. */
const [early, stands]: readonly [Ms, Ms] = [100, 20];
/** Whoever turns their lead foot by more than this part of its length does not step, but turns. */
const turned: Ratio = 0.5;

/** Which way techniques step that neither go to the front nor back. */
const goes: Readonly<Partial<Record<TechniqueId, 'aside' | 'round'>>> = {
  'step-lead-side': 'aside',
  'step-rear-side': 'aside',
  'quarter-turn': 'round',
};
/** Why a step cannot be measured from somewhere, before anybody has looked; undefined when it can. */
export function whyNotFrom(view: View, { id, ...technique }: Pick<Technique, 'id' | 'kind' | 'checkpoints'>): string | undefined {
  if (!isStep(technique)) return 'Measured of steps by themselves, not with a strike.';
  if (goes[id] === 'round') return 'Measured of steps, not of turns.';
  const along = across.includes(view);
  return along === (goes[id] === 'aside') ? undefined : 'From here the step goes towards the camera or away from it.';
}

interface Step {
  first: BodySide;
  second: BodySide;
  /** How far a foot has gone where the step goes, since before it began. */
  gone: (side: BodySide, time: Ms) => Px;
  /** When both have stepped. */
  done: Ms;
}

const pointsAhead = (sight: Sight, time: Ms): Px =>
  sight.at(pointsOf[sight.lead].Toe, time)[0] - sight.at(pointsOf[sight.lead].Heel, time)[0];

/** The step of a movement of the feet; undefined where it is none, or is not seen. */
function stepOf(sight: Sight): Step | undefined {
  const { ready, size } = sight;
  if (!sight.steps) return undefined;
  const done = sight.contact + stands;
  if (Math.abs(pointsAhead(sight, done) - pointsAhead(sight, ready)) > turned * size.foot) return undefined;
  const place = (side: BodySide, time: Ms): Px => sight.at(pointsOf[side].Toe, time)[0];
  const way = bodySides.reduce((sum, side) => sum + place(side, done) - place(side, ready), 0) / bodySides.length;
  if (!(Math.abs(way) >= shortest * size.torso)) return undefined;
  const towards = Math.sign(way);
  // The foot nearest to where it goes opens the way.
  const first = towards * (place('left', ready) - place('right', ready)) > 0 ? 'left' : 'right';
  const gone = (side: BodySide, time: Ms): Px => towards * (place(side, time) - place(side, ready));
  return { first, second: otherSideOf(first), gone, done };
}

/** By how much the foot nearest to where the step goes leaves before the other. */
export function stepOrder(sight: Sight): Ms | undefined {
  const step = stepOf(sight);
  if (!step) return undefined;
  const { first, second, gone, done } = step;
  const far = hasLeft * Math.max(gone(first, done), gone(second, done));
  const times = instants(sight.launch - early, done);
  const leaves = (side: BodySide): Ms => times.find((time) => gone(side, time) > far) ?? done;
  return leaves(second) - leaves(first);
}
/** The second step over the first. */
export function recoveryRatio(sight: Sight): Ratio | undefined {
  const step = stepOf(sight);
  return step && step.gone(step.second, step.done) / step.gone(step.first, step.done);
}
/** The first step, in trunks. */
export function stepLength(sight: Sight): Ratio | undefined {
  const step = stepOf(sight);
  return step && step.gone(step.first, step.done) / sight.size.torso;
}
/** Front to back between the ankles once both feet have come, in trunks. */
export function stanceLength(sight: Sight): Ratio | undefined {
  const step = stepOf(sight);
  if (!step) return undefined;
  const [left, right] = bodySides.map((side) => sight.at(pointsOf[side].Ankle, step.done)[0]);
  return Math.abs(left! - right!) / sight.size.torso;
}
/** The closest that the feet come on their way, of how far apart they stood; below nought where they cross. */
export function feetGap(sight: Sight): Ratio | undefined {
  const step = stepOf(sight);
  if (!step) return undefined;
  const gap = (time: Ms): Px => sight.at(pointsOf[sight.lead].Ankle, time)[0] - sight.at(pointsOf[rearOf(sight)].Ankle, time)[0];
  const base = gap(sight.ready);
  return rangeOf(sight.launch, step.done, (time) => gap(time) / base)[0];
}

/** Toes or a heel are down when they are left with so much of how high they were lifted. */
const leftOfLift: Ratio = 0.3;
/** How long after the ball of the foot that goes first its heel is down. */
export function heelToe(sight: Sight): Ms | undefined {
  const step = stepOf(sight);
  if (!step) return undefined;
  const down = (part: 'Heel' | 'Toe'): Ms => {
    const lifted = (time: Ms): Px =>
      sight.at(pointsOf[step.first][part], time)[1] - sight.at(pointsOf[step.first][part], step.done)[1];
    const highest = whenMost(sight.launch, step.done, lifted);
    const left = leftOfLift * lifted(highest);
    return instants(highest, step.done).find((time) => lifted(time) <= left) ?? step.done;
  };
  return down('Heel') - down('Toe');
}

/** A foot that steps with a fist goes at least so far, in trunks, within these times of its launch and its contact. */
const [stepWithFist, steppedBefore, steppedAfter]: readonly [Ratio, Ms, Ms] = [0.06, 150, 180];
/** A foot is down when it has gone so much of its way: what is left it takes to come to rest. */
const isDown: Ratio = 0.8;
/** When a foot is down that steps forwards within some time; undefined where it does not step. */
function whenDown(sight: Sight, side: BodySide, from: Ms, to: Ms): Ms | undefined {
  const place = (time: Ms): Px => sight.at(pointsOf[side].Toe, time)[0];
  const stood = place(from);
  const gone = (time: Ms): Px => place(time) - stood;
  return whenGoneFurther(stepWithFist * sight.size.torso, isDown, from, to, gone);
}
/** When the lead foot is down that steps with a fist; undefined where none steps. */
export const footDown = (sight: Sight): Ms | undefined =>
  whenDown(sight, sight.lead, sight.launch - steppedBefore, sight.contact + steppedAfter);
/** How long after the fist that is. */
export function footHand(sight: Sight): Ms | undefined {
  const down = footDown(sight);
  return down === undefined ? undefined : down - sight.contact;
}

/** Of a drive both feet have stepped before the last strike lands: the one behind begins no earlier than this before its launch. */
const drivesBefore: Ms = 400;
/** How long before the fist the foot behind is down that drives; undefined where it stays. */
export function driveOrder(sight: Sight): Ms | undefined {
  const down = whenDown(sight, rearOf(sight), sight.launch - drivesBefore, sight.contact + steppedAfter);
  return down === undefined ? undefined : sight.contact - down;
}

/** Whoever keeps a distance has it again so long after the strike is home. */
const keptAfter: Ms = 400;
/** How far both are apart after a strike, of how far they were before it; undefined where nobody was followed beside whoever strikes. */
export function gapChange(sight: Sight): Ratio | undefined {
  const { partner, ready, home, until } = sight;
  if (!partner || home + keptAfter > until) return undefined;
  const gap = (time: Ms): Px => {
    const [[theirs], [own]] = [middleOf(partner('leftHip', time), partner('rightHip', time)), middle(sight, 'Hip', time)];
    return Math.abs(theirs - own);
  };
  return gap(home + keptAfter) / gap(ready);
}

/** Before a kick the leads change places in this part of the time that the kick takes out. */
const swapBefore: Ratio = 0.9;
/** How far the hips travel while the leads change places, in widths of the shoulders. */
export function switchDrift(sight: Sight): Ratio {
  const { launch, contact, byLeg, size } = sight;
  const [from, to] = byLeg ? [launch - swapBefore * (contact - launch), launch - 30] : [launch, contact];
  return Math.abs(middle(sight, 'Hip', to)[0] - middle(sight, 'Hip', from)[0]) / size.shoulderWidth;
}
/** By how much of the base the foot that stood behind is in front once the leads have changed places. */
export function leadOrder(sight: Sight): Ratio {
  const ahead = (side: BodySide, other: BodySide, time: Ms): Px =>
    sight.at(pointsOf[side].Ankle, time)[0] - sight.at(pointsOf[other].Ankle, time)[0];
  const [lead, rear] = [sight.lead, rearOf(sight)];
  return ahead(rear, lead, sight.contact) / ahead(lead, rear, sight.ready);
}
