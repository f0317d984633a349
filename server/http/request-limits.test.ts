import { accountEndpoints } from '@wax-fist/contract/accounts';
import { reportEndpoints } from '@wax-fist/contract/reports';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import type { Response } from 'express';
import { v7 as uuid } from 'uuid';
import { startServer, type ServerUnderTest } from '../test/server-under-test.ts';
import { Refusal } from './refusal.ts';
import { requestLimits, requestLimitsIn } from './request-limits.ts';

const times = <One>(count: number, ask: () => Promise<One>): Promise<One[]> => Promise.all(Array.from({ length: count }, ask));

describe('requests that come too often', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  beforeEach(async () => (server = await startServer({ works: false, environment: { WAX_LIMITS: 'on' } })));
  afterEach(() => server.stop());

  it('for what a server works at for long are refused, with how long to wait; other requests are not, nor anybody else', async () => {
    const [one, other] = [await server.as('coach'), await server.as('head-coach')];
    // Without anybody named it is refused for that, which counts as well.
    const paper = () => one.ask(reportEndpoints.sessionReportsPdf);
    const answers = await times(requestLimits.costly.points, paper);
    expect(new Set(answers.map(({ status }) => status))).to.deep.equal(new Set([422]));
    const { status, body, headers } = await paper();
    expect(status).to.equal(429);
    expect(body)
      .to.have.property('message')
      .that.matches(/^This was asked for too often\. Wait \d+ (minutes|seconds), then go on\.$/);
    expect(Number(headers.get('retry-after'))).to.be.within(1, requestLimits.costly.duration);
    expect((await one.ask(traineeEndpoints.listTrainees)).status).to.equal(200);
    expect((await other.ask(reportEndpoints.sessionReportsPdf)).status).to.equal(422);
  });

  it('from a machine where nobody is signed in are refused, and whoever signs in there before goes on', async () => {
    const inside = await server.as('coach');
    const stranger = server.visitor();
    const ask = () => stranger.ask(accountEndpoints.me);
    const answers = await times(requestLimits.stranger.points + 20, ask);
    const refused = answers.filter(({ status }) => status === 429).length;
    // Signing in was asked for by a stranger, too.
    expect(refused).to.be.within(20, 25);
    expect((await ask()).status).to.equal(429);
    expect((await inside.ask(traineeEndpoints.listTrainees)).status).to.equal(200);
  });

  it('are counted by all servers of a club together', async () => {
    const servers = [requestLimitsIn(server.services.pool), requestLimitsIn(server.services.pool)];
    const response = { set: () => response } as unknown as Response;
    const id = uuid();
    const asked = Array.from({ length: requestLimits.costly.points }, (_, place) =>
      servers[place % 2]!.countCostly(id, response),
    );
    await Promise.all(asked);
    for (const one of servers) {
      const refusal = await one.countCostly(id, response).catch((error: unknown) => error);
      expect(refusal).to.be.instanceOf(Refusal).with.property('status', 429);
    }
  });
});
