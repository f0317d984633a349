import type { Channel, PoseChange } from '../../body/pose.ts';
import type { MotionPart } from '../part.ts';
import { scaledParts } from './kick.ts';
import type { FaultModel } from './model.ts';

/** One channel of a movement, more or less of it, and something else instead. */
const instead = (
  parts: readonly MotionPart[],
  which: RegExp,
  factor: number,
  added: Partial<Record<Channel, number>> = {},
): MotionPart[] => [
  ...parts.map((part) => ({
    ...part,
    change: Object.fromEntries(
      Object.entries(part.change).map(([channel, value]) => [channel, which.test(channel) ? value * factor : value]),
    ),
  })),
  { change: added, come: [0, 1], go: [0, 1] },
];

/** Hands that go down with a chest that bends forward. */
const handsAlong = (strength: number): PoseChange => ({
  'leadHand.y': -0.26 * strength,
  'rearHand.y': -0.26 * strength,
  'leadHand.z': 0.1 * strength,
  'rearHand.z': 0.12 * strength,
});

/** What goes wrong in defence, and in a swap of the leads. */
export const moveFaults: readonly FaultModel[] = [
  {
    id: 'slips-short',
    checkpoint: 'df.slip',
    of: ['slip'],
    reshapeParts: (parts, strength) => scaledParts(parts, 1 - 0.95 * strength),
  },
  {
    id: 'bows',
    checkpoint: 'df.weave',
    of: ['weave', 'roll'],
    reshapeParts: (parts, strength) =>
      instead(parts, /pelvis\.y/, 1 - 0.9 * strength, {
        'chest.pitch': 46 * strength,
        'pelvis.pitch': 14 * strength,
        ...handsAlong(strength),
      }),
    alsoShows: ['sm.level', 'st.lean', 'ex.reset'],
  },
  {
    id: 'bends-over',
    checkpoint: 'df.level',
    of: ['level-follow'],
    reshapeParts: (parts, strength) =>
      instead(parts, /pelvis\.y/, 1 - 0.85 * strength, {
        'chest.pitch': 48 * strength,
        'pelvis.pitch': 12 * strength,
        ...handsAlong(strength),
      }),
    alsoShows: ['sm.level', 'st.lean'],
  },
  {
    id: 'bends-back',
    checkpoint: 'df.pull-back',
    of: ['pull-back'],
    reshapeParts: (parts, strength) =>
      instead(parts, /Foot\.|pelvis\.z/, 1 - 0.4 * strength, { 'chest.pitch': -32 * strength, 'pelvis.pitch': -12 * strength }),
    alsoShows: ['st.lean', 'st.chin'],
  },
  {
    id: 'reaches-out',
    checkpoint: 'df.parry',
    of: ['parry'],
    reshapeParts: (parts, strength) => scaledParts(parts, 1 + 2.2 * strength),
  },
  {
    id: 'knee-stays-low',
    checkpoint: 'df.check',
    of: ['shin-check'],
    reshapeParts: (parts, strength) => instead(parts, /leadFoot\.y/, 1 - 0.85 * strength),
  },
  {
    id: 'hands-leave',
    checkpoint: 'gd.kick-hand',
    of: ['shin-check'],
    reshapeParts: (parts, strength) =>
      instead(parts, /^$/, 1, { 'leadHand.y': -0.34 * strength, 'rearHand.y': -0.34 * strength }),
  },
  {
    id: 'other-hand-goes-too',
    checkpoint: 'gd.other-hand',
    of: ['parry', 'catch-kick'],
    reshapeParts: (parts, strength) => instead(parts, /^$/, 1, { 'leadHand.y': -0.3 * strength, 'rearHand.y': -0.34 * strength }),
    alsoShows: ['df.parry', 'ex.reset'],
  },
  {
    id: 'leaves-a-gap',
    checkpoint: 'df.block',
    of: ['high-block'],
    reshapeParts: (parts, strength) =>
      instead(parts, /Hand\./, 1 - 0.8 * strength, {
        'leadElbow.out': 1.8 * strength,
        'rearElbow.out': 1.8 * strength,
        'leadHand.x': 0.1 * strength,
        'rearHand.x': -0.1 * strength,
      }),
  },
  {
    id: 'reaches-low',
    checkpoint: 'df.catch',
    of: ['catch-kick'],
    reshapeParts: (parts, strength) =>
      instead(parts, /^$/, 1, {
        'leadHand.y': -0.22 * strength,
        'leadHand.z': 0.12 * strength,
        'chest.pitch': 26 * strength,
        'head.pitch': -32 * strength,
      }),
    alsoShows: ['st.lean', 'st.chin', 'ex.reset', 'gd.other-hand'],
  },
  {
    id: 'slow-up',
    checkpoint: 'df.sprawl',
    of: ['sprawl'],
    lasts: 1.4,
    reshapeParts: (parts, strength) =>
      parts.map((part) => ('come' in part ? { ...part, go: [part.go[0], part.go[1] + 2.4 * strength] as const } : part)),
    alsoShows: ['ex.reset'],
  },
  {
    id: 'chest-stays-up',
    checkpoint: 'st.lean',
    of: ['sprawl'],
    reshapeParts: (parts, strength) => instead(parts, /(chest|pelvis)\.pitch/, 1 - strength),
    alsoShows: ['st.chin'],
  },
  {
    id: 'stays-in-the-lane',
    checkpoint: 'sm.head-off',
    of: ['jab-cross-slip'],
    reshapeParts: (parts, strength) => scaledParts(parts, 1 - 1.6 * strength),
  },
  {
    id: 'stays-on-the-line',
    checkpoint: 'ex.angle',
    of: ['quarter-turn'],
    reshapeParts: (parts, strength) => scaledParts(parts, 1 - 0.85 * strength),
    alsoShows: ['pv.recover'],
  },
  {
    id: 'drifts-in-the-swap',
    checkpoint: 'pv.switch',
    of: ['stance-swap'],
    reshapeParts: (parts, strength) =>
      instead(parts, /^$/, 1, { 'pelvis.z': -0.26 * strength, 'leadFoot.z': -0.26 * strength, 'rearFoot.z': -0.26 * strength }),
  },
  {
    id: 'stops-half-way',
    checkpoint: 'st.lead',
    of: ['stance-swap'],
    reshapeParts: (parts, strength) => instead(parts, /Foot\.z/, 1 - 0.6 * strength),
    alsoShows: ['st.length', 'ex.reset'],
  },
];
