import type { CheckpointId } from '@wax-fist/core/technique';
import { upstairs, type DemoTrainee } from '../person.ts';

const fromTheSide: readonly CheckpointId[] = [
  'pv.rear-turn',
  'st.lean',
  'sm.telegraph',
  'gd.return-line',
  'gd.other-hand',
  'sm.range',
];
const fromTheFront: readonly CheckpointId[] = ['st.width', 'sm.straight', 'gd.other-hand', 'sm.telegraph'];
const round = { place: upstairs, kit: '14 oz gloves, wraps', roundKind: 'heavy bag', rung: 3 } as const;

/** One thing better, another worse: what the first ten minutes show. */
export const maren: DemoTrainee = {
  name: 'Maren Lysvik',
  stance: 'orthodox',
  grade: 'improver',
  stature: 170,
  reach: null,
  ageGroup: 'adult',
  note: 'Skills day in ten weeks. Sore left wrist last winter: wrapped, no fixed pole.',
  sessions: [
    {
      ...round,
      daysAgo: 10,
      schoolNote: 'Jab returns to the cheek; rear heel turns out.',
      films: [
        { name: 'maren-first-lead-side', view: 'lead-side', rows: fromTheSide, done: true },
        { name: 'maren-first-front', view: 'front', rows: fromTheFront, done: true },
      ],
      corrections: [{ technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, recheckAfter: 7 }],
    },
    {
      ...round,
      daysAgo: 3,
      schoolNote: 'Same round as last week, same distance of the camera.',
      films: [
        { name: 'maren-second-lead-side', view: 'lead-side', rows: fromTheSide, done: true },
        { name: 'maren-second-front', view: 'front', rows: [], done: false },
      ],
    },
  ],
};
