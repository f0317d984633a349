import { expect } from 'chai';
import fc from 'fast-check';
import { correctionEventKinds, correctionState, eventRefused, type CorrectionEventKind, type CorrectionState } from './index.ts';

const anyKind = fc.constantFrom(...correctionEventKinds);

describe('what a correction’s events come to', () => {
  const table: [events: CorrectionEventKind[], state: CorrectionState][] = [
    [[], 'open'],
    [['opened'], 'open'],
    [['opened', 'cue-given', 're-checked'], 'open'],
    [['opened', 'closed'], 'closed'],
    [['opened', 'closed', 're-opened'], 'open'],
    [['opened', 'closed', 're-opened', 're-checked', 'closed'], 'closed'],
  ];
  for (const [events, state] of table)
    it(`${events.join(', ') || 'nothing'}: ${state}`, () => expect(correctionState(events)).to.equal(state));

  it('is not changed by a cue or a re-check, wherever they stand', () => {
    fc.assert(
      fc.property(fc.array(anyKind), (events) => {
        const weighty = events.filter((kind) => kind !== 'cue-given' && kind !== 're-checked');
        expect(correctionState(events)).to.equal(correctionState(weighty));
      }),
    );
  });

  it('is what the last event that was let through says, and closing twice or opening what is open is never let through', () => {
    fc.assert(
      fc.property(fc.array(anyKind), (wanted) => {
        const history: CorrectionEventKind[] = ['opened'];
        for (const kind of wanted) {
          const before = correctionState(history);
          if (eventRefused(before, kind)) continue;
          history.push(kind);
          if (kind === 'closed') expect([before, correctionState(history)]).to.deep.equal(['open', 'closed']);
          if (kind === 're-opened') expect([before, correctionState(history)]).to.deep.equal(['closed', 'open']);
        }
      }),
    );
  });
});
