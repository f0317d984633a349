import { baseStance, swappedStance, type PoseChange } from '../../body/pose.ts';
import { stepOf, type Limb, type MotionPart } from '../part.ts';
import type { MoveModel } from './move.ts';

const times = { kind: 'move', outTime: 0.42, dwellTime: 0.22, returnTime: 0.42 } as const;
const other = (foot: Limb): Limb => (foot === 'lead' ? 'rear' : 'lead');

/** The foot nearest to where it goes moves first, the other recovers as much; back the same way, the other foot first. */
const stepping = (first: Limb, by: { x?: number; z?: number }): MoveModel => ({
  ...times,
  first,
  parts: [
    { change: { 'pelvis.x': by.x ?? 0, 'pelvis.z': by.z ?? 0 }, come: [0.08, 0.95], go: [0.05, 0.92] },
    ...stepOf(first, by, [0, 0.5], [0.48, 1]),
    ...stepOf(other(first), by, [0.46, 1], [0, 0.5]),
  ],
});

const size = 0.24;

const hop = (direction: 1 | -1): MoveModel => {
  const first: Limb = direction === 1 ? 'lead' : 'rear';
  const by = { z: direction * 0.2 };
  return {
    ...times,
    outTime: 0.26,
    dwellTime: 0.1,
    returnTime: 0.26,
    first,
    parts: [
      { change: { 'pelvis.z': by.z }, come: [0, 1], go: [0, 1] },
      { change: { 'pelvis.y': 0.02 }, passing: 'in', share: [0.1, 0.9] },
      { change: { 'pelvis.y': 0.02 }, passing: 'out', share: [0.1, 0.9] },
      ...stepOf(first, by, [0, 0.8], [0.15, 1]),
      ...stepOf(other(first), by, [0.15, 1], [0, 0.8]),
    ],
  };
};

const turn = -70;
const angle = (turn * Math.PI) / 180;
/** How far the lead foot steps off the line before it is turned on. */
const stepOff = 0.16;
const spot = { x: baseStance['leadFoot.x'] + stepOff, z: baseStance['leadFoot.z'] };

/** Where a point of the stance comes to lie when everything turns on the lead foot, as a change. */
function around(x: number, z: number, by: number): { x: number; z: number } {
  const [dx, dz] = [x - baseStance['leadFoot.x'], z - baseStance['leadFoot.z']];
  return {
    x: spot.x + dx * Math.cos(by) + dz * Math.sin(by) - x,
    z: spot.z - dx * Math.sin(by) + dz * Math.cos(by) - z,
  };
}
const aroundLead = (x: number, z: number): { x: number; z: number } => around(x, z, angle);

/** A foot that is swung round goes on the arc, not on the chord. */
function bulge(x: number, z: number): PoseChange {
  const [whole, half] = [around(x, z, angle), around(x, z, angle / 2)];
  return { 'rearFoot.x': half.x - whole.x / 2 - stepOff / 2, 'rearFoot.z': half.z - whole.z / 2 };
}
const hips = aroundLead(baseStance['pelvis.x'], baseStance['pelvis.z']);

const quarterTurn: MoveModel = {
  ...times,
  outTime: 0.55,
  returnTime: 0.6,
  first: 'lead',
  parts: [
    { change: { facing: turn }, come: [0.25, 1], go: [0, 0.8] },
    { change: { 'pelvis.x': hips.x, 'pelvis.z': hips.z }, come: [0.1, 1], go: [0, 0.9] },
    ...stepOf('lead', { x: stepOff }, [0, 0.36], [0.68, 1]),
    { change: { 'leadFoot.yaw': turn }, come: [0.3, 0.95], go: [0.05, 0.7] },
    ...stepOf('rear', { ...aroundLead(baseStance['rearFoot.x'], baseStance['rearFoot.z']), yaw: turn }, [0.34, 1], [0, 0.66]),
    { change: bulge(baseStance['rearFoot.x'], baseStance['rearFoot.z']), passing: 'in', share: [0.34, 1] },
  ],
};

/** What a swap of the leads moves, apart from the feet. */
const body: PoseChange = Object.fromEntries(
  Object.entries(swappedStance).filter(([channel]) => !/Foot\.|pelvis\.x/.test(channel)),
);
const feet = (foot: Limb): PoseChange =>
  Object.fromEntries(Object.entries(swappedStance).filter(([channel]) => channel.startsWith(`${foot}Foot`)));

/** Both leads change places over the spot, heels up, in the shares of the way that are given. */
export function swap(come: readonly [number, number], go: readonly [number, number]): MotionPart[] {
  const lift = (foot: Limb): PoseChange => ({ [`${foot}Foot.y`]: 0.045, [`${foot}Foot.pitch`]: 12 });
  return [
    { change: body, come, go },
    ...(['lead', 'rear'] as const).flatMap((foot): MotionPart[] => [
      { change: feet(foot), come, go },
      { change: lift(foot), passing: 'in', share: come },
      { change: lift(foot), passing: 'out', share: go },
    ]),
  ];
}

export const footworkModels = {
  'step-and-recover': [stepping('lead', { z: size })],
  'step-back': [stepping('rear', { z: -size })],
  'step-lead-side': [stepping('lead', { x: size })],
  'step-rear-side': [stepping('rear', { x: -size })],
  shuffle: [hop(1), hop(-1)],
  'quarter-turn': [quarterTurn],
  'stance-swap': [{ ...times, outTime: 0.32, dwellTime: 0.5, returnTime: 0.34, parts: swap([0, 1], [0, 1]) }],
} as const satisfies Record<string, readonly MoveModel[]>;
