import type { PoseChange } from '../body/pose.ts';
import { swell, upAndBack, type Shape } from './shape.ts';
import { thrownKicks, type KickModel } from './kick.ts';
import { thrownTechniques, type StrikeModel } from './technique.ts';
import type { Thrown } from './thrown.ts';

/** When a strike happens, in seconds of the round. */
export interface StrikeMoments {
  launch: number;
  contact: number;
  leave: number;
  home: number;
}

/** A change of the pose with its course over time. */
export interface Contribution {
  change: PoseChange;
  shape: Shape;
}

/** A fault that can be switched on. Strength 0 is none, 1 is as plain as a beginner's. */
export interface FaultModel {
  id: string;
  /** The checkpoint that a coach would mark. */
  checkpoint: string;
  strikes: readonly Thrown[];
  /** Changes the strike itself. */
  reshape?(model: StrikeModel, strength: number): StrikeModel;
  /** Adds movement around it. */
  add?(model: StrikeModel, moments: StrikeMoments, strength: number): Contribution[];
  reshapeKick?(model: KickModel, strength: number): KickModel;
  addToKick?(model: KickModel, moments: StrikeMoments, strength: number): Contribution[];
}

const straights = ['jab', 'cross'] as const;
const hooks = ['lead-hook', 'rear-hook'] as const;
const bodyHooks = ['lead-body-hook', 'rear-body-hook'] as const;
const uppercuts = ['lead-uppercut', 'rear-uppercut'] as const;
const lowShots = ['body-jab', 'body-straight', ...bodyHooks] as const;
const offLine = ['overhand', 'body-jab', 'body-straight'] as const;
const rearTurning = ['rear-hook', 'rear-uppercut', 'overhand', 'body-straight', 'rear-body-hook'] as const;
const leadTurning = ['lead-hook', 'lead-body-hook'] as const;
const homeOnALine = [...straights, ...hooks, 'body-jab', 'body-straight'] as const;
const idle = (model: StrikeModel): 'lead' | 'rear' => (model.hand === 'lead' ? 'rear' : 'lead');
const inwards = (model: StrikeModel): number => (model.hand === 'lead' ? -1 : 1);

export const faultModels: readonly FaultModel[] = [
  {
    id: 'drop-return',
    checkpoint: 'gd.return-line',
    strikes: homeOnALine,
    add: (model, { leave, home }, strength) => [
      {
        change: { [`${model.hand}Hand.y`]: -0.34 * strength, [`${model.hand}Hand.z`]: -0.04 * strength },
        shape: swell(leave - 0.01, leave + (home - leave) * 0.6, home + 0.16),
      },
    ],
  },
  {
    id: 'idle-hand-drops',
    checkpoint: 'gd.other-hand',
    strikes: thrownTechniques,
    add: (model, { launch, contact, leave, home }, strength) => [
      {
        change: {
          [`${idle(model)}Hand.y`]: -0.3 * strength,
          [`${idle(model)}Hand.x`]: 0.06 * strength * inwards(model),
          [`${idle(model)}Hand.z`]: -0.05 * strength,
        },
        shape: upAndBack(launch - 0.03, contact, leave, home + 0.08),
      },
    ],
  },
  {
    id: 'rear-foot-flat',
    checkpoint: 'pv.rear-turn',
    strikes: ['cross'],
    reshape: (model, strength) => ({
      ...model,
      feet: { ...model.feet, 'rearFoot.yaw': 46 * (1 - strength), 'rearFoot.pitch': 14 - 38 * strength },
      body: {
        ...model.body,
        'pelvis.yaw': 58 - 30 * strength,
        'chest.yaw': 74 - 26 * strength,
      },
    }),
  },
  {
    id: 'drifts-across',
    checkpoint: 'sm.straight',
    strikes: straights,
    add: (model, { launch, contact, leave, home }, strength) => [
      {
        change: { [`${model.hand}Hand.x`]: -0.17 * strength * inwards(model), [`${model.hand}Elbow.out`]: 0.7 * strength },
        shape: swell(launch, launch + (contact - launch) * 0.6, contact),
      },
      {
        change: { [`${model.hand}Hand.x`]: 0.09 * strength * inwards(model) },
        shape: upAndBack(launch, contact, leave, home),
      },
    ], // prettier-ignore
  },
  {
    id: 'telegraph',
    checkpoint: 'sm.telegraph',
    strikes: thrownTechniques,
    add: (model, { launch }, strength) => [
      {
        change: { [`${model.hand}Hand.z`]: -0.13 * strength, [`${model.hand}Hand.y`]: -0.1 * strength, 'chest.yaw': -inwards(model) * 5 * strength },
        shape: swell(launch - 0.2, launch, launch + 0.07),
      },
    ], // prettier-ignore
  },
  {
    id: 'smothered',
    checkpoint: 'sm.range',
    strikes: straights,
    reshape: (model, strength) => ({
      ...model,
      elbowAngle: model.elbowAngle - 62 * strength,
      feet: { ...model.feet, 'leadFoot.z': (model.feet['leadFoot.z'] ?? 0) + 0.1 * strength },
    }),
  },
  {
    id: 'leaning-in',
    checkpoint: 'st.balance',
    strikes: straights,
    reshape: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'chest.pitch': (model.body['chest.pitch'] ?? 0) + 9 * strength,
        'pelvis.pitch': 8 * strength,
        'pelvis.y': -0.035 * strength,
      },
      elbowAngle: model.elbowAngle - 36 * strength,
      returnTime: model.returnTime * (1 + 0.5 * strength),
    }),
  },
  {
    id: 'hips-back',
    checkpoint: 'st.lean',
    strikes: straights,
    reshape: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'chest.pitch': (model.body['chest.pitch'] ?? 0) + 24 * strength,
        'pelvis.pitch': 16 * strength,
        'head.pitch': -4 * strength,
      },
      feet: { ...model.feet, 'leadFoot.z': (model.feet['leadFoot.z'] ?? 0) * (1 - strength) },
    }),
  },
  {
    id: 'rear-foot-stays',
    checkpoint: 'pv.rear-turn',
    strikes: rearTurning,
    reshape: (model, strength) => ({
      ...model,
      feet: { ...model.feet, 'rearFoot.yaw': 46 * (1 - strength), 'rearFoot.pitch': 14 - 38 * strength },
      body: {
        ...model.body,
        'pelvis.yaw': (model.body['pelvis.yaw'] ?? 0) - 28 * strength,
        'chest.yaw': (model.body['chest.yaw'] ?? 0) - 22 * strength,
      },
    }),
  },
  {
    id: 'lead-foot-planted',
    checkpoint: 'pv.lead-turn',
    strikes: leadTurning,
    reshape: (model, strength) => ({
      ...model,
      feet: { ...model.feet, 'leadFoot.yaw': -52 * (1 - strength), 'leadFoot.pitch': 22 * (1 - strength) },
      body: { ...model.body, 'pelvis.yaw': (model.body['pelvis.yaw'] ?? 0) + 18 * strength },
    }),
  },
  {
    id: 'winds-up-wide',
    checkpoint: 'sm.hook-width',
    strikes: [...hooks, ...bodyHooks],
    add: (model, { launch, contact }, strength) => [
      {
        change: {
          [`${model.hand}Hand.x`]: -0.3 * strength * inwards(model),
          [`${model.hand}Hand.z`]: -0.08 * strength,
          [`${model.hand}Hand.y`]: -0.1 * strength,
        },
        shape: swell(launch - 0.16, launch + 0.03, contact),
      },
    ],
  },
  {
    id: 'elbow-low',
    checkpoint: 'sm.hook-plane',
    strikes: hooks,
    reshape: (model, strength) => ({
      ...model,
      body: { ...model.body, [`${model.hand}Elbow.out`]: 6 - 5.4 * strength },
    }),
  },
  {
    id: 'swings-through',
    checkpoint: 'sm.hook-stop',
    strikes: hooks,
    add: (model, { contact, leave, home }, strength) => [
      {
        change: {
          [`${model.hand}Hand.x`]: 0.3 * strength * inwards(model),
          [`${model.hand}Hand.z`]: -0.14 * strength,
          'chest.yaw': inwards(model) * 26 * strength,
        },
        shape: swell(contact + 0.01, leave + (home - leave) * 0.45, home + 0.12),
      },
    ],
  },
  {
    id: 'scoops',
    checkpoint: 'sm.uppercut-path',
    strikes: uppercuts,
    add: (model, { launch, contact }, strength) => [
      {
        change: { [`${model.hand}Hand.x`]: -0.26 * strength * inwards(model), [`${model.hand}Hand.y`]: -0.26 * strength },
        shape: swell(launch - 0.02, launch + (contact - launch) * 0.45, contact),
      },
    ],
  },
  {
    id: 'arm-lift-only',
    checkpoint: 'sm.load',
    strikes: uppercuts,
    reshape: (model, strength) => ({
      ...model,
      load: Object.fromEntries(Object.entries(model.load).map(([channel, value]) => [channel, value * (1 - strength)])),
    }),
  },
  {
    id: 'bends-at-waist',
    checkpoint: 'sm.level',
    strikes: lowShots,
    reshape: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'pelvis.y': -0.2 * (1 - strength),
        'chest.pitch': (model.body['chest.pitch'] ?? 0) + 34 * strength,
        'pelvis.pitch': 14 * strength,
        'pelvis.z': -0.06 * strength,
      },
    }),
  },
  {
    id: 'head-stays-in-lane',
    checkpoint: 'sm.head-off',
    strikes: offLine,
    reshape: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'pelvis.x': (model.body['pelvis.x'] ?? 0) * (1 - 2 * strength),
        'chest.roll': (model.body['chest.roll'] ?? 0) * (1 - 1.7 * strength),
      },
    }),
  },
  {
    id: 'standing-foot-stays',
    checkpoint: 'pv.support-turn',
    strikes: ['rear-round', 'lead-round', 'low-kick'],
    reshapeKick: (model, strength) => ({
      ...model,
      support: Object.fromEntries(
        Object.entries(model.support).map(([channel, value]) => [
          channel,
          /yaw|pitch/.test(channel) ? value * (1 - strength) : value,
        ]),
      ),
      body: { ...model.body, 'pelvis.yaw': (model.body['pelvis.yaw'] ?? 0) * (1 - 0.35 * strength) },
    }),
  },
  {
    id: 'leans-back',
    checkpoint: 'kk.upright',
    strikes: thrownKicks,
    reshapeKick: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'chest.pitch': (model.body['chest.pitch'] ?? 0) - 24 * strength,
        'pelvis.pitch': (model.body['pelvis.pitch'] ?? 0) - 12 * strength,
      },
    }),
  },
  {
    id: 'both-hands-drop',
    checkpoint: 'gd.kick-hand',
    strikes: thrownKicks,
    addToKick: (_model, { launch, contact, leave, home }, strength) => [
      {
        change: {
          'leadHand.y': -0.34 * strength,
          'rearHand.y': -0.34 * strength,
          'rearHand.z': -0.12 * strength,
          'leadHand.z': -0.1 * strength,
        },
        shape: upAndBack(launch - 0.05, contact, leave, home + 0.1),
      },
    ],
  },
  {
    id: 'swings-up-straight',
    checkpoint: 'kk.chamber',
    strikes: ['push-kick', 'thrust-kick'],
    reshapeKick: (model, strength) => ({
      ...model,
      arc: {
        [`${model.foot}Foot.y`]: 0.16 - 0.37 * strength,
        [`${model.foot}Foot.z`]: -0.2 + (model.foot === 'rear' ? 0.6 : 0.4) * strength,
      },
    }),
  },
];

export const faultModel = (id: string): FaultModel | undefined => faultModels.find((fault) => fault.id === id);
