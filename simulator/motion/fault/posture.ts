import { swell, upAndBack } from '../shape.ts';
import { handTechniques } from '../technique/hand.ts';
import { everySingle, isBeat, isKick } from '../technique/single.ts';
import { baseStance, type PoseChange } from '../../body/pose.ts';
import type { Contribution } from '../part.ts';
import type { FaultModel, FaultMoments } from './model.ts';

/** There from before the launch until it is home. */
const throughout =
  (change: (strength: number) => PoseChange) =>
  ({ begins, home }: FaultMoments, strength: number): Contribution[] => [
    { change: change(strength), shape: upAndBack(begins - 0.62, begins - 0.36, home + 0.3, home + 0.6) },
  ];

const standing = everySingle.filter((id) => !isBeat(id));

/** How somebody stands, holds the hands and the head, whatever is thrown from it. */
export const postureFaults: readonly FaultModel[] = [
  {
    id: 'narrow-stance',
    checkpoint: 'st.width',
    of: everySingle,
    held: true,
    around: throughout((strength) => ({ 'leadFoot.x': -0.12 * strength, 'rearFoot.x': 0.12 * strength })),
  },
  {
    id: 'rear-heel-down',
    checkpoint: 'st.heels',
    of: everySingle,
    held: true,
    around: throughout((strength) => ({ 'rearFoot.pitch': -24 * strength })),
    alsoShows: ['pv.calf', 'st.width', 'pv.knee-elbow'],
  },
  {
    id: 'knees-locked',
    checkpoint: 'st.knees',
    of: everySingle,
    held: true,
    around: throughout((strength) => ({
      'pelvis.y': 0.12 * strength,
      'rearFoot.z': 0.1 * strength,
      'leadFoot.z': -0.12 * strength,
    })),
    alsoShows: ['st.length', 'sm.load', 'st.balance', 'pv.knee-elbow'],
  },
  {
    id: 'chin-up',
    checkpoint: 'st.chin',
    of: everySingle,
    held: true,
    around: throughout((strength) => ({ 'head.pitch': -30 * strength })),
    alsoShows: ['gd.cover', 'gd.height'],
  },
  {
    id: 'hands-low',
    checkpoint: 'gd.height',
    of: standing,
    held: true,
    around: ({ begins, home }, strength) => [
      {
        change: { 'leadHand.y': -0.22 * strength, 'rearHand.y': -0.22 * strength },
        shape: upAndBack(begins - 0.62, begins - 0.36, begins - 0.24, begins + 0.02),
      },
      {
        change: { 'leadHand.y': -0.22 * strength, 'rearHand.y': -0.22 * strength },
        shape: upAndBack(home + 0.1, home + 0.3, home + 0.5, home + 0.8),
      },
    ],
    alsoShows: ['ex.reset', 'kk.return', 'gd.other-hand', 'df.sprawl'],
  },
  {
    id: 'elbows-flared',
    checkpoint: 'gd.elbows',
    of: standing,
    held: true,
    around: throughout((strength) => ({ 'leadElbow.out': 1.6 * strength, 'rearElbow.out': 1.6 * strength })),
  },
  {
    id: 'short-stance',
    checkpoint: 'st.length',
    of: ['step-and-recover', 'step-back', 'step-lead-side', 'step-rear-side', 'shuffle', 'in-and-out', 'swing-shuffle'],
    held: true,
    around: throughout((strength) => ({ 'leadFoot.z': -0.19 * strength, 'rearFoot.z': 0.17 * strength })),
    alsoShows: ['pv.no-cross', 'st.knees'],
  },
  {
    id: 'rear-foot-square',
    checkpoint: 'st.rear-foot',
    of: ['jab-cross-static'],
    held: true,
    around: throughout((strength) => ({ 'rearFoot.yaw': 42 * strength })),
    alsoShows: ['st.width'],
  },
  {
    id: 'shrugs',
    checkpoint: 'st.loose',
    of: ['jab-cross-static'],
    held: true,
    around: throughout((strength) => ({
      'leadShoulder.y': 0.06 * strength,
      'rearShoulder.y': 0.06 * strength,
      'head.pitch': 4 * strength,
    })),
    alsoShows: ['gd.cover'],
  },
  {
    id: 'feet-close-up',
    checkpoint: 'pv.no-cross',
    of: ['pad-called', 'pad-free', 'rope-trap', 'swing-shuffle'],
    around: ({ launch, home }, strength) => [
      {
        change: { 'leadFoot.z': -0.24 * strength, 'rearFoot.z': 0.2 * strength, 'rearFoot.x': 0.08 * strength },
        shape: upAndBack(launch - 0.05, launch + 0.2, home, home + 0.4),
      },
    ],
    alsoShows: ['st.balance', 'sm.through'],
  },
  {
    id: 'retreats-too-far',
    checkpoint: 'df.distance',
    of: ['pad-free'],
    lasts: 1,
    around: ({ home }, strength) => {
      const back = -0.74 * strength;
      return [
        {
          change: { 'pelvis.z': back, 'leadFoot.z': back, 'rearFoot.z': back },
          shape: upAndBack(home - 0.05, home + 0.36, home + 0.8, home + 1.4),
        },
        { change: { 'leadFoot.y': 0.03, 'rearFoot.y': 0.03 }, shape: swell(home - 0.05, home + 0.15, home + 0.36) },
        { change: { 'leadFoot.y': 0.03, 'rearFoot.y': 0.03 }, shape: swell(home + 0.8, home + 1.1, home + 1.4) },
      ];
    },
    alsoShows: ['ex.reset', 'ex.angle'],
  },
  {
    id: 'admires-the-work',
    checkpoint: 'ex.move',
    of: handTechniques,
    reshapeHand: (model, strength) => ({ ...model, stay: 1.3 * strength }),
    alsoShows: ['ex.angle', 'ex.reset'],
    lateExit: 1.3,
    lasts: 1.3,
  },
  {
    id: 'slow-to-base',
    checkpoint: 'ex.reset',
    of: standing,
    lasts: 1.3,
    around: ({ home }, strength) => [
      {
        change: { 'leadHand.y': -0.3 * strength, 'rearHand.y': -0.26 * strength },
        shape: upAndBack(home - 0.02, home + 0.12, home + 0.4 + 0.6 * strength, home + 0.7 + 0.7 * strength),
      },
    ],
    alsoShows: ['kk.return', 'gd.return-line', 'df.sprawl'],
  },
  {
    id: 'sits-back',
    checkpoint: 'st.lean',
    of: everySingle.filter((id) => !['jab', 'cross', 'sprawl'].includes(id) && !isKick(id)),
    // Forward in the room, whichever way the chest is turned.
    around: ({ launch, contact, leave, home }, strength, model) => {
      const turned = model.kind === 'hand' ? ((baseStance['chest.yaw'] + (model.body['chest.yaw'] ?? 0)) * Math.PI) / 180 : 0;
      const [pitch, roll] = [34 * strength * Math.cos(turned), 34 * strength * Math.sin(turned)];
      const change = {
        'chest.pitch': pitch,
        'chest.roll': roll,
        'pelvis.pitch': pitch * 0.4,
        'pelvis.roll': roll * 0.4,
        'head.pitch': -12 * strength,
      };
      return [{ change, shape: upAndBack(launch, contact, leave, home) }];
    },
    alsoShows: [
      'kk.upright',
      'st.balance',
      'st.chin',
      'sm.hook-plane',
      'gd.return-line',
      'df.pull-back',
      'sm.level',
      'df.level',
      'df.weave',
      'sm.hook-stop',
      'sm.range',
      'sm.hook-angle',
    ],
  },
];
