import type { SessionTally } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { checkpointMap } from './checkpoint-map.ts';

const row = (
  sessionId: string,
  checkpointId: string,
  fault: number,
  seen: number,
  change: Partial<SessionTally> = {},
): SessionTally => ({
  ...{ sessionId, heldOn: `2026-03-0${sessionId}`, rung: 3, technique: 'jab', checkpointId, view: 'lead-side' },
  tally: { fault, watch: 0, clean: seen - fault, cantSee: 0 },
  ...change,
});

describe('the map of checkpoints and sessions', () => {
  it('has the sessions in order, what is faulty most often first, and gaps where nobody looked', () => {
    const map = checkpointMap([row('2', 'st.lean', 1, 10), row('1', 'st.lean', 2, 10), row('2', 'gd.height', 8, 10)]);
    expect(map.sessions.map(({ sessionId }) => sessionId)).to.deep.equal(['1', '2']);
    expect(map.rows.map(({ checkpointId, cells }) => [checkpointId, cells.map((cell) => cell?.faults)])).to.deep.equal([
      ['gd.height', [undefined, 8]],
      ['st.lean', [2, 1]],
    ]);
  });

  it('takes what was seen often and is hardly ever a fault for a strength, and nothing that was seen less', () => {
    const map = checkpointMap([row('1', 'st.lean', 0, 30), row('1', 'st.width', 0, 12), row('1', 'gd.height', 5, 30)]);
    expect(map.strengths.map(({ checkpointId }) => checkpointId)).to.deep.equal(['st.lean']);
    expect(map.rows.map(({ checkpointId }) => checkpointId)).to.deep.equal(['gd.height', 'st.width']);
  });

  it('counts two views once, and leaves out what could never be seen', () => {
    const map = checkpointMap([
      row('1', 'st.lean', 1, 10),
      row('1', 'st.lean', 1, 4, { view: 'front' }),
      row('1', 'st.chin', 0, 0, { tally: { fault: 0, watch: 0, clean: 0, cantSee: 5 } }),
    ]);
    expect(map.rows.map(({ checkpointId, rate }) => [checkpointId, rate.seen])).to.deep.equal([['st.lean', 10]]);
  });
});
