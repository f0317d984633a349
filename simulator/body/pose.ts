/**
 * A pose is one number per channel: metres for positions, degrees for turns.
 *
 * Axes: the trainee faces +z, +y is up. Positions and turns are written for an orthodox trainee, whose lead side is +x;
 * `solve` mirrors them for a southpaw. Hands are given relative to the body's travel and to where it faces, so that a body
 * that sways or turns carries its guard; feet stay in the room, whatever the body does.
 */
export const channels = [
  'pelvis.x',
  'pelvis.y',
  'pelvis.z',
  'pelvis.yaw',
  'pelvis.pitch',
  'pelvis.roll',
  'chest.yaw',
  'chest.pitch',
  'chest.roll',
  'head.yaw',
  'head.pitch',
  'head.roll',
  'leadHand.x',
  'leadHand.y',
  'leadHand.z',
  'leadHand.turn',
  'leadHand.bend',
  'rearHand.x',
  'rearHand.y',
  'rearHand.z',
  'rearHand.turn',
  'rearHand.bend',
  'facing',
  'leadElbow.out',
  'rearElbow.out',
  'leadElbow.fore',
  'rearElbow.fore',
  'leadShoulder.y',
  'leadShoulder.z',
  'rearShoulder.y',
  'rearShoulder.z',
  'leadKnee.up',
  'rearKnee.up',
  'leadFoot.x',
  'leadFoot.y',
  'leadFoot.z',
  'leadFoot.yaw',
  'leadFoot.pitch',
  'rearFoot.x',
  'rearFoot.y',
  'rearFoot.z',
  'rearFoot.yaw',
  'rearFoot.pitch',
] as const;

export type Channel = (typeof channels)[number];
export type Pose = Record<Channel, number>;
/** What a strike or a fault adds to the pose underneath. */
export type PoseChange = Partial<Pose>;

/** The base stance: feet a shoulder apart, rear heel off the floor, hands at the cheek. `foot.x/z` is the ball of the foot. */
export const baseStance: Pose = {
  'pelvis.x': 0.05,
  'pelvis.y': 0.889,
  'pelvis.z': -0.02,
  'pelvis.yaw': -35,
  'pelvis.pitch': 6,
  'pelvis.roll': 0,
  'chest.yaw': -38,
  'chest.pitch': 10,
  'chest.roll': 0,
  'head.yaw': -8,
  'head.pitch': 7,
  'head.roll': 0,
  'leadHand.x': 0.09,
  'leadHand.y': 1.415,
  'leadHand.z': 0.34,
  'leadHand.turn': 0,
  'leadHand.bend': 0,
  'rearHand.x': -0.09,
  'rearHand.y': 1.425,
  'rearHand.z': 0.19,
  'rearHand.turn': 0,
  'rearHand.bend': 0,
  facing: 0,
  'leadElbow.out': 0.36,
  'rearElbow.out': 0.26,
  'leadElbow.fore': 0,
  'rearElbow.fore': 0,
  'leadShoulder.y': 0.02,
  'leadShoulder.z': 0.02,
  'rearShoulder.y': 0.02,
  'rearShoulder.z': 0.03,
  'leadKnee.up': 0,
  'rearKnee.up': 0,
  'leadFoot.x': 0.145,
  'leadFoot.y': 0,
  'leadFoot.z': 0.37,
  'leadFoot.yaw': -18,
  'leadFoot.pitch': 3,
  'rearFoot.x': -0.23,
  'rearFoot.y': 0,
  'rearFoot.z': -0.2,
  'rearFoot.yaw': -48,
  'rearFoot.pitch': 24,
};

/** `pose` with `amount` of `change` added, in place. */
export function addChange(pose: Pose, change: PoseChange, amount: number): void {
  for (const channel in change) pose[channel as Channel] += change[channel as Channel]! * amount;
}

const otherSide = (channel: string): Channel =>
  (channel.startsWith('lead') ? channel.replace('lead', 'rear') : channel.replace('rear', 'lead')) as Channel;
const turnsOver = (channel: string): boolean => channel === 'facing' || /\.(yaw|roll)$/.test(channel) || channel.endsWith('.x');

/** The same seen in a mirror: the other side does it. */
export function mirrored(change: PoseChange): PoseChange {
  return Object.fromEntries(
    Object.entries(change).map(([channel, value]) => [otherSide(channel), turnsOver(channel) ? -value : value]),
  );
}

/** The sum of changes, channel by channel. */
export function summed(...changes: readonly PoseChange[]): PoseChange {
  const sum: PoseChange = {};
  for (const change of changes)
    for (const channel in change) sum[channel as Channel] = (sum[channel as Channel] ?? 0) + change[channel as Channel]!;
  return sum;
}

/** From the stance to its mirror image, on the spot: what a swap of the leads changes. */
export const swappedStance: PoseChange = Object.fromEntries(
  channels.map((channel) => [channel, (mirrored(baseStance)[channel] ?? 0) - baseStance[channel]]),
);
