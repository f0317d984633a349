import { expect } from 'chai';
import { dueReason, inDueOrder, type Due, type DueReason } from './index.ts';

const today = '2026-03-20';
const due = (state: Due['state'], recheckOn: string | null): Due => ({ state, recheckOn });

describe('corrections that are due', () => {
  const table: [what: string, one: Due, severity: 'injury' | 'base', reason: DueReason][] = [
    ['came back', due('relapsed', today), 'base', 'relapsed'],
    ['came back and can hurt', due('relapsed', today), 'injury', 'relapsed'],
    ['can hurt', due('working', today), 'injury', 'hurts'],
    ['has waited five days', due('working', '2026-03-15'), 'base', 'late'],
    ['has waited four days', due('working', '2026-03-16'), 'base', 'due'],
    ['is kept', due('kept', '2026-03-19'), 'base', 'kept'],
    ['is kept, and nobody looked', due('kept', '2026-03-01'), 'base', 'late'],
    ['has no day', due('working', null), 'base', 'due'],
  ];
  for (const [what, one, severity, reason] of table)
    it(`${reason}, when it ${what}`, () => expect(dueReason(one, severity, today)).to.equal(reason));

  it('are in the order in which they should be looked at; of one reason the longest waiting first', () => {
    const all = [due('kept', today), due('working', '2026-03-19'), due('working', '2026-03-18'), due('relapsed', today)];
    expect(inDueOrder(all, () => undefined, today).map(({ one, reason }) => [reason, one.recheckOn])).to.deep.equal([
      ['relapsed', today],
      ['due', '2026-03-18'],
      ['due', '2026-03-19'],
      ['kept', today],
    ]);
  });
});
