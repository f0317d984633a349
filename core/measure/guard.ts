import { measures } from '../technique/index.ts';
import type { Ms, Px, Ratio } from '../units.ts';
import { bodySides, pointsOf } from '../body/index.ts';
import { between, chin, instants, knuckles, middle, mostOf, riseOf, whenMost } from './geometry.ts';
import type { Sight, Spot } from './sight.ts';

/** The lower of the two fists over the chin, before anything begins, in heads. */
export const guardHeight = (sight: Sight): Ratio =>
  Math.min(...bodySides.map((side) => knuckles(sight, side, sight.ready)[1] - chin(sight, sight.ready)[1])) / sight.size.head;

const underChin =
  (sight: Sight) =>
  (time: Ms): Px =>
    chin(sight, time)[1] - sight.at(pointsOf[sight.idle].Wrist, time)[1];
/**
 * Largest fall of the hand that has nothing to do, launch to home, in heads. Against the chin, so that whoever changes level is not
 * said to drop the hand.
 */
export function otherHandDrop(sight: Sight): Ratio {
  const { idle, ready, launch, home, size, guard } = sight;
  const under = underChin(sight);
  // In the middle of a combination it has not come home yet from the strike before: then it falls from where it usually is.
  return (mostOf(launch, home, under) - Math.max(under(ready), guard[idle])) / size.head;
}
/** When it is lowest. */
export const otherHandLowest = (sight: Sight): Ms => whenMost(sight.launch, sight.home, underChin(sight));

/** The same of the hand on the side that kicks. */
export const kickHandDrop = (sight: Sight): Ratio => otherHandDrop({ ...sight, idle: sight.striking });

/** How far the striking hand is under the straight line from where it landed to where it is home. */
function underWayHome(sight: Sight): (time: Ms) => Px {
  const { striking, contact, home } = sight;
  const [from, to] = [sight.at(pointsOf[striking].Wrist, contact), sight.at(pointsOf[striking].Wrist, home)];
  const [across, up] = [to[0] - from[0], to[1] - from[1]];
  const length = across ** 2 + up ** 2;
  return (time) => {
    const [x, y] = sight.at(pointsOf[striking].Wrist, time);
    const share = Math.max(0, Math.min(1, ((x - from[0]) * across + (y - from[1]) * up) / length));
    return from[1] + up * share - y;
  };
}
/** Largest fall of the striking hand under that line, in forearms. */
export const returnDrop = (sight: Sight): Ratio => mostOf(sight.contact, sight.home, underWayHome(sight)) / sight.size.forearm;
/** When it is lowest under it. */
export const returnLowest = (sight: Sight): Ms => whenMost(sight.contact, sight.home, underWayHome(sight));

/** How far the striking hand is, once it is home, from where it was ready, against the chin and in heads. */
export function homeMiss(sight: Sight): Ratio {
  const fromChin = (time: Ms): Spot => {
    const [[x, y], [u, v]] = [chin(sight, time), sight.at(pointsOf[sight.striking].Wrist, time)];
    return [u - x, v - y];
  };
  return between(fromChin(sight.ready), fromChin(sight.home)) / sight.size.head;
}

/** Where a hand, and a shoulder, cover nothing any more: where their own rows call it clean no longer. Heads, over and under the chin. */
const [handOpen, shoulderOpen]: readonly [Ratio, Ratio] = [
  measures['guard-height'].band!.clean[0]!,
  measures['shoulder-chin'].band!.clean[1]!,
];
/** How long, from launch to home, nothing covers the chin: one hand is away, the other one and the shoulder of the first are low. */
export function exposureTime(sight: Sight): Ms {
  const { launch, home, striking, idle, size } = sight;
  const uncovered = (time: Ms): boolean => {
    const [, up] = chin(sight, time);
    const [hand, shoulder] = [knuckles(sight, idle, time)[1] - up, up - sight.at(pointsOf[striking].Shoulder, time)[1]];
    return hand < handOpen * size.head && shoulder > shoulderOpen * size.head;
  };
  const times = instants(launch, home);
  return (times.filter(uncovered).length * (home - launch)) / times.length;
}

/** Gap between chin and the shoulder that covers it, at contact, in heads. */
export const shoulderChin = (sight: Sight): Ratio =>
  (chin(sight, sight.contact)[1] - sight.at(pointsOf[sight.striking].Shoulder, sight.contact)[1]) / sight.size.head;

/** Fist over elbow at contact, in forearms. */
export const fistElbow = (sight: Sight): Ratio =>
  (sight.at(pointsOf[sight.striking].Wrist, sight.contact)[1] - sight.at(pointsOf[sight.striking].Elbow, sight.contact)[1]) /
  sight.size.forearm;

/** Of the elbow that is further out: how far the upper arm hangs away from the body, before anything begins. */
export const elbowFlare = (sight: Sight): number =>
  Math.max(
    ...bodySides.map((side) => {
      const [shoulder, elbow] = [sight.at(pointsOf[side].Shoulder, sight.ready), sight.at(pointsOf[side].Elbow, sight.ready)];
      // Sideways of what is known to be as long as an upper arm; outwards is away from the middle of the shoulders.
      const outwards = Math.sign(shoulder[0] - middle(sight, 'Shoulder', sight.ready)[0]);
      return riseOf([0, 0], [0, outwards * (elbow[0] - shoulder[0])], sight.size.upperArm);
    }),
  );
