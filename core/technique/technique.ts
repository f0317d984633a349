import type { Ms } from '../units.ts';
import type { CheckpointId } from './checkpoint.ts';

export const techniqueIds = ['jab', 'cross'] as const;
export type TechniqueId = (typeof techniqueIds)[number];

/** What is thrown, with what is looked at in it. */
export interface Technique {
  id: TechniqueId;
  name: string;
  /** Number shouted on the floor; lead and rear, so a southpaw's 1 is the right hand. */
  call: string;
  side: 'lead' | 'rear';
  range: 'long' | 'middle' | 'close';
  checkpoints: readonly CheckpointId[];
  /** Usual time from launch to contact, for a first guess at the launch. */
  usualOut: Ms;
  /** Usual time from contact to home. */
  usualReturn: Ms;
}

/** Looked at in the ready phase of every technique. */
export const baseCheckpoints: readonly CheckpointId[] = [
  'st.width', 'st.heels', 'st.knees', 'st.lean', 'st.chin', 'gd.height', 'gd.elbows',
]; // prettier-ignore

/** Looked at in every strike with a hand. */
export const handCheckpoints: readonly CheckpointId[] = [
  'sm.telegraph', 'gd.other-hand', 'sm.breath', 'ex.move', 'ex.reset',
]; // prettier-ignore

const straightCheckpoints: readonly CheckpointId[] = [
  'sm.straight', 'sm.turnover', 'sm.wrist', 'sm.extension', 'sm.range', 'gd.cover', 'gd.return-line', 'sm.snap', 'st.balance',
]; // prettier-ignore

export const techniques: Record<TechniqueId, Technique> = {
  jab: {
    id: 'jab',
    name: 'Jab',
    call: '1',
    side: 'lead',
    range: 'long',
    checkpoints: [...baseCheckpoints, ...handCheckpoints, ...straightCheckpoints, 'pv.sync'],
    usualOut: 160,
    usualReturn: 220,
  },
  cross: {
    id: 'cross',
    name: 'Cross',
    call: '2',
    side: 'rear',
    range: 'long',
    checkpoints: [
      ...baseCheckpoints,
      ...handCheckpoints,
      ...straightCheckpoints,
      'sm.rotation',
      'sm.hip-stop',
      'pv.rear-turn',
      'pv.knee-elbow',
      'pv.rear-slide',
    ],
    usualOut: 190,
    usualReturn: 280,
  },
};

export const isTechniqueId = (id: string): id is TechniqueId => id in techniques;

/** The technique shouted with this number. */
export const techniqueCalled = (call: string): Technique | undefined =>
  Object.values(techniques).find((technique) => technique.call === call);
