import type { Degrees, Ms, Ratio } from '../units.ts';
import { between, instants, jointAngle, middle, mostOf, riseOf } from './geometry.ts';
import { readyBefore, type Sight, type Spot } from './sight.ts';

const onBody = (sight: Sight, time: Ms): Spot => {
  const [wrist, hip] = [sight.at(`${sight.striking}Wrist`, time), middle(sight, 'Hip', time)];
  return [wrist[0] - hip[0], wrist[1] - hip[1]];
};

/** The elbow at contact. */
export const elbowAngle = (sight: Sight): Degrees =>
  jointAngle(
    sight.at(`${sight.striking}Shoulder`, sight.contact),
    sight.at(`${sight.striking}Elbow`, sight.contact),
    sight.at(`${sight.striking}Wrist`, sight.contact),
  );
/** From the shoulder to the wrist at contact, of the length of the arm. */
export const reachUse = (sight: Sight): Ratio =>
  between(sight.at(`${sight.striking}Shoulder`, sight.contact), sight.at(`${sight.striking}Wrist`, sight.contact)) /
  (sight.size.upperArm + sight.size.forearm);
/** The forearm from level at contact. */
export const forearmTilt = (sight: Sight): Degrees =>
  riseOf(
    sight.at(`${sight.striking}Elbow`, sight.contact),
    sight.at(`${sight.striking}Wrist`, sight.contact),
    sight.size.forearm,
  );

/** Furthest that the fist goes back or down on the body before it is launched, in forearms. */
export function preMove(sight: Sight): Ratio {
  const from = sight.launch - readyBefore - 60;
  const rest = onBody(sight, from);
  const wrongWay = (time: Ms): number => {
    const now = onBody(sight, time);
    return Math.hypot(Math.max(0, rest[0] - now[0]), Math.max(0, rest[1] - now[1]));
  };
  return mostOf(from, sight.launch, wrongWay) / sight.size.forearm;
}

/** How long the fist stays within 3% of its way of the furthest place. */
export function dwell(sight: Sight): Ms {
  const forward = (time: Ms): number => sight.at(`${sight.striking}Wrist`, time)[0];
  const times = instants(sight.contact - 100, sight.home);
  const places = times.map(forward);
  const furthest = Math.max(...places);
  const near = furthest - 0.03 * (furthest - forward(sight.launch));
  const gap = (times.at(-1)! - times[0]!) / (times.length - 1);
  return places.filter((place) => place >= near).length * gap;
}
