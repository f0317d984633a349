import type { CheckpointId } from '@wax-fist/core/technique';
import { upstairs, type DemoSession, type DemoTrainee, type DemoWord } from '../person.ts';

const rows: readonly CheckpointId[] = ['st.heels', 'st.lean', 'sm.telegraph', 'sm.range', 'gd.return-line', 'gd.other-hand'];
const lowReturn = { technique: 'jab', checkpointId: 'gd.return-line' } as const;
const rechecked = (note: string): DemoWord[] => [{ ...lowReturn, kind: 're-checked', note, recheckAfter: 7 }];

const week = (place: 1 | 2 | 3 | 4, daysAgo: number): DemoSession => ({
  daysAgo,
  place: upstairs,
  kit: '16 oz gloves, wraps',
  roundKind: 'heavy bag',
  rung: 3,
  films: [{ name: `idris-${place}-lead-side`, view: 'lead-side', rows, done: true }],
});

/** A correction that holds. */
export const idris: DemoTrainee = {
  name: 'Idris Falkeid',
  stance: 'orthodox',
  grade: 'beginner',
  stature: 182,
  reach: null,
  ageGroup: 'adult',
  note: 'Joined in the autumn. Long arms; jabs as if every one were the last.',
  sessions: [
    { ...week(1, 30), corrections: [{ ...lowReturn, cue: 'Home by the same road', target: 0.15, recheckAfter: 7 }] },
    { ...week(2, 23), words: rechecked('Two of eleven. It is the last of a run that comes home low.') },
    { ...week(3, 16), words: rechecked('Not one. Once more before it is closed.') },
    { ...week(4, 4), words: [{ ...lowReturn, kind: 'closed', note: 'Holds for the second session. Next: the same on pads.' }] },
  ],
};
