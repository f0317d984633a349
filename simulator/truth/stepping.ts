import type { Seconds } from '@wax-fist/core/units';
import type { Vector3 } from 'three';
import type { BodySide } from '@wax-fist/core/body';
import type { StrikeTimes } from '../motion/part.ts';
import { heading, middle, inMilliseconds, shoulderWidth, torso, turnBetween, type Joints, type Seen } from './seen.ts';

const tick = 0.004;
/** A foot has left when it is so far from where it stood, and is down when it is so near the floor again. Metres. */
const left = 0.012;
const down = 0.004;

const flat = (a: Vector3, b: Vector3): number => Math.hypot(a.x - b.x, a.z - b.z);
const sideOf = (foot: 'lead' | 'rear'): BodySide => (foot === 'lead' ? 'left' : 'right');
const other = (side: BodySide): BodySide => (side === 'left' ? 'right' : 'left');

interface Feet extends StrikeTimes {
  first: BodySide;
  second: BodySide;
}
/** The step of a movement; undefined where the feet stay. */
function feetOf({ strike: { feet } }: Seen): Feet | undefined {
  return feet && { ...feet, first: sideOf(feet.first), second: other(sideOf(feet.first)) };
}
const start = ({ at }: Seen, feet: Feet): Joints => at(feet.launch - 0.04);
/** Where the feet are when both have stepped. */
const arrived = ({ at }: Seen, feet: Feet): Joints => at(feet.contact + 0.02);

function first(from: Seconds, to: Seconds, is: (seconds: Seconds) => boolean): Seconds | undefined {
  for (let seconds = from; seconds <= to; seconds += tick) if (is(seconds)) return seconds;
  return undefined;
}

/** How far the foot that should go first is ahead of the other. */
export function stepOrder(seen: Seen): number | undefined {
  const feet = feetOf(seen);
  if (!feet) return undefined;
  const stood = start(seen, feet);
  const leaves = (side: BodySide): number =>
    first(
      feet.launch - 0.04,
      feet.contact + 0.3,
      (seconds) => flat(seen.at(seconds)[`${side}Toe`], stood[`${side}Toe`]) > left,
    ) ?? feet.contact + 0.3;
  return inMilliseconds(leaves(feet.first), leaves(feet.second));
}
/** The second step over the first; of a turn, how far the base has turned over how far the body has. */
export function recoveryRatio(seen: Seen): number | undefined {
  const feet = feetOf(seen);
  if (!feet) return undefined;
  const [from, to] = [start(seen, feet), arrived(seen, feet)];
  if (seen.part.technique === 'quarter-turn') {
    const base = (joints: Joints): number => heading(joints.rightAnkle, joints.leftAnkle);
    return turnBetween(base(from), base(to)) / seen.round.facingAt(feet.contact);
  }
  // The strike of a series is home by then, and with it what its own foot did.
  const end =
    seen.strike.parts.length > 1 || seen.part.model.kind === 'hand'
      ? seen.at(Math.max(feet.contact, seen.strike.home + 0.24))
      : to;
  const moved = (side: BodySide): number => flat(from[`${side}Toe`], end[`${side}Toe`]);
  return moved(feet.second) / moved(feet.first);
}
export function stepLength(seen: Seen): number | undefined {
  const feet = feetOf(seen);
  if (!feet) return undefined;
  const [from, to] = [start(seen, feet), arrived(seen, feet)];
  return flat(from[`${feet.first}Toe`], to[`${feet.first}Toe`]) / torso(from);
}
/** The closest that the feet come, of the base. */
export function feetGap(seen: Seen): number {
  const feet = feetOf(seen) ?? seen.strike;
  const gap = ({ leftAnkle, rightAnkle }: Joints): number => flat(leftAnkle, rightAnkle);
  const closest = Math.min(...seen.during(feet.launch, feet.contact).map(gap));
  return closest / gap(feetOf(seen) ? seen.at(feet.launch - 0.04) : seen.ready);
}
/** When a joint of a foot that was lifted comes down, for the first time after `from`. */
function landing(
  seen: Seen,
  from: number,
  to: number,
  joint: 'leftToe' | 'rightToe' | 'leftHeel' | 'rightHeel',
): number | undefined {
  // A heel comes to rest as high as it is held then; toes lie on the floor before and after.
  const height = (seconds: Seconds): number => seen.at(seconds)[joint].y;
  const rest = joint.endsWith('Heel') ? height(to) : Math.min(height(from), height(to));
  const lifted = first(from, to, (seconds) => height(seconds) > rest + down * 2);
  return lifted === undefined ? undefined : first(lifted, to, (seconds) => height(seconds) < rest + down);
}
/** The ball of the first foot is down ahead of its heel by so much. */
export function heelToe(seen: Seen): number | undefined {
  const feet = feetOf(seen);
  if (!feet) return undefined;
  // Whatever the foot does with a strike besides, it lies still as long as the fist is at the target.
  const struck = seen.strike.parts[0]!;
  const over = struck.model.kind === 'hand' ? struck.leave + 0.04 : feet.launch + (feet.contact - feet.launch) * 0.8;
  const [from, to] = [feet.launch - 0.02, over];
  const [toe, heel] = [landing(seen, from, to, `${feet.first}Toe`), landing(seen, from, to, `${feet.first}Heel`)];
  return toe === undefined || heel === undefined ? undefined : inMilliseconds(toe, heel);
}
/** The foot that steps with it is down so much after the fist has landed. */
export function footHand(seen: Seen): number | undefined {
  const jab = seen.strike.parts.find(({ technique }) => technique === 'jab') ?? seen.part;
  const side = feetOf(seen)?.first ?? 'left';
  const landed = landing(seen, jab.launch - 0.14, jab.contact + 0.16, `${side}Toe`);
  return landed === undefined ? undefined : inMilliseconds(jab.contact, landed);
}
/** The second foot is down so much before the last strike lands. */
export function driveOrder(seen: Seen): number | undefined {
  const feet = feetOf(seen);
  if (!feet) return undefined;
  const landed = landing(seen, feet.launch, seen.strike.contact + 0.3, `${feet.second}Toe`);
  return landed === undefined ? undefined : inMilliseconds(landed, seen.strike.contact);
}
/** Of the distance to who holds, as it is after the last strike against before the first; undefined where nobody does. */
export function gapChange(seen: Seen): number | undefined {
  const { round, strike, at } = seen;
  if (!round.holder) return undefined;
  const partner = middle(round.holder.bodyAt(strike.begins).joints, 'Hip');
  const gap = (joints: Joints): number => flat(middle(joints, 'Hip'), partner);
  return gap(at(strike.home + 0.4)) / gap(seen.ready);
}
/** How far the lead toes are outside of the lead toes of who holds, in feet; undefined where nobody does. */
export function footLane({ round, part, landed }: Seen): number | undefined {
  const partner = round.holder?.leadToesAt(part.contact);
  if (!partner) return undefined;
  return (landed.leftToe.x - partner.x) / landed.leftHeel.distanceTo(landed.leftToe);
}
/** How far the hips travel while the leads change places. */
export function switchDrift(seen: Seen): number {
  const { part } = seen;
  const swap = part.model.kind === 'kick';
  const [from, to] = swap ? [part.launch - 0.9 * (part.contact - part.launch), part.launch - 0.03] : [part.launch, part.contact];
  const hips = (seconds: Seconds): Vector3 => middle(seen.at(seconds), 'Hip');
  return flat(hips(from), hips(to)) / shoulderWidth(seen.ready);
}
