import fc from 'fast-check';
import { shippedDrills } from '../drills/index.ts';
import { roundKinds } from '../rounds/index.ts';
import { techniques } from '../technique/index.ts';
import { ageGroups, bodyParts, grades } from '../trainee/index.ts';
import type { PlanWish } from './index.ts';

/** Every sort of trainee, club and hour. */
export const anyWish: fc.Arbitrary<PlanWish> = fc
  .record({
    length: fc.integer({ min: 5, max: 150 }).map((minutes) => minutes * 60),
    leads: fc.constantFrom('both alike' as const, 'other more' as const),
    impactThisWeek: fc.integer({ min: 0, max: 30 }),
    technique: fc.option(fc.constantFrom(...techniques.map(({ id, name }) => ({ id, name })))),
    corrections: fc.uniqueArray(
      fc.record({
        pick: fc.integer({ min: 0, max: 5000 }),
        rung: fc.integer({ min: 1, max: 7 }),
        due: fc.boolean(),
        strikes: fc.option(fc.integer({ min: 8, max: 90 })),
      }),
      { maxLength: 5, selector: ({ pick }) => pick },
    ),
    who: fc.record({
      grade: fc.constantFrom(...grades),
      ageGroup: fc.option(fc.constantFrom(...ageGroups)),
      limits: fc.uniqueArray(fc.constantFrom(...bodyParts), { maxLength: 3 }),
      kit: fc.uniqueArray(fc.constantFrom(...roundKinds)),
      holder: fc.boolean(),
      partner: fc.boolean(),
    }),
  })
  .map(({ corrections, ...rest }) => ({
    ...rest,
    drills: shippedDrills,
    corrections: corrections.map(({ pick, ...one }) => {
      const technique = techniques[pick % techniques.length]!;
      const checkpointId = technique.checkpoints[pick % technique.checkpoints.length]!;
      return {
        ...{
          id: String(pick),
          technique: technique.id,
          techniqueName: technique.name,
          checkpointId,
          checkpointName: checkpointId,
        },
        ...{ cue: 'Cue', view: null, rate: 0 },
        ...one,
      };
    }),
  }));
