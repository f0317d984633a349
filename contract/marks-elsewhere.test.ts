import { expect } from 'chai';
import { marksElsewhere, takenBack } from './marks-elsewhere.ts';
import { markShapes } from './review.ts';

describe('marks made elsewhere, as marks of a film', () => {
  let count = 0;
  const freshId = (): string => `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}`;
  const moments = {
    ...{ launchFrame: 1, contactFrame: 5, homeFrame: 9 },
    ...{ launchOrigin: 'guessed' as const, contactOrigin: 'set' as const, homeOrigin: 'guessed' as const },
  };
  const verdicts = [{ checkpointId: 'gd.return-line', verdict: 'fault' as const, note: 'late', place: 2 }];
  const into = { view: 'front' as const, checklistVersion: 1, saidAt: '2026-03-01T19:00:00.000Z', freshId };
  const known = freshId();
  const marks = marksElsewhere(
    [
      { technique: 'jab', strikeId: undefined, ...moments, verdicts },
      { technique: 'cross', strikeId: known, ...moments, verdicts },
      { technique: 'cross', strikeId: known, ...moments, verdicts: [] },
    ],
    into,
  );

  it('tell new strikes, and judge those that are there', () => {
    expect(marks.map(({ kind }) => kind)).to.deep.equal(['strike', 'observation', 'observation']);
    expect(marks.map((mark) => 'strikeId' in mark && mark.strikeId === known)).to.deep.equal([false, false, true]);
    for (const mark of marks) markShapes[mark.kind].validateSync(mark, { strict: true });
  });

  it('are taken back: new strikes go, with all that is said of them, and others are unsaid', () => {
    const back = takenBack(marks, into.saidAt, freshId);
    expect(
      back.map((mark) => (mark.kind === 'strike' ? mark.removed : mark.kind === 'observation' && mark.verdict)),
    ).to.deep.equal([true, null]);
    expect(new Set([...marks, ...back].map(({ id }) => id)).size).to.equal(5);
  });
});
