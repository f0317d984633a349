import { expect } from 'chai';
import fc from 'fast-check';
import { daysBetween } from '../days.ts';
import { weekOf } from '../days.ts';
import { weekProblems, type WeekSession } from './index.ts';

const session = (change: Partial<WeekSession>): WeekSession => ({
  ...{ id: Math.random().toString(36), traineeId: 'm', traineeName: 'Maren', day: '2026-11-24', impact: 3 },
  ...change,
});
const adult = () => ({ grade: 'improver', ageGroup: 'adult' }) as const;
const says = (...sessions: WeekSession[]): string[] => weekProblems(sessions, adult).map((one) => one.says);

describe('a week', () => {
  it('goes from Monday to Sunday', () => {
    expect(weekOf('2026-11-28')).to.deep.equal(weekOf('2026-11-23'));
    expect(weekOf('2026-11-29')[0]).to.equal('2026-11-23');
    fc.assert(
      fc.property(fc.date({ min: new Date('2000-01-03'), max: new Date('2090-01-01'), noInvalidDate: true }), (date) => {
        const day = date.toISOString().slice(0, 10);
        const days = weekOf(day);
        expect(days).to.include(day);
        expect(new Date(`${days[0]}T12:00:00Z`).getUTCDay()).to.equal(1);
        expect(daysBetween(days[0]!, days[6]!)).to.equal(6);
      }),
    );
  });

  it('says when somebody is hit too often, and when no day lies between two hard ones', () => {
    expect(says(session({}), session({ day: '2026-11-26' }))).to.deep.equal([]);
    expect(says(session({}), session({}))).to.deep.equal(['Maren: two sessions on one day.']);
    expect(says(session({ impact: 6 }), session({ day: '2026-11-25', impact: 5 }))).to.deep.equal([
      'Maren: two hard sessions without a day between.',
    ]);
    expect(says(session({ impact: 6 }), session({ day: '2026-11-25', impact: 2 }))).to.deep.equal([]);
    expect(says(...['23', '25', '27', '29'].map((day) => session({ day: `2026-11-${day}`, impact: 6 })))).to.deep.equal([
      'Maren: 24 hard rounds this week; 22 are the most here.',
    ]);
  });

  it('asks each trainee by themselves, and nothing of those whom nobody knows', () => {
    expect(says(session({}), session({ traineeId: 'p', traineeName: 'Pavel' }))).to.deep.equal([]);
    expect(weekProblems([session({}), session({})], () => undefined)).to.deep.equal([]);
  });

  it('says when a session stands on a day on which nobody trains', () => {
    const session: WeekSession = { id: 'a', traineeId: 't', traineeName: 'Tove', day: '2026-03-04', impact: 0 };
    const problems = weekProblems(
      [session],
      () => ({ grade: 'beginner', ageGroup: 'adult' }),
      () => 'Hall is painted',
    );
    expect(problems.map(({ sessions, says }) => [sessions, says.includes('Hall is painted')])).to.deep.equal([[['a'], true]]);
  });
});
