import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { clubDay } from './club-day.ts';

describe('trainees and sessions', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  const person = { id: uuid(), name: 'Somebody', stance: 'southpaw', grade: 'beginner', note: '' };
  before(async () => {
    server = await startServer();
    coach = await server.as('coach');
    await coach.ask(traineeEndpoints.saveTrainee, { traineeId: person.id }, person);
  });
  after(() => server.stop());

  const draft = (change: object = {}) => ({
    id: uuid(),
    traineeId: person.id,
    heldOn: '2026-03-01',
    place: '',
    kit: '',
    roundKind: 'heavy bag',
    rung: 3,
    schoolNote: '',
    ...change,
  });
  const save = (body: { id: string }) => coach.ask(sessionEndpoints.saveSession, { sessionId: body.id }, body);

  it('adding a trainee twice changes them, and makes no second one', async () => {
    await coach.ask(traineeEndpoints.saveTrainee, { traineeId: person.id }, { ...person, note: 'left shoulder' });
    const { body } = await coach.ask(traineeEndpoints.listTrainees);
    expect(body.rows.filter(({ id }: { id: string }) => id === person.id)).to.have.length(1);
    expect(body.rows[0]).to.include({
      note: 'left shoulder',
      stance: 'southpaw',
      sessions: 0,
      lastSession: null,
      openCorrections: 0,
      filmsToReview: 0,
    });
  });

  it('a name is needed, and the stance is one of two', async () => {
    const { status, body } = await coach.ask(
      traineeEndpoints.saveTrainee,
      { traineeId: person.id },
      { ...person, name: '  ', stance: 'sideways' },
    );
    expect(status).to.equal(422);
    expect(body.fields.map(({ field }: { field: string }) => field)).to.have.members(['name', 'stance']);
  });

  it('a session keeps what was said of it', async () => {
    const body = draft({ place: 'Boathouse', kit: '14 oz', schoolNote: 'long guard', rung: 4 });
    expect((await save(body)).body).to.deep.include(body);
    const { body: shown } = await coach.ask(sessionEndpoints.showSession, { sessionId: body.id });
    expect(shown).to.deep.include({ rung: 4, schoolNote: 'long guard', films: [] });
    expect(shown.trainee.name).to.equal('Somebody');
  });

  const wrong: [what: string, change: object, field: string][] = [
    ['a date to come', { heldOn: clubDay(new Date(Date.now() + 36 * 3600 * 1000)) }, 'heldOn'],
    ['a date that does not exist', { heldOn: '2026-02-31' }, 'heldOn'],
    ['no date at all', { heldOn: 'last Tuesday' }, 'heldOn'],
    ['a rung beyond the ladder', { rung: 8 }, 'rung'],
    ['something that cannot be hit', { roundKind: 'sandwich' }, 'roundKind'],
  ];
  for (const [what, change, field] of wrong) {
    it(`${what} is refused, and named`, async () => {
      const body = draft(change);
      const answer = await save(body);
      expect(answer.status).to.equal(422);
      expect(answer.body.fields[0].field).to.equal(field);
      expect((await coach.ask(sessionEndpoints.showSession, { sessionId: body.id })).status).to.equal(404);
    });
  }

  it('today is no date to come', async () => {
    expect((await save(draft({ heldOn: clubDay() }))).status).to.equal(200);
  });

  it('a session of nobody is refused', async () => {
    expect((await save(draft({ traineeId: uuid() }))).status).to.equal(404);
  });

  it('a session cannot be taken over for another trainee', async () => {
    const other = await addScene(server);
    const answer = await save(draft({ id: other.sessionId }));
    expect(answer.status).to.equal(404);
  });

  it('an address and a content that disagree are refused', async () => {
    expect((await coach.ask(sessionEndpoints.saveSession, { sessionId: uuid() }, draft())).status).to.equal(422);
  });

  it('lists count films and strikes, newest session first', async () => {
    const other = await addScene(server, '2026-02-01');
    await addScene(server, '2026-02-08', 3, other.traineeId);
    const { body } = await coach.ask(sessionEndpoints.listSessions, { traineeId: other.traineeId });
    expect(body.rows.map(({ heldOn, films, strikes }: Record<string, unknown>) => [heldOn, films, strikes])).to.deep.equal([
      ['2026-02-08', 1, 0],
      ['2026-02-01', 1, 0],
    ]);
    const { body: all } = await coach.ask(traineeEndpoints.listTrainees);
    expect(all.rows.find(({ id }: { id: string }) => id === other.traineeId)).to.include({
      sessions: 2,
      lastSession: '2026-02-08',
      filmsToReview: 2,
    });
  });
});
