import { summed } from '../../body/pose.ts';
import { straights, uppercuts, lowShots, offLine, rearTurning, leadTurning, turning, scaled } from './hand-sides.ts';
import type { StrikeModel } from '../technique/hand.ts';
import type { FaultModel } from './model.ts';

/** The rear foot stays as it stands, so that hips and chest turn less, degrees, and the strike has to be thrown from closer. */
const onFlatRearFoot = (model: StrikeModel, strength: number, hips: number, chest: number): StrikeModel => ({
  ...model,
  feet: { ...model.feet, 'rearFoot.yaw': 46 * (1 - strength), 'rearFoot.pitch': 14 - 38 * strength },
  advance: model.advance + 0.2 * strength,
  body: {
    ...model.body,
    'pelvis.yaw': (model.body['pelvis.yaw'] ?? 0) - hips * strength,
    'chest.yaw': (model.body['chest.yaw'] ?? 0) - chest * strength,
  },
});

/** What hips, feet and trunk do wrong under a strike with the hand. */
export const handTurnFaults: readonly FaultModel[] = [
  {
    id: 'rear-foot-flat',
    checkpoint: 'pv.rear-turn',
    of: ['cross'],
    reshapeHand: (model, strength) => onFlatRearFoot(model, strength, 30, 26),
    alsoShows: [
      'st.lean',
      'st.balance',
      'sm.rotation',
      'pv.knee-elbow',
      'st.heels',
      'sm.hip-stop',
      'sm.straight',
      'sm.extension',
    ],
  },
  {
    id: 'leaning-in',
    pushed: true,
    checkpoint: 'st.balance',
    of: [...straights, 'body-jab', 'body-straight'],
    reshapeHand: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'chest.pitch': (model.body['chest.pitch'] ?? 0) + 9 * strength,
        'pelvis.pitch': (model.body['pelvis.pitch'] ?? 0) + 8 * strength,
        'pelvis.y': (model.body['pelvis.y'] ?? 0) - 0.035 * strength,
      },
      // The front foot does not go along.
      feet: { ...model.feet, 'leadFoot.z': (model.feet['leadFoot.z'] ?? 0) - 0.26 * strength },
      elbowAngle: model.elbowAngle - 36 * strength,
      returnTime: model.returnTime * (1 + 0.5 * strength),
    }),
    alsoShows: ['sm.extension', 'st.lean', 'sm.snap', 'pv.sync'],
  },
  {
    id: 'hips-back',
    checkpoint: 'st.lean',
    of: straights,
    reshapeHand: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'chest.pitch': (model.body['chest.pitch'] ?? 0) + 24 * strength,
        'pelvis.pitch': 16 * strength,
        'head.pitch': -4 * strength,
      },
      feet: { ...model.feet, 'leadFoot.z': (model.feet['leadFoot.z'] ?? 0) * (1 - strength) },
    }),
    alsoShows: ['gd.cover', 'pv.knee-elbow', 'st.balance'],
  },
  {
    id: 'rear-foot-stays',
    checkpoint: 'pv.rear-turn',
    of: rearTurning,
    reshapeHand: (model, strength) => onFlatRearFoot(model, strength, 28, 22),
    alsoShows: ['st.lean', 'st.balance', 'sm.rotation'],
  },
  {
    id: 'lead-foot-planted',
    checkpoint: 'pv.lead-turn',
    of: leadTurning,
    reshapeHand: (model, strength) => ({
      ...model,
      feet: { ...model.feet, 'leadFoot.yaw': -52 * (1 - strength), 'leadFoot.pitch': 22 * (1 - strength) },
      body: { ...model.body, 'pelvis.yaw': (model.body['pelvis.yaw'] ?? 0) + 18 * strength },
    }),
  },
  {
    id: 'arm-lift-only',
    checkpoint: 'sm.load',
    of: uppercuts,
    reshapeHand: (model, strength) => ({
      ...model,
      load: summed(scaled(model.load, /./, 1 - strength), { 'pelvis.y': 0.06 * strength }),
    }),
    alsoShows: ['sm.rotation', 'sm.uppercut-path'],
  },
  {
    id: 'bends-at-waist',
    checkpoint: 'sm.level',
    of: lowShots,
    reshapeHand: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'pelvis.y': -0.2 * (1 - strength),
        'chest.pitch': (model.body['chest.pitch'] ?? 0) + 42 * strength,
        'pelvis.pitch': 14 * strength,
        'pelvis.z': -0.06 * strength,
      },
    }),
    alsoShows: ['st.lean', 'sm.hook-plane', 'st.balance', 'gd.return-line'],
  },
  {
    id: 'head-stays-in-lane',
    checkpoint: 'sm.head-off',
    of: offLine,
    reshapeHand: (model, strength) => ({
      ...model,
      body: {
        ...model.body,
        'pelvis.x': (model.body['pelvis.x'] ?? 0) * (1 - 1.9 * strength),
        'chest.roll': (model.body['chest.roll'] ?? 0) * (1 - 1.5 * strength),
        // Side on it is the bend forward that takes the head off the line.
        ...(model.hand === 'lead' &&
          model.body['chest.yaw']! < -40 && { 'chest.pitch': model.body['chest.pitch']! * (1 - 1.3 * strength) }),
      },
    }),
    alsoShows: ['st.lean', 'gd.return-line'],
  },
  {
    id: 'arm-only',
    pushed: true,
    checkpoint: 'sm.rotation',
    of: turning,
    reshapeHand: (model, strength) => ({
      ...model,
      body: scaled(model.body, /(pelvis|chest)\.yaw/, 1 - strength),
      load: scaled(model.load, /yaw/, 1 - strength),
      advance: model.advance + 0.16 * strength,
    }),
    alsoShows: ['st.balance', 'pv.knee-elbow', 'st.lean', 'sm.head-off', 'sm.uppercut-path', 'sm.hook-plane', 'sm.hip-stop'],
  },
  {
    id: 'hips-late',
    checkpoint: 'sm.hip-stop',
    of: ['cross'],
    reshapeHand: (model, strength) => ({ ...model, hipLag: 0.18 * strength }),
    alsoShows: ['st.balance', 'pv.knee-elbow', 'sm.rotation', 'gd.return-line', 'gd.cover', 'st.lean'],
  },
  {
    id: 'back-leg-dead',
    checkpoint: 'pv.knee-elbow',
    of: ['cross'],
    reshapeHand: (model, strength) => ({ ...model, hipLag: 0.14 * strength, feetLag: 0.16 * strength }),
    alsoShows: ['pv.rear-turn', 'sm.hip-stop', 'st.balance', 'sm.rotation', 'gd.return-line', 'gd.cover'],
  },
  {
    id: 'rear-foot-slides',
    checkpoint: 'pv.rear-slide',
    of: ['cross'],
    reshapeHand: (model, strength) => ({ ...model, feet: { ...model.feet, 'rearFoot.z': 0.34 * strength } }),
    alsoShows: ['st.balance', 'pv.knee-elbow'],
  },
  {
    id: 'foot-lands-late',
    checkpoint: 'pv.sync',
    of: ['jab'],
    notIn: ['jab-cross-closed-side', 'jab-cross-back'],
    reshapeHand: (model, strength) => ({ ...model, feetLag: 0.13 * strength }),
    alsoShows: ['st.balance', 'pv.step-size'],
  },
];
