import { drillEndpoints, type OwnDrill } from '@wax-fist/contract/drills';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('drills of the club’s own', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());

  const drill = (change: Partial<OwnDrill> = {}): OwnDrill => ({
    ...{ id: uuid(), name: 'Coin in the glove', how: 'A coin that must not rattle.', trains: ['sm.fist'], techniques: ['jab'] },
    ...{ rung: 3, on: ['heavy bag'], needs: ['a coin'], company: 'alone', recipe: 'jab', cue: 'Quiet', film: null },
    ...{ dose: { each: 10, rounds: 2, work: 60, rest: 30 }, easier: 'touch-home', harder: null, caution: 'Wraps and gloves.' },
    ...{ loads: ['hand'], impact: 'full', contact: false, ages: ['adult'], grade: 'beginner' },
    ...change,
  });
  const save = (sent: OwnDrill) => coach.ask<OwnDrill>(drillEndpoints.saveDrill, { drillId: sent.id }, sent);
  const listed = async (): Promise<string[]> =>
    (await coach.ask<OwnDrill[]>(drillEndpoints.listDrills)).body.map(({ name }) => name);

  it('are saved, changed, listed by name and taken away', async () => {
    const one = drill();
    expect((await save(one)).body).to.deep.equal(one);
    await save(drill({ name: 'A first' }));
    await save({ ...one, name: 'Coin in both gloves' });
    expect(await listed()).to.deep.equal(['A first', 'Coin in both gloves']);
    expect((await coach.ask(drillEndpoints.removeDrill, { drillId: one.id })).status).to.equal(204);
    expect(await listed()).to.deep.equal(['A first']);
  });

  it('name only what there is, each mistake with its place', async () => {
    const wrong: [Partial<OwnDrill>, string][] = [
      [{ trains: ['sm.nothing'] }, 'trains'],
      [{ techniques: ['tickle'] }, 'techniques'],
      [{ recipe: 'jab, tickle' }, 'recipe'],
      [{ easier: 'nowhere' }, 'easier'],
    ];
    for (const [change, field] of wrong) {
      const { status, body } = await save(drill(change));
      expect([status, (body as unknown as { fields: { field: string }[] }).fields[0]!.field]).to.deep.equal([422, field]);
    }
    const itself = drill();
    expect((await save({ ...itself, harder: itself.id })).status).to.equal(422);
    expect((await save(drill({ trains: [] }))).status).to.equal(422);
    expect((await save(drill({ on: [] }))).status).to.equal(422);
  });

  it('are taken away by whoever added them, or the head coach', async () => {
    const one = drill();
    await (await server.as('head-coach')).ask(drillEndpoints.saveDrill, { drillId: one.id }, one);
    expect((await coach.ask(drillEndpoints.removeDrill, { drillId: one.id })).status).to.equal(403);
  });
});
