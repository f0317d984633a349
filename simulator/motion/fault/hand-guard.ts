import { swell, upAndBack } from '../shape.ts';
import { kickTechniques } from '../technique/kick.ts';
import { handTechniques } from '../technique/hand.ts';
import { straights, homeOnALine, limb, idle, inwards } from './hand-sides.ts';
import type { FaultModel } from './model.ts';

/** What hands do wrong before they strike, while the other one strikes, and on their way home. */
export const handGuardFaults: readonly FaultModel[] = [
  {
    id: 'drop-return',
    checkpoint: 'gd.return-line',
    of: homeOnALine,
    around: ({ leave, home }, strength, model) => [
      {
        change: { [`${limb(model)}Hand.y`]: -0.34 * strength, [`${limb(model)}Hand.z`]: -0.04 * strength },
        shape: swell(leave - 0.01, leave + (home - leave) * 0.6, home + 0.16),
      },
    ],
    alsoShows: ['gd.other-hand'],
  },
  {
    id: 'idle-hand-drops',
    checkpoint: 'gd.other-hand',
    of: handTechniques,
    around: ({ launch, contact, leave, home }, strength, model) => [
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
    id: 'telegraph',
    checkpoint: 'sm.telegraph',
    of: [...handTechniques, ...kickTechniques],
    around: ({ launch, begins }, strength, model) => {
      const from = model.kind === 'kick' ? begins : launch;
      return [
        {
          change: {
            [`${limb(model)}Hand.z`]: -0.13 * strength,
            [`${limb(model)}Hand.y`]: -0.1 * strength,
            'chest.yaw': -inwards(model) * 5 * strength,
          },
          shape: swell(from - 0.2, from, from + 0.07),
        },
      ];
    },
    alsoShows: ['sm.hip-stop', 'sm.uppercut-path', 'sm.hook-width'],
  },
  {
    id: 'shoulder-stays-low',
    checkpoint: 'gd.cover',
    of: straights,
    around: ({ launch, contact, leave, home }, strength, model) => [
      {
        change: {
          [`${limb(model)}Shoulder.y`]: -0.07 * strength,
          'head.pitch': -8 * strength,
          'chest.roll': inwards(model) * -7 * strength,
        },
        shape: upAndBack(launch, contact, leave, home),
      },
    ],
    alsoShows: ['st.balance', 'pv.knee-elbow', 'st.chin'],
  },
];
