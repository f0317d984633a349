import { roles, type Endpoint, type Role } from '@wax-fist/contract/endpoint';
import { endpoints } from '@wax-fist/contract/endpoints';
import { uploadPath } from '@wax-fist/contract/footage';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { startServer, type ServerUnderTest, type Visitor } from './server-under-test.ts';

/** What a stranger gets, and what nobody gets; who of the club may what is in rights.test.ts. */
describe('permission', () => {
  let server: ServerUnderTest;
  const visitors: Partial<Record<Role | 'nobody', Visitor>> = {};
  before(async () => {
    server = await startServer();
    visitors.nobody = server.visitor();
    for (const role of roles) visitors[role] = await server.as(role);
  });
  after(() => server.stop());

  for (const [name, endpoint] of Object.entries<Endpoint>(endpoints)) {
    if (name === 'signOut') continue;
    const may = endpoint.allowed === 'anyone';
    it(`nobody ${may ? 'may' : 'may not'} ${endpoint.method} ${endpoint.path}`, async () => {
      const params = Object.fromEntries([...endpoint.path.matchAll(/:(\w+)/g)].map(([, param]) => [param!, uuid()]));
      const { status, body } = await visitors.nobody!.ask(endpoint, params, endpoint.body && {});
      if (may) expect(status, JSON.stringify(body)).to.not.be.oneOf([401, 403, 500]);
      else expect(status).to.equal(401);
      if (status >= 400) expect((body as { message: string }).message).to.be.a('string').and.not.empty;
    });
  }

  for (const [who, expected] of [
    ['nobody', 401],
    ['trainee', 403],
    ['guardian', 403],
    ['assistant', 201],
    ['coach', 201],
  ] as const) {
    it(`${who} gets ${expected} for beginning an upload`, async () => {
      const headers = { 'tus-resumable': '1.0.0', 'upload-length': '10' };
      expect((await visitors[who]!.fetch(uploadPath, { method: 'POST', headers })).status).to.equal(expected);
    });
  }

  it('is not granted by an address that is not in the contract', async () => {
    const { status } = await visitors.coach!.fetch('/api/everything');
    expect(status).to.equal(404);
  });

  it('answers an id that is none as something that is not here', async () => {
    const { status, body } = await visitors.coach!.ask(endpoints.showTrainee, { traineeId: "x' or 1=1" });
    expect(status).to.equal(404);
    expect(body.message).to.include('trainee');
  });
});
