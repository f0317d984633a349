import type { CheckpointId, View } from '@wax-fist/core/technique';
import { upstairs, type DemoSession, type DemoTrainee } from '../person.ts';

const rows: readonly CheckpointId[] = ['sm.hook-width', 'sm.hook-angle', 'gd.other-hand', 'sm.telegraph'];
const wide = { technique: 'lead-hook', checkpointId: 'sm.hook-width' } as const;

const week = (place: 1 | 2 | 3 | 4, daysAgo: number, view: View): DemoSession => ({
  daysAgo,
  place: upstairs,
  kit: '16 oz gloves',
  roundKind: 'heavy bag',
  rung: 3,
  films: [{ name: `pavel-${place}-${view}`, view, rows, done: true }],
});

/** A fault that goes up and down from week to week, and has not changed. */
export const pavel: DemoTrainee = {
  name: 'Pavel Sorrin',
  stance: 'orthodox',
  grade: 'improver',
  stature: 178,
  reach: null,
  ageGroup: 'adult',
  note: 'Strong, in a hurry. Asks every week whether the hook is better.',
  sessions: [
    { ...week(1, 36, 'front'), corrections: [{ ...wide, cue: 'Elbow follows the fist', target: 0.1, recheckAfter: 7 }] },
    { ...week(2, 28, 'front'), words: [{ ...wide, kind: 're-checked', note: 'Looks better?', recheckAfter: 7 }] },
    { ...week(3, 20, 'quarter'), words: [{ ...wide, kind: 're-checked', note: 'Looks worse?', recheckAfter: 7 }] },
    {
      ...week(4, 6, 'front'),
      words: [
        { ...wide, kind: 'cue-given', note: 'Up and down is not change: a wall drill instead of more bag.', recheckAfter: 8 },
      ],
    },
  ],
};
