import type { LevelAnswer } from '@wax-fist/contract/answers';
import { expect } from 'chai';
import { levelPanels, schoolChanges } from './level-panels.ts';

const level = (sessionId: string, fault: number, watch = 0) => ({
  sessionId,
  heldOn: '2026-03-01',
  tally: { fault, watch, clean: 10 - fault - watch, cantSee: 3 },
  level: 0.4,
  low: 0.2,
  high: 0.6,
});
const answer = (rung: number, ...levels: LevelAnswer['levels']) => ({ rung, levels }) as LevelAnswer;

describe('panels of levels', () => {
  it('are one a rung, the lowest first', () => {
    const panels = levelPanels([answer(6, level('c', 2)), answer(3, level('a', 5), level('b', 1))]);
    expect(panels.map(({ rung, name, points }) => [rung, name, points.map(({ sessionId }) => sessionId).join('')])).to.deep.equal(
      [
        [3, 'Bag, single strikes', 'ab'],
        [6, 'Pads, free', 'c'],
      ],
    );
  });

  it('show what was counted beside the level, a watch for half a fault', () => {
    const [panel] = levelPanels([answer(3, level('a', 3, 1))]);
    expect(panel!.points[0]).to.include({ faults: 3.5, seen: 10, level: 0.4, low: 0.2, high: 0.6 });
  });

  it('mark the days on which another school judged, and nothing when it stays', () => {
    const session = (heldOn: string, name: string) => ({ heldOn, judgedBy: { name } });
    expect(
      schoolChanges([session('2026-03-08', 'Long lines'), session('2026-03-01', 'Usual'), session('2026-03-15', 'Long lines')]),
    ).to.deep.equal([{ day: '2026-03-08', says: 'Long lines' }]);
    expect(schoolChanges([session('2026-03-01', 'Usual')])).to.deep.equal([]);
  });
});
