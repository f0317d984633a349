import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { accountEndpoints } from '@wax-fist/contract/accounts';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { Pool } from 'pg';
import { account } from '../db/schema/index.ts';
import { eventually } from './eventually.ts';
import { addScene, password, startServer, type ServerUnderTest } from './server-under-test.ts';

describe('a database that goes away', () => {
  let server: ServerUnderTest;
  before(async () => (server = await startServer()));
  after(() => server.stop());

  it('costs the requests that are under way, and no process: the next ones are answered', async () => {
    const coach = await server.as('coach');
    const { pool, settings } = server.services;
    const other = new Pool({ connectionString: settings.databaseUrl, max: 1 });
    const asking = pool.query('select pg_sleep(20)').then(
      () => 'it slept',
      () => 'it broke off',
    );
    await eventually(
      'the long query',
      () => other.query<{ count: string }>("select count(*) from pg_stat_activity where query = 'select pg_sleep(20)'"),
      ({ rows }) => Number(rows[0]!.count) > 0,
    );
    await other.query(
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
    );
    expect(await asking).to.equal('it broke off');
    await eventually(
      'an answer',
      () => coach.ask(traineeEndpoints.listTrainees),
      ({ status }) => status === 200,
    );
    await other.end();
  });

  it('is told as what passes, so that pages try again by themselves', async () => {
    const away = await startServer({ works: false });
    const coach = await away.as('coach');
    const { pool } = away.services;
    const connectAsBefore = pool.connect.bind(pool);
    const query = pool.query.bind(pool);
    const gone = (): Promise<never> => Promise.reject(Object.assign(new Error('connect ECONNREFUSED'), { code: 'ECONNREFUSED' }));
    Object.assign(pool, { connect: gone, query: gone });
    const answer = await coach.ask<{ message: string }>(traineeEndpoints.listTrainees);
    Object.assign(pool, { connect: connectAsBefore, query });
    expect([answer.status, answer.body.message]).to.deep.equal([503, answer.body.message]);
    expect(answer.body.message).to.include('away for a moment');
    await away.stop();
  });
});

describe('whoever has signed in', () => {
  let server: ServerUnderTest;
  before(async () => (server = await startServer({ works: false })));
  after(() => server.stop());

  it('and is removed, or is no coach any more, may nothing from then on', async () => {
    const { db } = server.services;
    const { sessionId } = await addScene(server);
    const [coach, head] = [await server.as('coach'), await server.as('head-coach')];
    const status = async (who: typeof coach): Promise<number> =>
      (await who.ask(sessionEndpoints.showSession, { sessionId })).status;
    expect([await status(coach), await status(head)]).to.deep.equal([200, 200]);
    await db.update(account).set({ role: 'trainee' }).where(eq(account.email, 'coach@club.example'));
    await db.delete(account).where(eq(account.email, 'head-coach@club.example'));
    expect([await status(coach), await status(head)]).to.deep.equal([403, 401]);
    expect((await coach.ask<{ role: string }>(accountEndpoints.me)).body.role).to.equal('trainee');
  });

  it('writes no row by looking', async () => {
    const visitor = await server.as('trainee');
    const { pool } = server.services;
    const seen = async () =>
      (await pool.query<{ expire: Date }>('select expire from sign_in order by sid')).rows.map(({ expire }) => expire.getTime());
    const before = await seen();
    await new Promise((resolve) => setTimeout(resolve, 1100));
    await visitor.ask(accountEndpoints.me);
    expect(await seen()).to.deep.equal(before);
  });
});

describe('signing in through a proxy', () => {
  const wrongly = async (server: ServerUnderTest, email: string, machine: string, word = 'wrong'): Promise<number> =>
    (await server.visitor().ask(accountEndpoints.signIn, {}, { email, password: word }, { 'x-forwarded-for': machine })).status;

  it('a stranger elsewhere locks nobody out who has signed in here before', async () => {
    const server = await startServer({ works: false, environment: { WAX_TRUST_PROXY: '1' } });
    const email = 'coach@club.example';
    expect(await wrongly(server, email, '10.0.0.1', password)).to.equal(200);
    for (let guess = 0; guess < 62; guess++) await wrongly(server, email, `10.1.0.${guess}`);
    expect(await wrongly(server, email, '10.2.0.1', password), 'from where nobody ever signed in').to.equal(429);
    expect(await wrongly(server, email, '10.0.0.1', password), 'from where the coach always does').to.equal(200);
    await server.stop();
  });

  it('whose word is not taken, counts as one machine with all that come through it', async () => {
    const server = await startServer({ works: false });
    for (let guess = 0; guess < 10; guess++) await wrongly(server, 'trainee@club.example', `10.3.0.${guess}`);
    expect(await wrongly(server, 'trainee@club.example', '10.3.9.9', password)).to.equal(429);
    await server.stop();
  });
});
