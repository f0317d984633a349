import type { SessionRow } from '@wax-fist/contract/sessions';
import type { TraineeRow } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { sessionNamed, traineeNamed } from './find-session.ts';

const trainees = [
  { id: 'id-of-ana', name: 'Ana Holm' },
  { id: 'id-of-anna', name: 'Anna Holmgren' },
  { id: 'id-of-bo', name: 'Bo Lind' },
] as TraineeRow[];
const sessions = [
  { id: 'first', heldOn: '2026-11-02', roundKind: 'heavy bag' },
  { id: 'second', heldOn: '2026-11-09', roundKind: 'heavy bag' },
  { id: 'third', heldOn: '2026-11-09', roundKind: 'focus mitts' },
] as SessionRow[];

describe('who and when, at the command line', () => {
  it('a trainee is found by id, by name in any case, and by a part that is only one’s', () => {
    for (const wanted of ['id-of-ana', 'ana holm', ' Ana Holm ']) expect(traineeNamed(trainees, wanted).id).to.equal('id-of-ana');
    expect(traineeNamed(trainees, 'lind').id).to.equal('id-of-bo');
  });
  it('no trainee, or more than one, is an error that lists them', () => {
    expect(() => traineeNamed(trainees, 'Cyr')).to.throw(/no trainee “Cyr”[^]*Ana Holm[^]*Bo Lind/);
    expect(() => traineeNamed(trainees, 'holm')).to.throw(/more than one trainee[^]*id-of-anna {2}Anna Holmgren/);
  });
  it('a session is found by id or by day; a day without one is none yet', () => {
    expect(sessionNamed(sessions, 'third')?.id).to.equal('third');
    expect(sessionNamed(sessions, '2026-11-02')?.id).to.equal('first');
    expect(sessionNamed(sessions, '2026-11-16')).to.equal(undefined);
  });
  it('two sessions on one day, or an id that is none, are errors that list them', () => {
    expect(() => sessionNamed(sessions, '2026-11-09')).to.throw(
      /more than one session on 2026-11-09[^]*third {2}2026-11-09 {2}focus mitts/,
    );
    expect(() => sessionNamed(sessions, 'fourth')).to.throw(/no session “fourth”[^]*first {2}2026-11-02/);
  });
});
