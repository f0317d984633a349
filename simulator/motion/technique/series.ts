import type { Limb, MotionPart } from '../part.ts';
import type { Single } from './single.ts';

/** Where the feet go while a series is thrown. The stance begins away from the bag by as much as it steps. */
export interface SeriesStep {
  /** Foot nearest to where it goes. */
  first: Limb;
  /** Metres, towards the bag and towards the lead side. */
  by: { x?: number; z?: number };
  /** The second foot recovers before the last strike lands; in a drive both feet are down before it is launched. */
  recovers: 'with-the-last' | 'before-the-last';
}

/** Several strikes that are taught, called and judged as one. */
export interface SeriesModel {
  kind: 'series';
  strikes: readonly Single[];
  step?: SeriesStep;
  /** Seconds more than usual from one strike to the next. */
  between?: number;
  /** What the body does besides, with the last strike. */
  beside?: readonly MotionPart[];
}

const jabCross = ['jab', 'cross'] as const;
const stepped = (
  first: Limb,
  by: { x?: number; z?: number },
  recovers: SeriesStep['recovers'] = 'with-the-last',
): SeriesModel => ({
  kind: 'series',
  strikes: jabCross,
  step: { first, by, recovers },
});
const times = <One>(count: number, one: One): One[] => Array.from({ length: count }, () => one);

export const seriesModels = {
  'jab-cross-static': { kind: 'series', strikes: jabCross },
  'jab-cross-step': stepped('lead', { z: 0.24 }),
  'jab-cross-diagonal': stepped('lead', { x: 0.16, z: 0.18 }),
  'jab-cross-slip': {
    kind: 'series',
    strikes: jabCross,
    beside: [{ change: { 'pelvis.x': 0.12, 'chest.roll': -8, 'head.roll': -4 }, come: [0, 1], go: [0, 1.4] }],
  },
  'jab-cross-closed-side': stepped('rear', { x: -0.18 }),
  'jab-cross-open-side': stepped('lead', { x: 0.18 }),
  'jab-cross-back': stepped('rear', { z: -0.2 }),
  'jab-cross-drive': stepped('lead', { z: 0.2 }, 'before-the-last'),
  'punch-step': { kind: 'series', strikes: ['jab'], step: { first: 'lead', by: { z: 0.24 }, recovers: 'with-the-last' } },
  'in-and-out': { kind: 'series', strikes: jabCross, step: { first: 'lead', by: { z: 0.26 }, recovers: 'with-the-last' } },
  'double-lead-hook': { kind: 'series', between: 0.16, strikes: ['lead-body-hook', 'lead-hook'] },
  'alternating-round': { kind: 'series', between: 0.3, strikes: ['rear-round', 'switch-round'] },
  'uppercut-bag-set': {
    kind: 'series',
    between: 0.24,
    strikes: [
      'rear-uppercut',
      'lead-uppercut',
      'rear-uppercut',
      'lead-uppercut',
      'rear-uppercut',
      'lead-hook',
      'rear-hook',
      'lead-hook',
      'rear-hook',
      'lead-hook',
    ],
  },
  'rope-trap': {
    kind: 'series',
    between: 0.16,
    strikes: ['jab', 'jab', ...times(3, 'lead-hook' as const)],
    step: { first: 'lead', by: { x: 0.2 }, recovers: 'with-the-last' },
  },
  'swing-shuffle': {
    kind: 'series',
    between: 0.08,
    strikes: ['lead-hook', 'rear-hook'],
    step: { first: 'lead', by: { x: 0.16 }, recovers: 'with-the-last' },
  },
  'pad-called': { kind: 'series', strikes: ['jab', 'cross', 'lead-hook'] },
  'pad-free': { kind: 'series', strikes: ['jab', 'cross', 'slip', 'cross'] },
} as const satisfies Record<string, SeriesModel>;
