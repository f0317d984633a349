import { checklistFor, isMeasureId, shippedCatalogue, usualSchool, verdictIn, type BandVerdict } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { faultModels } from './motion/fault.ts';
import { perform } from './motion/performance.ts';
import type { Thrown } from './motion/thrown.ts';
import { scene } from './rounds-under-test.ts';
import { trueMeasures } from './true-measures.ts';

/** What the band of a checkpoint says of the mean of its true measure over a few strikes. */
function judged(technique: Thrown, checkpointId: string, fault?: string): { mean: number; verdict: BandVerdict } {
  const row = checklistFor(shippedCatalogue, technique, { school: usualSchool, view: 'quarter' }).find(({ checkpoint }) => checkpoint.id === checkpointId)!; // prettier-ignore
  const { measure } = row.checkpoint;
  if (!isMeasureId(measure) || !row.band) throw new Error(`${checkpointId} is not measured.`);
  const round = perform(
    scene({
      work: [{ strikes: [technique], times: 5 }],
      faults: fault ? [{ fault, strike: technique, share: 1, strength: [1, 1] }] : [],
    }),
  );
  const values = round.strikes.map((strike) => trueMeasures(round, strike)[measure]);
  if (values.some((value) => value === undefined)) throw new Error(`The truth does not tell the ${measure} of a ${technique}.`);
  const mean = values.reduce<number>((sum, value) => sum + value!, 0) / values.length;
  return { mean, verdict: verdictIn(row.band, mean) };
}

describe('true measures', () => {
  for (const { id, checkpoint, strikes } of faultModels) {
    for (const technique of strikes) {
      it(`${technique}: ${checkpoint} is clean without “${id}”, and not with it`, () => {
        const [clean, faulty] = [judged(technique, checkpoint), judged(technique, checkpoint, id)];
        expect(clean.verdict, `clean: ${clean.mean.toFixed(2)}`).to.equal('clean');
        expect(faulty.verdict, `${id}: ${faulty.mean.toFixed(2)}, clean ${clean.mean.toFixed(2)}`).to.not.equal('clean');
      });
    }
  }
});
