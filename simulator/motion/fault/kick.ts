import { upAndBack } from '../shape.ts';
import { kickTechniques } from '../technique/kick.ts';
import type { MotionPart } from '../part.ts';
import type { FaultModel } from './model.ts';

const rounds = ['rear-round', 'lead-round', 'switch-round', 'step-off-round'] as const;

/** The parts of a movement, more or less of them. */
export const scaledParts = (parts: readonly MotionPart[], factor: number): MotionPart[] =>
  parts.map((part) => ({
    ...part,
    change: Object.fromEntries(Object.entries(part.change).map(([channel, value]) => [channel, value * factor])),
  }));

export const kickFaults: readonly FaultModel[] = [
  {
    id: 'standing-foot-stays',
    checkpoint: 'pv.support-turn',
    of: [...rounds, 'low-kick', 'side-kick'],
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
    alsoShows: ['kk.level-leg', 'kk.upright', 'st.lean', 'pv.calf'],
  },
  {
    id: 'leans-back',
    checkpoint: 'kk.upright',
    of: kickTechniques,
    reshapeKick: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'chest.pitch': (model.body['chest.pitch'] ?? 0) - 36 * strength,
        'pelvis.pitch': (model.body['pelvis.pitch'] ?? 0) - 16 * strength,
      },
    }),
  },
  {
    id: 'both-hands-drop',
    checkpoint: 'gd.kick-hand',
    of: kickTechniques,
    alsoShows: ['gd.other-hand'],
    around: ({ launch, contact, leave, home }, strength) => [
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
    of: ['push-kick', 'thrust-kick', 'side-kick', 'stomp-kick'],
    reshapeKick: (model, strength) => ({
      ...model,
      leg: { ...model.leg, [`${model.foot}Knee.up`]: (model.leg[`${model.foot}Knee.up`] ?? 0) * (1 - 1.3 * strength) },
      arc: {
        [`${model.foot}Foot.y`]: 0.16 - 0.37 * strength,
        [`${model.foot}Foot.z`]: -0.2 + (model.foot === 'rear' ? 0.6 : 0.4) * strength,
      },
    }),
    alsoShows: ['sm.range'],
  },
  {
    id: 'over-turns',
    checkpoint: 'pv.support-turn',
    of: ['rising-45'],
    reshapeKick: (model, strength) => ({
      ...model,
      support: { ...model.support, 'leadFoot.yaw': 30 + 66 * strength },
      body: {
        ...model.body,
        'pelvis.yaw': (model.body['pelvis.yaw'] ?? 0) + 30 * strength,
        'chest.yaw': (model.body['chest.yaw'] ?? 0) + 24 * strength,
      },
    }),
    alsoShows: ['kk.path'],
  },
  {
    id: 'hip-stays-under',
    checkpoint: 'kk.level-leg',
    of: rounds,
    reshapeKick: (model, strength) => ({
      ...model,
      body: { ...model.body, 'pelvis.roll': (model.body['pelvis.roll'] ?? 0) * (1 - strength) },
      leg: { ...model.leg, [`${model.foot}Foot.y`]: (model.leg[`${model.foot}Foot.y`] ?? 0) + 0.3 * strength },
    }),
    alsoShows: ['kk.upright'],
  },
  {
    id: 'comes-flat',
    checkpoint: 'kk.path',
    of: ['rising-45'],
    reshapeKick: (model, strength) => ({
      ...model,
      leg: { ...model.leg, 'rearFoot.y': 0.88 - 0.34 * strength, 'rearKnee.up': 0.25 * (1 - strength) },
      body: { ...model.body, 'pelvis.roll': -12 - 16 * strength },
      arc: { 'rearFoot.x': -0.12 - 0.5 * strength, 'rearFoot.y': -0.16 + 0.5 * strength },
    }),
    alsoShows: ['pv.calf'],
  },
  {
    id: 'stops-dead',
    checkpoint: 'kk.through',
    of: [...rounds, 'stomp-kick'],
    reshapeKick: (model, strength) => ({ ...model, through: model.through * (1 - strength) }),
  },
  {
    id: 'flat-footed',
    checkpoint: 'pv.calf',
    of: ['rising-45', 'rear-knee'],
    reshapeKick: (model, strength) => ({
      ...model,
      support: { ...model.support, 'leadFoot.pitch': -4 * strength + (model.support['leadFoot.pitch'] ?? 0) * (1 - strength) },
    }),
  },
  {
    id: 'falls-in',
    checkpoint: 'kk.return',
    of: kickTechniques,
    reshapeKick: (model, strength) => ({ ...model, returnTime: model.returnTime + 1.6 * strength }),
    alsoShows: ['ex.reset'],
  },
  {
    id: 'knee-lifts-only',
    checkpoint: 'kn.drive',
    of: ['rear-knee', 'switch-knee'],
    reshapeKick: (model, strength) => ({ ...model, crowded: 0.8 * strength }),
    alsoShows: ['kk.upright'],
  },
  {
    id: 'kicks-from-the-line',
    checkpoint: 'kk.step-off',
    of: ['step-off-round'],
    reshapeKick: (model, strength) => ({ ...model, beside: scaledParts(model.beside, 1 - strength) }),
  },
  {
    id: 'drifts-in-the-switch',
    checkpoint: 'pv.switch',
    of: ['switch-round', 'switch-knee'],
    around: ({ launch, contact, leave, home }, strength) => {
      const before = contact - launch;
      const after = home - leave;
      const shape = upAndBack(launch - 0.85 * before, launch - 0.05, home, home + 0.5 * after);
      const back = -0.26 * strength;
      return [{ change: { 'pelvis.z': back, 'leadFoot.z': back, 'rearFoot.z': back }, shape }];
    },
  },
  {
    id: 'smothers-the-kick',
    checkpoint: 'sm.range',
    of: ['low-kick', 'push-kick', 'thrust-kick'],
    reshapeKick: (model, strength) => ({ ...model, crowded: 0.95 * strength }),
    alsoShows: ['st.balance', 'kk.path'],
  },
];
