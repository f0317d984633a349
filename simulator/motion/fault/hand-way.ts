import { swell, upAndBack } from '../shape.ts';
import { beats, bodyHooks, hooks, inwards, limb, scaled, straights, uppercuts, wristed } from './hand-sides.ts';
import type { FaultModel } from './model.ts';

/** What goes wrong with the striking hand itself: its way, its reach, how it lands. */
export const handWayFaults: readonly FaultModel[] = [
  {
    id: 'drifts-across',
    checkpoint: 'sm.straight',
    of: [...straights, 'overhand', ...beats],
    around: ({ launch, contact, leave, home }, strength, model) => [
      {
        change: { [`${limb(model)}Hand.x`]: -0.21 * strength * inwards(model), [`${limb(model)}Elbow.out`]: 0.7 * strength },
        shape: swell(launch, launch + (contact - launch) * 0.6, contact),
      },
      {
        change: { [`${limb(model)}Hand.x`]: 0.09 * strength * inwards(model) },
        shape: upAndBack(launch, contact, leave, home),
      },
    ],
  },
  {
    id: 'smothered',
    pushed: true,
    checkpoint: 'sm.range',
    of: straights,
    reshapeHand: (model, strength) => ({
      ...model,
      elbowAngle: model.elbowAngle - 88 * strength,
      advance: model.advance + 0.26 * strength,
    }),
    alsoShows: ['sm.extension', 'st.balance', 'pv.knee-elbow'],
  },
  {
    id: 'winds-up-wide',
    checkpoint: 'sm.hook-width',
    of: [...hooks, ...bodyHooks, 'lead-overhand'],
    around: ({ launch, contact }, strength, model) => [
      {
        change: {
          [`${limb(model)}Hand.x`]: -0.3 * strength * inwards(model),
          [`${limb(model)}Hand.z`]: -0.08 * strength,
          [`${limb(model)}Hand.y`]: -0.1 * strength,
        },
        shape: swell(launch - 0.16, launch + 0.03, contact),
      },
    ],
    alsoShows: ['sm.telegraph'],
  },
  {
    id: 'elbow-low',
    checkpoint: 'sm.hook-plane',
    of: [...hooks, ...bodyHooks],
    reshapeHand: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        [`${limb(model)}Shoulder.y`]: (model.body[`${limb(model)}Shoulder.y`] ?? 0) - 0.08 * strength,
        [`${limb(model)}Elbow.out`]: (model.body[`${limb(model)}Elbow.out`] ?? 0) * (1 - strength) + 0.3 * strength,
      },
    }),
  },
  {
    id: 'swings-through',
    checkpoint: 'sm.hook-stop',
    of: hooks,
    around: ({ contact, leave, home }, strength, model) => [
      {
        change: {
          [`${limb(model)}Hand.x`]: 0.3 * strength * inwards(model),
          [`${limb(model)}Hand.z`]: -0.14 * strength,
          'chest.yaw': inwards(model) * 26 * strength,
        },
        shape: swell(contact + 0.01, leave + (home - leave) * 0.45, home + 0.12),
      },
    ],
    alsoShows: ['gd.return-line'],
  },
  {
    id: 'scoops',
    checkpoint: 'sm.uppercut-path',
    of: uppercuts,
    around: ({ launch, contact }, strength, model) => [
      {
        change: { [`${limb(model)}Hand.x`]: -0.26 * strength * inwards(model), [`${limb(model)}Hand.y`]: -0.26 * strength },
        shape: swell(launch - 0.02, launch + (contact - launch) * 0.45, contact),
      },
    ],
    alsoShows: ['sm.hook-width'],
  },
  {
    id: 'arm-stays-short',
    checkpoint: 'sm.extension',
    of: straights,
    reshapeHand: (model, strength) => ({ ...model, elbowAngle: model.elbowAngle - 30 * strength }),
    alsoShows: ['st.balance', 'pv.knee-elbow'],
  },
  {
    id: 'pushes',
    pushed: true,
    checkpoint: 'sm.snap',
    of: straights,
    reshapeHand: (model, strength) => ({ ...model, returnTime: model.returnTime * (1 + 0.9 * strength) }),
  },
  {
    id: 'stays-on-it',
    pushed: true,
    checkpoint: 'sm.through',
    of: ['overhand', 'jab', 'cross', 'lead-hook'],
    reshapeHand: (model, strength) => ({ ...model, dwellTime: model.dwellTime + 0.12 * strength }),
    alsoShows: ['ex.move', 'sm.snap'],
  },
  {
    id: 'wrist-bends',
    checkpoint: 'sm.wrist',
    of: wristed,
    around: ({ launch, contact, leave, home }, strength, model) => [
      { change: { [`${limb(model)}Hand.bend`]: 26 * strength }, shape: upAndBack(launch, contact, leave, home) },
    ],
  },
  {
    id: 'arm-swings-open',
    checkpoint: 'sm.hook-angle',
    of: [...hooks, 'rising-body-hook'],
    reshapeHand: (model, strength) => ({ ...model, elbowAngle: model.elbowAngle + 52 * strength }),
    alsoShows: ['sm.range', 'sm.hook-plane'],
  },
  {
    id: 'reaches-for-it',
    checkpoint: 'sm.range',
    of: [...hooks, ...uppercuts, 'speed-bag-side'],
    reshapeHand: (model, strength) => ({ ...model, elbowAngle: model.elbowAngle + 80 * strength }),
    alsoShows: ['sm.hook-angle', 'sm.hook-plane', 'sm.uppercut-path', 'st.balance'],
  },
  {
    id: 'too-close',
    checkpoint: 'sm.range',
    of: ['body-jab', 'body-poke'],
    reshapeHand: (model, strength) => ({ ...model, elbowAngle: model.elbowAngle - 80 * strength }),
    alsoShows: ['st.balance'],
  },
  {
    id: 'reaches-with-the-elbow',
    checkpoint: 'el.close',
    of: ['elbow'],
    reshapeHand: (model, strength) => ({ ...model, elbowAngle: model.elbowAngle + 82 * strength }),
    alsoShows: ['gd.cover'],
  },
  {
    id: 'fist-stays-upright',
    checkpoint: 'sm.turnover',
    of: straights,
    reshapeHand: (model, strength) => ({ ...model, body: scaled(model.body, /Hand\.turn/, 1 - strength) }),
  },
  {
    id: 'lands-below-the-belt',
    checkpoint: 'sm.target',
    // The rear arm does not come down so far on its way up.
    of: ['lead-uppercut', ...bodyHooks, 'rising-body-hook'],
    reshapeHand: (model, strength) => ({ ...model, contactHeight: model.contactHeight - 0.24 * strength }),
    alsoShows: [
      'st.lean',
      'st.balance',
      'sm.hook-plane',
      'sm.uppercut-path',
      'sm.range',
      'gd.return-line',
      'sm.level',
      'sm.telegraph',
    ],
  },
];
