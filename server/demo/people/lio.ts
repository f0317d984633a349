import type { CheckpointId } from '@wax-fist/core/technique';
import { upstairs, type DemoSession, type DemoTrainee } from '../person.ts';

const rows: readonly CheckpointId[] = ['pv.rear-turn', 'st.lean', 'sm.telegraph', 'gd.return-line', 'gd.other-hand'];

const week = (place: 1 | 2, daysAgo: number): DemoSession => ({
  daysAgo,
  place: upstairs,
  kit: '8 oz gloves',
  roundKind: 'heavy bag',
  rung: 4,
  planned: 'jab, cross, lead hook, cross',
  films: [{ name: `lio-${place}-lead-side`, view: 'lead-side', rows, done: true, readOtherwise: 'gd.other-hand' }],
});

/** A child, three weeks from the skills day's first set. */
export const lio: DemoTrainee = {
  name: 'Lio Vandermeer-Aas',
  stance: 'orthodox',
  grade: 'improver',
  stature: 142,
  reach: null,
  ageGroup: 'child',
  note: 'Eleven. Shows the first set at the skills day in three weeks: four times in a row, nothing left out. No hard rounds.',
  sessions: [week(1, 8), week(2, 1)],
};
