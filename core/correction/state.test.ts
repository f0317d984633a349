import { expect } from 'chai';
import fc from 'fast-check';
import {
  correctionEventKinds,
  daysToRecheck,
  eventRefused,
  isLadderStep,
  proposedStep,
  standingOf,
  type CorrectionEventKind,
  type CorrectionState,
  type DatedStep,
  type ProposedStep,
  type Shown,
} from './index.ts';

type Said = CorrectionEventKind | [CorrectionEventKind, rung: number];
const step = (said: Said, place = 0): DatedStep => {
  const [kind, rung] = typeof said === 'string' ? [said, null] : said;
  return { kind, rung, sessionId: `s${place}`, heldOn: `2026-03-${String(1 + 7 * place).padStart(2, '0')}` };
};
const standing = (...said: Said[]) => standingOf(said.map(step), 3);
const anyStep = fc.record({
  kind: fc.constantFrom(...correctionEventKinds),
  rung: fc.option(fc.integer({ min: 1, max: 7 })),
});

describe('what a correction’s history comes to', () => {
  const table: [said: Said[], state: CorrectionState, rung: number, lockedUpTo: number][] = [
    [[], 'spotted', 3, 0],
    [[['opened', 4]], 'spotted', 4, 0],
    [['cue-given'], 'working', 3, 0],
    [['drill-given'], 'working', 3, 0],
    [[['holding', 3], 'drill-given'], 'holding', 3, 0],
    [['cue-given', ['holding', 3]], 'holding', 3, 0],
    [[['holding', 3], 'cue-given'], 'holding', 3, 0],
    [
      [
        ['holding', 3],
        ['locked', 3],
      ],
      'locked',
      3,
      3,
    ],
    [
      [
        ['locked', 3],
        ['holding', 4],
      ],
      'holding',
      4,
      3,
    ],
    [
      [
        ['locked', 3],
        ['locked', 4],
        ['kept', 5],
      ],
      'kept',
      5,
      5,
    ],
    [
      [
        ['kept', 5],
        ['relapsed', 4],
      ],
      'relapsed',
      4,
      3,
    ],
    [[['locked', 3], ['relapsed', 3], 'cue-given'], 'working', 3, 2],
    [[['kept', 5], 'closed'], 'closed', 5, 5],
    [[['kept', 5], 'closed', 're-opened'], 'working', 5, 5],
  ];
  for (const [said, state, rung, lockedUpTo] of table)
    it(`${said.map((one) => [one].flat().join(' ')).join(', ') || 'nothing'}: ${state} at ${rung}`, () =>
      expect(standing(...said)).to.deep.include({ state, rung, lockedUpTo }));

  it('is looked at again after 1, 2, 4 and 8 weeks once it is kept, and from the beginning after a relapse', () => {
    const said: Said[] = [['kept', 4]];
    const days = Array.from({ length: 5 }, () => {
      const now = daysToRecheck(standing(...said));
      said.push('re-checked');
      return now;
    });
    expect(days).to.deep.equal([7, 14, 28, 56, 56]);
    expect(daysToRecheck(standing(...said, ['relapsed', 4]))).to.equal(7);
    expect(daysToRecheck(standing(...said, ['relapsed', 4], ['kept', 4]))).to.equal(7);
  });

  it('is locked nowhere above a rung at which it relapsed', () => {
    fc.assert(
      fc.property(fc.array(anyStep), fc.integer({ min: 1, max: 7 }), (history, rung) => {
        expect(standingOf([...history, { kind: 'relapsed', rung }], 3).lockedUpTo).to.be.below(rung);
      }),
    );
  });

  it('is closed after nothing but closing, and what is closed takes nothing but being opened again', () => {
    fc.assert(
      fc.property(fc.array(anyStep), (wanted) => {
        const history: typeof wanted = [];
        for (const one of wanted) {
          const { state } = standingOf(history, 3);
          const refused = eventRefused(state, one.kind);
          if (state === 'closed') expect(refused === undefined).to.equal(one.kind === 're-opened');
          if (refused) continue;
          history.push(one);
          if (one.kind === 'closed' || one.kind === 're-opened')
            expect(standingOf(history, 3).state).to.equal(one.kind === 'closed' ? 'closed' : 'working');
        }
      }),
    );
  });
});

describe('a step on the ladder', () => {
  const shows = (change: Partial<Shown> = {}): Shown => ({
    sessionId: 'now',
    heldOn: '2026-04-30',
    rung: 3,
    seen: 20,
    atAim: 0.9,
    ...change,
  });
  const table: [what: string, said: Said[], shown: Partial<Shown>, proposed: ProposedStep | undefined][] = [
    ['holds for the first time', ['cue-given'], {}, { kind: 'holding', rung: 3 }],
    ['holds where nobody gave a cue yet', [], {}, { kind: 'holding', rung: 3 }],
    ['is not sure enough', ['cue-given'], { atAim: 0.79 }, undefined],
    ['saw too few', ['cue-given'], { seen: 7 }, undefined],
    ['holds again at the same rung', [['holding', 3]], {}, { kind: 'locked', rung: 3 }],
    ['holds again three days later', [['holding', 3]], { heldOn: '2026-03-04' }, undefined],
    ['holds at another rung than before', [['holding', 3]], { rung: 4 }, { kind: 'holding', rung: 4 }],
    [
      'holds again at its top',
      [
        ['locked', 3],
        ['holding', 4],
      ],
      { rung: 4 },
      { kind: 'kept', rung: 4 },
    ],
    ['holds where it is locked', [['locked', 3]], {}, undefined],
    ['is likely above the aim where it is locked', [['locked', 3]], { atAim: 0.2 }, { kind: 'relapsed', rung: 3 }],
    ['is likely above the aim at a lower rung than it is kept at', [['kept', 4]], { atAim: 0.1 }, { kind: 'relapsed', rung: 3 }],
    ['is perhaps above the aim where it is locked', [['locked', 3]], { atAim: 0.3 }, undefined],
    [
      'holds after a relapse',
      [
        ['holding', 3],
        ['locked', 3],
        ['relapsed', 3],
      ],
      {},
      { kind: 'holding', rung: 3 },
    ],
    ['is kept already, at a harder rung', [['kept', 4]], { rung: 6 }, undefined],
    ['is closed', ['closed'], {}, undefined],
    ['lies before the last step', [['holding', 3]], { heldOn: '2026-02-01' }, undefined],
    ['has had its step', [['holding', 3]], { sessionId: 's0', heldOn: '2026-03-01' }, undefined],
  ];
  for (const [what, said, shown, proposed] of table)
    it(`${proposed ? `is proposed, ${proposed.kind},` : 'is not proposed'} when it ${what}`, () => {
      const history = said.map(step);
      expect(proposedStep(standingOf(history, 3), history, shows(shown), 4)).to.deep.equal(proposed);
    });

  it('that is proposed can be taken, and is not proposed twice', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ rung: fc.integer({ min: 1, max: 5 }), atAim: fc.double({ min: 0, max: 1, noNaN: true }) }), {
          maxLength: 12,
        }),
        (sessions) => {
          const history: DatedStep[] = [step(['opened', 3])];
          for (const [place, { rung, atAim }] of sessions.entries()) {
            const heldOn = new Date(Date.UTC(2026, 3, 1 + 7 * place)).toISOString().slice(0, 10);
            const shown = { sessionId: `t${place}`, heldOn, rung, atAim, seen: 20 };
            const proposed = proposedStep(standingOf(history, 3), history, shown, 5);
            if (!proposed) continue;
            expect(isLadderStep(proposed.kind)).to.equal(true);
            expect(eventRefused(standingOf(history, 3).state, proposed.kind)).to.equal(undefined);
            history.push({ ...proposed, sessionId: shown.sessionId, heldOn });
            expect(proposedStep(standingOf(history, 3), history, shown, 5)).to.equal(undefined);
          }
        },
      ),
    );
  });
});
