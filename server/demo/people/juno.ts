import type { CheckpointId } from '@wax-fist/core/technique';
import { readySchools } from '@wax-fist/core/technique';
import { padFloor, upstairs, type DemoTrainee } from '../person.ts';

const rows: readonly CheckpointId[] = ['pv.rear-turn', 'st.lean', 'sm.telegraph', 'gd.return-line', 'gd.other-hand', 'sm.range'];
const leadHand = { technique: 'cross', checkpointId: 'gd.other-hand' } as const;
const bag = { place: upstairs, kit: '14 oz gloves, wraps', roundKind: 'heavy bag', rung: 4 } as const;
const film = (place: number) => [{ name: `juno-${place}-lead-side`, view: 'lead-side', rows, done: true }] as const;

/** A correction that was good on the bag, was closed, and came back on free pads. */
export const juno: DemoTrainee = {
  name: 'Juno Perrault',
  stance: 'southpaw',
  grade: 'advanced',
  stature: 168,
  reach: null,
  ageGroup: 'adult',
  note: 'Learned elsewhere, stands a little squarer than we do.',
  schoolId: readySchools[1].id,
  sessions: [
    {
      ...bag,
      daysAgo: 41,
      films: film(1),
      corrections: [{ ...leadHand, cue: 'Lead hand holds the phone', target: 0.1, recheckAfter: 7 }],
    },
    {
      ...bag,
      daysAgo: 33,
      films: film(2),
      words: [{ ...leadHand, kind: 're-checked', note: 'Two of eight; drops only when hurried.', recheckAfter: 7 }],
    },
    {
      ...bag,
      daysAgo: 25,
      films: film(3),
      words: [{ ...leadHand, kind: 'closed', note: 'None of eight on the bag. Look again on pads.' }],
    },
    {
      daysAgo: 2,
      shown: true,
      place: padFloor,
      kit: '14 oz gloves, wraps',
      roundKind: 'focus mitts',
      rung: 6,
      holderStance: 'orthodox',
      schoolNote: 'Bram held, free round.',
      films: film(4),
      words: [{ ...leadHand, kind: 're-opened', note: 'Nobody called, and it hangs again.', recheckAfter: 5 }],
    },
  ],
};
