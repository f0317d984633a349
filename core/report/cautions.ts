import { isSpotted, faultRate } from '../correction/index.ts';
import type { Tally } from '../review/index.ts';
import { checkpointName, type Catalogue } from '../technique/index.ts';
import { faultsOfSeen } from '../words/index.ts';

/** What stands under every report. */
const always = [
  'Stop at pain, dizziness, headache or trouble with the eyes. After a blow to the head: no contact, and see a doctor before training again.',
  'These are a coach’s notes, not medical advice. Rules of the place and of the federation come first.',
];
const forChildren =
  'For children: light contact, nothing to the head, shorter rounds, and nobody is filmed without a guardian’s consent.';
/** Two faults that can hurt are enough to say so. */
const fewestThatHurt = 2;

/** What is to be minded in work on these things. @param child whether it is one who trains */
export function cautionsOf(
  catalogue: Catalogue,
  judged: readonly { checkpointId: string; tally: Tally }[],
  child: boolean,
): string[] {
  const hurting = judged.flatMap(({ checkpointId, tally }) => {
    const row = catalogue.checkpoints.get(checkpointId);
    const rate = faultRate(tally);
    return row?.severity === 'injury' && (tally.fault >= fewestThatHurt || isSpotted(rate))
      ? [`${checkpointName(catalogue, checkpointId)} (${faultsOfSeen(rate)}): ${row.why} Build power last.`]
      : [];
  });
  return [...hurting, ...(child ? [forChildren] : []), ...always];
}
