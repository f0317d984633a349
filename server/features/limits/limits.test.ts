import { limitEndpoints, type Limit } from '@wax-fist/contract/limits';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('limits of a trainee', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    scene = await addScene(server);
  });
  after(() => server.stop());

  const limit = (change: Partial<Limit>): Limit => ({
    ...{
      id: uuid(),
      traineeId: scene.traineeId,
      part: 'wrist',
      since: '2026-03-01',
      until: null,
      note: '',
      clearedBy: '',
      steps: [],
    },
    ...change,
  });
  const save = (sent: Limit) => coach.ask<Limit>(limitEndpoints.saveLimit, { limitId: sent.id }, sent);

  it('are listed with those that last first', async () => {
    const over = limit({ until: '2026-03-09', part: 'knee' });
    await save(over);
    const lasting = limit({ note: 'Sprain' });
    await save(lasting);
    const { body } = await coach.ask<Limit[]>(limitEndpoints.traineeLimits, { traineeId: scene.traineeId });
    expect(body).to.deep.equal([lasting, over]);
    expect((await save({ ...lasting, until: '2026-03-20' })).body.until).to.equal('2026-03-20');
  });

  it('of the head end only when somebody has cleared them, and none ends before it began', async () => {
    const head = limit({ part: 'head' });
    expect((await save(head)).status).to.equal(200);
    const ended = await save({ ...head, until: '2026-03-20' });
    expect([ended.status, JSON.stringify(ended.body)]).to.satisfy(
      ([status, said]: [number, string]) => status === 422 && said.includes('doctor'),
    );
    expect((await save({ ...head, until: '2026-03-20', clearedBy: 'Their doctor, by letter' })).status).to.equal(200);
    expect((await save(limit({ until: '2026-02-01' }))).status).to.equal(422);
  });

  it('of the head keep the steps of the way back, in order, a day each, and none without the doctor where one is asked', async () => {
    const steps = ['2026-03-02', '2026-03-03', '2026-03-05', '2026-03-06'].map((on, place) => ({ step: place + 1, on }));
    const head = limit({ part: 'head', steps });
    expect((await save(head)).body.steps).to.deep.equal(steps);
    const wrong: Partial<Limit>[] = [
      { steps: steps.slice(1) },
      { steps: [steps[0]!, { step: 2, on: '2026-03-02' }] },
      { steps: [...steps, { step: 5, on: '2026-03-09' }] },
      { part: 'knee' },
    ];
    for (const change of wrong) expect((await save({ ...head, ...change })).status).to.equal(422);
    expect((await save({ ...head, clearedBy: 'By letter', steps: [...steps, { step: 5, on: '2026-03-09' }] })).status).to.equal(
      200,
    );
  });

  it('belong to somebody who is there, and stay theirs', async () => {
    expect((await save(limit({ traineeId: uuid() }))).status).to.equal(404);
    const mine = limit({});
    await save(mine);
    const other = await addScene(server);
    expect((await save({ ...mine, traineeId: other.traineeId })).status).to.equal(404);
  });
});
