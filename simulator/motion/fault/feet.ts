import type { PoseChange } from '../../body/pose.ts';
import type { Limb, MotionPart } from '../part.ts';
import type { Thrown } from '../technique/thrown.ts';
import type { FaultModel, Footstep } from './model.ts';

const stepsAndRecovers = ['step-and-recover', 'step-back', 'step-lead-side', 'step-rear-side'] as const;
const steppingMoves = [...stepsAndRecovers, 'shuffle'] as const;
const steppingSeries = [
  'jab-cross-step',
  'jab-cross-closed-side',
  'jab-cross-open-side',
  'jab-cross-back',
  'punch-step',
  'in-and-out',
] as const;
const recovering: readonly Thrown[] = [...steppingMoves, ...steppingSeries, 'jab-cross-diagonal', 'pull-back'];

const footOf = ({ change }: MotionPart): Limb | undefined =>
  'leadFoot.x' in change || 'leadFoot.y' in change
    ? 'lead'
    : 'rearFoot.x' in change || 'rearFoot.y' in change
      ? 'rear'
      : undefined;
const other = (foot: Limb): Limb => (foot === 'lead' ? 'rear' : 'lead');
const isSecond = (part: MotionPart, step: Footstep | undefined): boolean =>
  step !== undefined && footOf(part) === other(step.first);
const times = (change: PoseChange, factor: number): PoseChange =>
  Object.fromEntries(Object.entries(change).map(([channel, value]) => [channel, value * factor]));
const isLift = (part: MotionPart): boolean => 'passing' in part;

/** The shares at which a foot moves, of the first part that moves it. */
const held = (parts: readonly MotionPart[], foot: Limb) =>
  parts.find((part): part is Extract<MotionPart, { come: unknown }> => 'come' in part && footOf(part) === foot);

/** A foot comes down later, by a share of the way there. */
function later(parts: readonly MotionPart[], foot: Limb, by: number): MotionPart[] {
  const put = ([from, to]: readonly [number, number]): [number, number] => [from + by * 0.4, to + by];
  return parts.map((part) => {
    if (footOf(part) !== foot) return part;
    if ('come' in part) return { ...part, come: put(part.come) };
    return part.passing === 'in' ? { ...part, share: put(part.share) } : part;
  });
}

/** What feet do wrong on their way from stance to stance. */
export const feetFaults: readonly FaultModel[] = [
  {
    id: 'wrong-foot-first',
    checkpoint: 'pv.first-foot',
    of: [...steppingMoves, ...steppingSeries, 'quarter-turn'],
    // The further the fault, the earlier the second foot and the later the first.
    reshapeParts: (parts, strength) => {
      const [lead, rear] = [held(parts, 'lead'), held(parts, 'rear')];
      if (!lead || !rear) return [...parts];
      const between = (own: readonly [number, number], its: readonly [number, number]): [number, number] => [
        own[0] + (its[0] - own[0]) * strength,
        own[1] + (its[1] - own[1]) * strength,
      ];
      return parts.map((part) => {
        const foot = footOf(part);
        if (!foot) return part;
        const [own, its] = foot === 'lead' ? [lead, rear] : [rear, lead];
        if ('come' in part) return { ...part, come: between(own.come, its.come) };
        return part.passing === 'in' ? { ...part, share: between(own.come, its.come) } : part;
      });
    },
    alsoShows: ['pv.no-cross', 'pv.sync', 'pv.land', 'st.length'],
  },
  {
    id: 'recovers-short',
    checkpoint: 'pv.recover',
    of: [...recovering, 'quarter-turn'],
    reshapeParts: (parts, strength, step) =>
      parts.map((part) =>
        isSecond(part, step) && !isLift(part) ? { ...part, change: times(part.change, 1 - 0.6 * strength) } : part,
      ),
    alsoShows: ['st.length', 'st.width', 'ex.angle', 'pv.no-cross', 'st.balance'],
  },
  {
    id: 'feet-click',
    checkpoint: 'pv.no-cross',
    of: [...steppingMoves, 'punch-step', 'in-and-out', 'weave', 'quarter-turn'],
    reshapeParts: (parts, strength, step) => {
      const second = step && held(parts, other(step.first));
      if (!second) return [...parts];
      const sign = step.first === 'rear' ? -1 : 1;
      const towards = {
        [`${other(step.first)}Foot.x`]: sign * 0.16 * strength,
        [`${other(step.first)}Foot.z`]: sign * 0.4 * strength,
      };
      return [...parts, { change: towards, passing: 'in', share: second.come }];
    },
  },
  {
    id: 'giant-step',
    checkpoint: 'pv.step-size',
    of: [...stepsAndRecovers, 'jab-cross-step', 'jab-cross-diagonal', 'punch-step'],
    reshapeParts: (parts, strength) =>
      parts.map((part) => (isLift(part) ? part : { ...part, change: times(part.change, 1 + 1.3 * strength) })),
    alsoShows: ['pv.no-cross', 'st.length', 'st.balance', 'st.width'],
  },
  {
    id: 'lands-on-the-heel',
    checkpoint: 'pv.land',
    of: [...steppingMoves, 'jab-cross-step', 'jab-cross-closed-side', 'punch-step'],
    // The heel is on the floor while the toes are still up.
    reshapeParts: (parts, strength, step) => {
      const first = step && held(parts, step.first);
      if (!first) return [...parts];
      const [from, to] = first.come;
      const heelDown = { [`${step.first}Foot.y`]: 0.09 * strength, [`${step.first}Foot.pitch`]: -36 * strength };
      return [...parts, { change: heelDown, passing: 'in', share: [from + (to - from) * 0.35, to + (to - from) * 0.14] }];
    },
  },
  {
    id: 'step-lands-late',
    checkpoint: 'pv.sync',
    of: [
      'jab-cross-step',
      'jab-cross-diagonal',
      'jab-cross-closed-side',
      'jab-cross-open-side',
      'jab-cross-back',
      'jab-cross-drive',
      'punch-step',
    ],
    reshapeParts: (parts, strength, step) => (step ? later(parts, step.first, 0.36 * strength) : [...parts]),
    alsoShows: ['pv.no-cross', 'pv.recover', 'pv.drive', 'pv.land'],
  },
  {
    id: 'second-foot-late',
    checkpoint: 'pv.drive',
    of: ['jab-cross-drive'],
    reshapeParts: (parts, strength, step) => (step ? later(parts, other(step.first), 0.85 * strength) : [...parts]),
    alsoShows: ['pv.rear-slide', 'pv.recover', 'pv.knee-elbow', 'st.balance'],
  },
];
