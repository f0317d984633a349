import { expect } from 'chai';
import {
  conditionInWords,
  drillInWords,
  drillOf,
  eventInWords,
  oftenOf,
  reasonInWords,
  settlingInWords,
  standingInWords,
} from './index.ts';

type Told = Parameters<typeof conditionInWords>[0];

describe('what a level says, in words', () => {
  const compared = (change: Partial<Told>): Told => ({
    ...{ condition: 'tired', rungs: [3, 3], higher: 0.5, lower: 0 },
    first: { level: 0.1, low: 0, high: 0.2 },
    second: { level: 0.3, low: 0.2, high: 0.4 },
    ...change,
  });
  const conditions: [what: string, change: Partial<Told>, says: string][] = [
    ['worse when tired', { higher: 0.9 }, 'Worse when tired: 10% in the first thirds of rounds, 30% in the last (90% sure).'],
    ['no worse when tired', { higher: 0.1 }, 'No worse when tired: 10% in the first thirds of rounds, 30% in the last.'],
    [
      'worse on one side',
      { condition: 'lead', higher: 0.9 },
      'Worse with the other foot in front: 10% with the usual foot in front, 30% with the other (90% sure).',
    ],
    ['not clear', {}, 'Whether it is worse when tired is not clear yet: 10% in the first thirds of rounds, 30% in the last.'],
    [
      'worse at a harder rung',
      { condition: 'rung', rungs: [3, 6], higher: 0.95 },
      'Worse at “pads, free”: 10% at “bag, single strikes”, 30% at “pads, free” (95% sure).',
    ],
    [
      'better at a harder rung',
      { condition: 'rung', rungs: [3, 6], higher: 0, lower: 0.95 },
      'Better at “pads, free”: 10% at “bag, single strikes”, 30% at “pads, free” (95% sure).',
    ],
  ];
  for (const [what, change, says] of conditions) it(what, () => expect(conditionInWords(compared(change))).to.equal(says));

  it('a standing, with what comes next where it is locked below its top', () => {
    expect(standingInWords({ state: 'locked', rung: 3, topRung: 6 })).to.equal(
      'Locked at “bag, single strikes”; next: bag, combinations',
    );
    expect(standingInWords({ state: 'locked', rung: 6, topRung: 6 })).to.equal('Locked at “pads, free”');
    expect(standingInWords({ state: 'closed', rung: 3, topRung: 6 })).to.equal('Closed');
  });

  it('why a step is proposed', () => {
    expect(reasonInWords('holding', { atAim: 0.84, sessions: 2 }, 0.15)).to.equal(
      '84% sure, after 2 sessions at this rung, that at most 15% are faults',
    );
    expect(reasonInWords('relapsed', { atAim: 0.1, sessions: 1 }, 0.15)).to.equal(
      '90% sure, after 1 session at this rung, that more than 15% are faults again',
    );
  });

  it('a line of a history, and what would settle a question', () => {
    expect(eventInWords({ kind: 'kept', rung: 6 })).to.equal('Kept: pads, free');
    expect(eventInWords({ kind: 'opened', rung: 3 })).to.equal('Opened');
    expect(settlingInWords({ sessions: 1, strikes: 20 })).to.equal('1 more session of about 20 strikes would likely settle it');
  });

  it('what is drilled, as it was last said', () => {
    const told = (...notes: string[]) => drillOf({ history: notes.map((note) => ({ kind: 'drill-given', note })) as never });
    expect(told()).to.equal(undefined);
    expect(told('Wall behind, 3 × 10', 'Slow cross, 2 × 12')).to.equal('Slow cross, 2 × 12');
    expect(told('Wall behind, 3 × 10', '')).to.equal(undefined);
  });

  it('tells how often that drill is done, where somebody said', () => {
    type Said = Parameters<typeof drillInWords>[0]['history'][number];
    const given = (note: string, often: Said['often'] = null): Said => ({ kind: 'drill-given', note, often });
    const told = (...history: Said[]) => [oftenOf({ history }), drillInWords({ history })];
    expect(told(given('Slow cross', 'two-a-week'))).to.deep.equal(['two-a-week', 'Slow cross, twice a week']);
    expect(told(given('Slow cross', 'two-a-week'), given('Wall behind'))).to.deep.equal([undefined, 'Wall behind']);
    expect(told(given('Slow cross', 'every-day'), given(''))).to.deep.equal([undefined, undefined]);
    expect(told()).to.deep.equal([undefined, undefined]);
  });
});
