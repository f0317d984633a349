import { padFloor, upstairs, type DemoTrainee } from '../person.ts';

/** Whole rounds as they come from the floor: more than a hundred strikes each, tired towards the end. */
export const sunniva: DemoTrainee = {
  name: 'Sunniva Haug-Merian',
  stance: 'orthodox',
  grade: 'improver',
  stature: 174,
  reach: null,
  ageGroup: 'adult',
  note: 'Gets through every round, and drops her hands in the last third.',
  sessions: [
    {
      daysAgo: 4,
      place: upstairs,
      kit: '14 oz gloves, wraps',
      roundKind: 'heavy bag',
      rung: 4,
      schoolNote: 'One round to the end, no stops.',
      films: [{ name: 'sunniva-bag-lead-side', view: 'lead-side', rows: [], done: false }],
    },
    {
      daysAgo: 1,
      place: padFloor,
      kit: '14 oz gloves, wraps',
      roundKind: 'focus mitts',
      rung: 5,
      holderStance: 'orthodox',
      films: [{ name: 'sunniva-pads-lead-side', view: 'lead-side', done: false }],
    },
  ],
};
