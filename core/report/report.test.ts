import { expect } from 'chai';
import { shippedCatalogue } from '../technique/index.ts';
import { emptyTally } from '../review/index.ts';
import { blockReport, sessionReport, type BlockInReport, type SessionInReport } from './index.ts';

const about = { technique: 'jab', checkpointId: 'gd.return-line' };
const other = { technique: 'jab', checkpointId: 'sm.telegraph' };
const tally = (fault: number, clean: number) => ({ ...emptyTally, fault, clean });
const level = (sessionId: string, heldOn: string, fault: number) => ({
  ...{ sessionId, heldOn, tally: tally(fault, 20 - fault), level: fault / 20, low: fault / 40, high: fault / 20 + 0.1 },
});
const levels = [level('first', '2026-03-01', 12), level('now', '2026-03-15', 3)];
const answer = {
  ...about,
  ...{ rung: 3, change: 'better' as const, since: { sessionId: 'first', heldOn: '2026-03-01' }, atAim: 0.62, levels, fell: 0.95 },
  settling: null,
};
const correction = {
  ...about,
  ...{ id: 'one', cue: 'Touch home', target: 0.15, state: 'working' as const, rung: 3, topRung: 6, recheckOn: '2026-03-29' },
  ...{ openedOn: '2026-03-01', openedIn: 'first' },
  history: [
    { kind: 'opened' as const, note: '', sessionId: 'first', by: 'A coach', at: '2026-03-01T19:00:00Z', rung: null },
    {
      kind: 'drill-given' as const,
      note: 'Wall behind, 3 × 10',
      sessionId: 'now',
      by: 'A coach',
      at: '2026-03-15T19:00:00Z',
      rung: null,
    },
  ],
};
const session: SessionInReport = {
  ...{ id: 'now', heldOn: '2026-03-15', madeOn: '2026-03-16', traineeName: 'Somebody', grade: 'improver', child: false },
  ...{ roundKind: 'heavy bag', rung: 3, place: 'Hall', kit: '', holderName: null, schoolName: 'Plain', schoolNote: '' },
  ...{
    checklistVersion: 2,
    catalogue: shippedCatalogue,
    judges: ['A coach'],
    verdicts: 40,
    together: [],
    order: null,
    notes: [],
  },
  films: [{ view: 'lead-side', duration: 125_400, rounds: 1, strikes: 20, done: true }],
  judged: [
    { ...about, tally: tally(3, 17) },
    { ...other, tally: tally(0, 20) },
  ],
  answers: [answer],
  corrections: [correction],
};
const textOf = (report: ReturnType<typeof sessionReport>, heading: string): string => {
  const part = report.sections.find((one) => one.heading === heading);
  return part ? JSON.stringify(part) : '';
};

describe('a session report', () => {
  const report = sessionReport(session);

  it('tells what was filmed, and by what it was judged', () => {
    expect(textOf(report, 'What was filmed')).to.include('Lead side, 2:05 long, 1 round, 20 strikes');
    expect(textOf(report, 'What was filmed')).to.include('Plain, checklists 2; A coach');
    expect(textOf(report, 'What was filmed')).to.not.include('"Kit"');
  });

  it('answers what is being worked on, with its doubt', () => {
    const [says] = report.sections.find(({ heading }) => heading === 'What it answers')!.items;
    expect(says).to.include('“Touch home” (Jab, aim at most 15%): better.');
    expect(says).to.include('Level 15% (8%–25%), 60% (30%–70%) on 1 March 2026; 3 of 20 were faults today.');
    expect(says).to.include('62% sure that it is at the aim.');
  });

  it('shows every rate with its interval, the worst first, and the aim only where somebody works on it', () => {
    const { rates } = report.sections.find(({ heading }) => heading === 'Jab')!;
    expect(rates.map(({ of, aim }) => [of, aim])).to.deep.equal([
      ['3 of 20', 0.15],
      ['0 of 20', null],
    ]);
    expect(rates[0]!.level).to.equal('15% (8%–25%), better');
  });

  it('tells what was worked on here, strengths, what is next and what to mind', () => {
    expect(textOf(report, 'What was worked on'))
      .to.include('“Touch home”: drill: Wall behind, 3 × 10.')
      .and.not.include('opened');
    expect(textOf(report, 'Strengths')).to.include('0 of 20 were faults, very likely below').and.not.include('3 of 20');
    expect(textOf(report, 'What is next')).to.include('Looked at again on 29 March 2026.').and.include('Drill: Wall behind');
    expect(textOf(report, 'Mind this')).to.include('not medical advice').and.not.include('guardian');
  });

  it('holds what coaches have typed', () => {
    const notes = [
      { text: 'Breathes out late.', technique: null, saidBy: 'A coach' },
      { text: 'This one!', technique: 'jab', saidBy: 'Another' },
    ];
    expect(sessionReport({ ...session, notes }).sections.find(({ heading }) => heading === 'Notes')!.items).to.deep.equal([
      'Breathes out late. (A coach)',
      'On a jab: This one! (Another)',
    ]);
  });

  it('minds children, and what can hurt', () => {
    const wrist = { technique: 'cross', checkpointId: 'sm.wrist', tally: tally(3, 17) };
    const minded = textOf(sessionReport({ ...session, child: true, judged: [wrist] }), 'Mind this');
    expect(minded).to.include('guardian');
    expect(minded).to.include(`${shippedCatalogue.checkpoints.get('sm.wrist')!.name} (3 of 20)`);
  });

  it('leaves out what there is not, and says where nothing was filmed', () => {
    const empty = sessionReport({ ...session, films: [], judged: [], answers: [], corrections: [] });
    expect(empty.sections.map(({ heading }) => heading)).to.deep.equal(['What was filmed', 'What is next', 'Mind this']);
    expect(textOf(empty, 'What was filmed')).to.include('Nothing was filmed.');
  });
});

describe('a block report', () => {
  const block: BlockInReport = {
    ...{ traineeName: 'Somebody', grade: 'improver', child: false, from: '2026-02-20', to: '2026-03-19', madeOn: '2026-03-20' },
    ...{
      catalogue: shippedCatalogue,
      judged: session.judged,
      answers: [answer],
      corrections: [correction],
      together: [],
      order: null,
    },
    sessions: [
      { heldOn: '2026-03-01', roundKind: 'heavy bag', rung: 3, films: 1, strikes: 20, verdicts: 40, schoolName: 'Plain' },
      { heldOn: '2026-03-15', roundKind: 'heavy bag', rung: 3, films: 1, strikes: 22, verdicts: 44, schoolName: 'Plain' },
    ],
  };

  it('tells what became of each correction, with its way', () => {
    const report = blockReport(block);
    const part = report.sections.find(({ heading }) => heading === '“Touch home”')!;
    expect(part.says[0]).to.include('Opened on 1 March 2026.').and.include('Since the opening: better.');
    expect(part.levels[0]!.points.map(({ faults, seen }) => [faults, seen])).to.deep.equal([
      [12, 20],
      [3, 20],
    ]);
    expect(report.covers).to.equal('20 February 2026 to 19 March 2026, 4 weeks');
    expect(textOf(report, 'What was filmed')).to.include('2 sessions, 42 strikes');
  });

  it('draws no way of one level, and leaves out what was opened later', () => {
    const early = blockReport({ ...block, to: '2026-03-05' });
    expect(early.sections.find(({ heading }) => heading === '“Touch home”')!.levels).to.deep.equal([]);
    expect(textOf(blockReport({ ...block, to: '2026-02-25', sessions: [] }), '“Touch home”')).to.equal('');
  });
});
