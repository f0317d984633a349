import { guardHeight, stanceLength, stanceWidth } from './ready.ts';
import { middle, inMilliseconds, torso, type Joints, type Seen } from './seen.ts';
import { headOffset } from './striking.ts';

const tick = 0.01;
/** Nobody waits longer to see whether something still happens. Seconds. */
const longest = 2.5;
/** The base has to hold for so long to be one. Seconds. */
const held = 0.1;

const inBase = (joints: Joints): boolean => {
  const [width, length] = [stanceWidth(joints), stanceLength(joints)];
  return guardHeight(joints) >= -0.15 && width >= 0.85 && width <= 1.4 && length >= 0.7 && length <= 1.25;
};

/** From the last contact until stance and guard are clean again. */
export function timeToBase({ strike, part, at, ready }: Seen): number {
  const from = part.model.kind === 'move' ? part.leave : strike.contact;
  // Before it is home there is a limb out.
  const earliest = strike.home - 0.03;
  // Somebody who stood otherwise to begin with comes back to that.
  const base = inBase(ready) ? inBase : (joints: Joints): boolean => guardHeight(joints) >= guardHeight(ready) - 0.1;
  let since: number | undefined;
  for (let seconds = earliest; seconds < from + longest; seconds += tick) {
    if (!base(at(seconds))) since = undefined;
    else if (seconds - (since ??= seconds) >= held) return inMilliseconds(from, since);
  }
  return longest * 1000;
}

/** From the last contact until the head is half its width off the line, or the body one torso out of range. */
export function exitTime(seen: Seen): number {
  const { strike, at, ready } = seen;
  const line = at(strike.contact);
  for (let seconds = strike.contact + tick; seconds < strike.contact + longest; seconds += tick) {
    const joints = at(seconds);
    const gone = middle(line, 'Hip').z - middle(joints, 'Hip').z > torso(ready);
    if (gone || (seconds > strike.home + 0.16 && headOffset(joints, { ...seen, ready: line }) >= 0.5))
      return inMilliseconds(strike.contact, seconds);
  }
  return longest * 1000;
}

/** How far the head is off the line when the feet have left. */
export const exitAngle = (seen: Seen): number =>
  seen.part.model.kind === 'move'
    ? headOffset(seen.landed, seen)
    : Math.max(
        ...seen
          .during(seen.strike.home, seen.strike.home + 0.5)
          .map((joints) => headOffset(joints, { ...seen, ready: seen.at(seen.strike.contact) })),
      );
