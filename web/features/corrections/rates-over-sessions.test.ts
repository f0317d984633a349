import type { SessionTally } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { ratesOverSessions, runsOfRung } from './rates-over-sessions.ts';

const row = (sessionId: string, heldOn: string, fault: number, change: Partial<SessionTally> = {}): SessionTally => ({
  sessionId,
  heldOn,
  rung: 3,
  technique: 'jab',
  checkpointId: 'gd.return-line',
  view: 'lead-side',
  tally: { clean: 10 - fault, watch: 0, fault, cantSee: 0 },
  ...change,
});

describe('rates over sessions', () => {
  it('come oldest first, one for each session, of one technique and checkpoint only', () => {
    const points = ratesOverSessions(
      [
        row('b', '2026-03-08', 2),
        row('a', '2026-03-01', 7),
        row('a', '2026-03-01', 1, { technique: 'cross' }),
        row('a', '2026-03-01', 1, { checkpointId: 'st.chin' }),
        row('b', '2026-03-08', 0, { view: 'front', tally: { clean: 3, watch: 0, fault: 0, cantSee: 9 } }),
      ],
      'jab',
      'gd.return-line',
    );
    expect(points.map(({ sessionId, rate }) => [sessionId, rate.faults, rate.seen])).to.deep.equal([
      ['a', 7, 10],
      ['b', 2, 10],
    ]);
  });
});

describe('points of one rung', () => {
  it('belong together wherever they stand, and every point to one rung', () => {
    expect(runsOfRung([{ rung: 4 }, { rung: 3 }, { rung: 4 }])).to.deep.equal([[1], [0, 2]]);
    expect(runsOfRung([])).to.deep.equal([]);
  });
});
