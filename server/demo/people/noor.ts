import type { CheckpointId } from '@wax-fist/core/technique';
import { padFloor, type DemoSession, type DemoTrainee } from '../person.ts';

const fromTheFront: readonly CheckpointId[] = ['ph.narrow', 'ph.firm', 'gd.other-hand', 'sm.telegraph'];
const fromTheSide: readonly CheckpointId[] = ['st.lean', 'gd.return-line', 'sm.range'];
const padsWide = { technique: 'holding', checkpointId: 'ph.narrow' } as const;

const week = (place: 1 | 2, daysAgo: number): DemoSession => ({
  daysAgo,
  place: padFloor,
  kit: '12 oz gloves',
  roundKind: 'focus mitts',
  rung: 5,
  holder: 'Tove Adair',
  films: [
    { name: `noor-${place}-front`, view: 'front', rows: fromTheFront, done: true },
    { name: `noor-${place}-lead-side`, view: 'lead-side', rows: fromTheSide, done: true },
  ],
});

/** Clean enough; it is the one who holds who has something to mend. */
export const noor: DemoTrainee = {
  name: 'Noor Castellane',
  stance: 'orthodox',
  grade: 'improver',
  stature: 160,
  reach: null,
  ageGroup: 'adult',
  note: 'Best when somebody calls. Two phones on the pad floor: front and side.',
  sessions: [
    { ...week(1, 9), corrections: [{ ...padsWide, cue: 'Both pads inside your shoulders', target: 0.15, recheckAfter: 7 }] },
    {
      ...week(2, 2),
      words: [{ ...padsWide, kind: 're-checked', note: 'Narrower; the first pad of a call still goes wide.', recheckAfter: 7 }],
    },
  ],
};
