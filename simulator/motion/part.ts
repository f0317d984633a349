import type { Metres, Seconds } from '@wax-fist/core/units';
import type { PoseChange } from '../body/pose.ts';
import { strikeRise, swell, upAndBack, type Shape } from './shape.ts';

/** When something is thrown, in seconds of the round: it begins, it is there, it leaves, it is home again. */
export interface StrikeTimes {
  launch: Seconds;
  contact: Seconds;
  leave: Seconds;
  home: Seconds;
}

/** A change of the pose with its course over time. */
export interface Contribution {
  change: PoseChange;
  shape: Shape;
}

type Share = readonly [from: number, to: number];

/**
 * A part of a movement, as data. Shares of the way there (0 launch, 1 contact) and of the way back (0 leave, 1 home); below 0 is
 * before the launch, above 1 after it is home.
 */
export type MotionPart =
  /** Comes on the way there, stays, goes on the way back. */
  | { change: PoseChange; come: Share; go: Share; like?: 'strike' }
  /** Comes and goes within one way. */
  | { change: PoseChange; passing: 'in' | 'out'; share: Share };

/** Parts of a movement at its moments. */
export function contributionsOf(parts: readonly MotionPart[], { launch, contact, leave, home }: StrikeTimes): Contribution[] {
  const there = (share: number): Seconds => launch + (contact - launch) * share;
  const back = (share: number): Seconds => leave + (home - leave) * share;
  return parts.map((part) => {
    if ('passing' in part) {
      const [from, to] = part.share.map(part.passing === 'in' ? there : back) as [number, number];
      return { change: part.change, shape: swell(from, (from + to) / 2, to) };
    }
    const { change, come, go, like } = part;
    return { change, shape: upAndBack(there(come[0]), there(come[1]), back(go[0]), back(go[1]), like && strikeRise) };
  });
}

export type Limb = 'lead' | 'rear';

/** How high a foot comes off the floor in a stepOf, metres. */
const stepHeight: Metres = 0.03;
/** The toes hang a little on the way, so that the ball is down before the heel. Degrees. */
const toesDown = 22;

/** A foot that steps by so many metres and back again, lifted on its way. */
export function stepOf(
  foot: Limb,
  { x = 0, z = 0, yaw = 0 }: { x?: number; z?: number; yaw?: number },
  come: Share,
  go: Share,
): MotionPart[] {
  const lift = { [`${foot}Foot.y`]: stepHeight, [`${foot}Foot.pitch`]: toesDown };
  return [
    { change: { [`${foot}Foot.x`]: x, [`${foot}Foot.z`]: z, [`${foot}Foot.yaw`]: yaw }, come, go },
    { change: lift, passing: 'in', share: come },
    { change: lift, passing: 'out', share: go },
  ];
}
