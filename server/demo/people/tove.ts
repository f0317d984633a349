import { upstairs, type DemoTrainee } from '../person.ts';

const round = { place: upstairs, kit: '12 oz gloves', roundKind: 'heavy bag' } as const;

/** A beginner whose films wait untouched; she also holds pads. */
export const tove: DemoTrainee = {
  name: 'Tove Adair',
  stance: 'southpaw',
  grade: 'beginner',
  stature: 181,
  reach: null,
  ageGroup: 'adult',
  note: 'Seven weeks in. Right hand leads. Has begun to hold for others.',
  sessions: [
    { ...round, daysAgo: 5, rung: 3, films: [{ name: 'tove-first-lead-side', view: 'lead-side', done: false }] },
    {
      ...round,
      daysAgo: 1,
      rung: 4,
      schoolNote: 'Three short rounds by the bell.',
      films: [{ name: 'tove-rounds-lead-side', view: 'lead-side', done: false }],
    },
  ],
};
