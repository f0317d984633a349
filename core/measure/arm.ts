import { bodySides, pointsOf } from '../body/index.ts';
import type { Degrees, Ms, Px, Ratio } from '../units.ts';
import { between, instants, jointAngle, knuckles, middle, mostOf, riseOf, smooth } from './geometry.ts';
import { readyBefore, type Sight, type Spot } from './sight.ts';

/** A wrist, from the middle of the hips. */
const onBody = (sight: Sight, time: Ms, side = sight.striking): Spot => {
  const [wrist, hip] = [sight.at(pointsOf[side].Wrist, time), middle(sight, 'Hip', time)];
  return [wrist[0] - hip[0], wrist[1] - hip[1]];
};

/** The elbow at contact. */
export const elbowAngle = (sight: Sight): Degrees =>
  jointAngle(
    sight.at(pointsOf[sight.striking].Shoulder, sight.contact),
    sight.at(pointsOf[sight.striking].Elbow, sight.contact),
    sight.at(pointsOf[sight.striking].Wrist, sight.contact),
  );
/** From the shoulder to the wrist at contact, of the length of the arm. */
export const reachUse = (sight: Sight): Ratio =>
  between(sight.at(pointsOf[sight.striking].Shoulder, sight.contact), sight.at(pointsOf[sight.striking].Wrist, sight.contact)) /
  (sight.size.upperArm + sight.size.forearm);
/** The forearm from level at contact. */
export const forearmTilt = (sight: Sight): Degrees =>
  riseOf(
    sight.at(pointsOf[sight.striking].Elbow, sight.contact),
    sight.at(pointsOf[sight.striking].Wrist, sight.contact),
    sight.size.forearm,
  );

/** Furthest that the fist goes back or down on the body before it is launched, in forearms; undefined of what sinks anyway. */
export function preMove(sight: Sight): Ratio | undefined {
  if (sight.sinks) return undefined;
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
  const forward = (time: Ms): number => sight.at(pointsOf[sight.striking].Wrist, time)[0];
  const times = instants(sight.contact - 100, sight.home);
  const places = times.map(forward);
  const furthest = Math.max(...places);
  const near = furthest - 0.03 * (furthest - forward(sight.launch));
  const gap = (times.at(-1)! - times[0]!) / (times.length - 1);
  return places.filter((place) => place >= near).length * gap;
}

/** Between the line of the forearm and that of the knuckles, at contact. */
export const wristBend = (sight: Sight): Degrees =>
  180 -
  jointAngle(
    sight.at(pointsOf[sight.striking].Elbow, sight.contact),
    sight.at(pointsOf[sight.striking].Wrist, sight.contact),
    knuckles(sight, sight.striking, sight.contact),
  );

/** 1 or −1: which way in the picture leads away from the body on the striking side, for a camera along the line of attack. */
const outwards = (sight: Sight): number =>
  Math.sign(
    sight.at(pointsOf[sight.striking].Shoulder, sight.ready)[0] - sight.at(pointsOf[sight.idle].Shoulder, sight.ready)[0],
  );
/** A hook is wound up before it is launched. */
const windsUp: Ms = 260;
/** Furthest that the fist goes out sideways before it is launched, in forearms. */
export function windUp(sight: Sight): Ratio {
  const from = sight.launch - windsUp;
  const [rest, out] = [onBody(sight, from)[0], outwards(sight)];
  return mostOf(from, sight.launch, (time) => (onBody(sight, time)[0] - rest) * out) / sight.size.forearm;
}
/** How far the fist goes on past the middle of the feet, contact to home, in widths of the shoulders. */
export function overrun(sight: Sight): Ratio {
  const [line, out] = [middle(sight, 'Ankle', sight.ready)[0], outwards(sight)];
  const past = (time: Ms): Px => (line - knuckles(sight, sight.striking, time)[0]) * out;
  return Math.max(0, mostOf(sight.contact, sight.home, past)) / sight.size.shoulderWidth;
}

/**
 * Largest distance of the fist from the straight way between launch and contact, sideways, of the length of that way. Along the line
 * of attack the way itself is not seen: it is taken to be as long as an arm, and gone through as the arm straightens.
 */
export function pathDeviation(sight: Sight): Ratio {
  const { striking, launch, contact, size } = sight;
  const wrist = (time: Ms): Px => sight.at(pointsOf[striking].Wrist, time)[0];
  const [from, to] = [wrist(launch), wrist(contact)];
  const aside = (time: Ms): Px => Math.abs(wrist(time) - from - (to - from) * smooth((time - launch) / (contact - launch)));
  return mostOf(launch, contact, aside) / (size.upperArm + size.forearm);
}

/** How far the hand that parries leaves its place on the body, ready to contact, in forearms: the one that goes further. */
export const handTravel = (sight: Sight): Ratio =>
  Math.max(...bodySides.map((side) => between(onBody(sight, sight.contact, side), onBody(sight, sight.ready, side)))) /
  sight.size.forearm;
