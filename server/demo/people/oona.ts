import type { CheckpointId } from '@wax-fist/core/technique';
import { upstairs, type DemoTrainee } from '../person.ts';

const defence: readonly CheckpointId[] = ['df.slip', 'df.weave', 'st.width', 'gd.height'];
const speedBag: readonly CheckpointId[] = ['gd.fist-elbow-level', 'gd.height'];

/** Defence in the air and the small bags. */
export const oona: DemoTrainee = {
  name: 'Oona Brightwater',
  stance: 'orthodox',
  grade: 'advanced',
  stature: 172,
  reach: null,
  ageGroup: 'adult',
  note: 'Trains early, mostly alone.',
  sessions: [
    {
      daysAgo: 12,
      place: upstairs,
      kit: 'Wraps',
      roundKind: 'shadowboxing',
      rung: 2,
      films: [{ name: 'oona-1-front', view: 'front', rows: defence, done: true }],
      corrections: [
        { technique: 'weave', checkpointId: 'df.weave', cue: 'Knees bend, chest stays up', target: 0.15, recheckAfter: 14 },
      ],
    },
    {
      daysAgo: 5,
      place: upstairs,
      kit: 'Bag gloves',
      roundKind: 'speed bag',
      rung: 3,
      films: [{ name: 'oona-2-front', view: 'front', rows: speedBag, done: true }],
    },
    {
      daysAgo: 1,
      place: upstairs,
      kit: 'Bag gloves',
      roundKind: 'uppercut bag',
      rung: 4,
      films: [{ name: 'oona-3-quarter', view: 'quarter', rows: [], done: false }],
    },
  ],
};
