import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionMeasures } from '@wax-fist/contract/measures';
import type { SessionTally } from '@wax-fist/contract/review';
import { shippedCatalogue as checklists } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { judgedRows, rowsByTechnique, type WhatIsKnown } from './judged-rows.ts';

const tally = (technique: string, checkpointId: string, [clean, fault]: [number, number], sessionId = 'today'): SessionTally => ({
  ...{ sessionId, heldOn: '2026-11-02', rung: 1, technique, checkpointId, view: 'lead-side' },
  tally: { clean, watch: 0, fault, cantSee: 0 },
});
const rate = (technique: string, checkpointId: string, fault: number) =>
  ({ technique, checkpointId, fault, watch: 0, low: 0.5, rate: 0.6, high: 0.7 }) as SessionMeasures['rates'][number];
const about = (checkpointId: string, state: Correction['state']) => ({ technique: 'jab', checkpointId, state }) as Correction;
const known = (more: Partial<WhatIsKnown>): WhatIsKnown => ({
  ...{ sessionId: 'today', checklists, tallies: [], corrections: [] },
  ...more,
});
const told = (all: WhatIsKnown) => rowsByTechnique(judgedRows(all), all);

describe('what a session says, row by row', () => {
  it('is nothing where nobody has judged and nothing was measured', () => expect(told(known({}))).to.deep.equal([]));

  it('has techniques in the order of the checklists, and most faults first; what was clean comes in the order of the walk', () => {
    const tallies = [
      tally('cross', 'gd.other-hand', [3, 3]),
      tally('jab', 'gd.return-line', [6, 0]),
      tally('jab', 'st.lead', [6, 0]),
      tally('jab', 'gd.other-hand', [2, 4]),
    ];
    const names = told(known({ tallies })).map(({ technique, rows }) => [technique, ...rows.map((row) => row.checkpointId)]);
    expect(names).to.deep.equal([
      ['jab', 'gd.other-hand', 'st.lead', 'gd.return-line'],
      ['cross', 'gd.other-hand'],
    ]);
  });

  it('leaves out other sessions, and corrections that are closed', () => {
    const tallies = [
      tally('jab', 'gd.other-hand', [2, 4]),
      tally('jab', 'st.lead', [5, 5]),
      tally('jab', 'st.chin', [1, 5], 'before'),
    ];
    const corrections = [about('gd.other-hand', 'working'), about('st.lead', 'closed')];
    const rows = judgedRows(known({ tallies, corrections }));
    expect(rows.map(({ checkpointId, correction }) => [checkpointId, correction?.state])).to.deep.equal([
      ['gd.other-hand', 'working'],
      ['st.lead', undefined],
    ]);
  });

  it('tells by measures alone only what nobody has judged', () => {
    const measures = { rates: [rate('jab', 'gd.other-hand', 9), rate('jab', 'st.chin', 8)] } as SessionMeasures;
    const [jab] = told(known({ tallies: [tally('jab', 'gd.other-hand', [2, 4])], measures }));
    expect(jab!.rows.map(({ measured }) => measured?.fault)).to.deep.equal([9]);
    expect(jab!.unjudged.map(({ checkpointId }) => checkpointId)).to.deep.equal(['st.chin']);
    expect(told(known({ measures })).map(({ technique }) => technique)).to.deep.equal(['jab']);
  });
});
