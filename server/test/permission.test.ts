import { roles, scopeOf, type Endpoint, type Role } from '@wax-fist/contract/endpoint';
import { endpoints } from '@wax-fist/contract/endpoints';
import { uploadPath } from '@wax-fist/contract/footage';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { film } from '../db/schema/index.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from './server-under-test.ts';

/** Every endpoint × everybody who may come along: the answer is never anything that a role may not have. */
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
    for (const who of ['nobody', ...roles] as const) {
      const may = scopeOf(endpoint.allowed, who === 'nobody' ? undefined : who) !== undefined;
      it(`${who} ${may ? 'may' : 'may not'} ${endpoint.method} ${endpoint.path}`, async () => {
        const params = Object.fromEntries([...endpoint.path.matchAll(/:(\w+)/g)].map(([, param]) => [param!, uuid()]));
        const { status, body } = await visitors[who]!.ask(endpoint, params, endpoint.body && {});
        if (may) expect(status, JSON.stringify(body)).to.not.be.oneOf([401, 403, 500]);
        else expect(status).to.equal(who === 'nobody' ? 401 : 403);
        if (status >= 400) expect((body as { message: string }).message).to.be.a('string').and.not.empty;
      });
    }
  }

  for (const [who, expected] of [
    ['nobody', 401],
    ['trainee', 403],
    ['coach', 201],
  ] as const) {
    it(`${who} gets ${expected} for beginning an upload`, async () => {
      const headers = { 'tus-resumable': '1.0.0', 'upload-length': '10' };
      expect((await visitors[who]!.fetch(uploadPath, { method: 'POST', headers })).status).to.equal(expected);
    });
  }

  it('to remove a film is for whoever added it, and for the head coach', async () => {
    const { sessionId } = await addScene(server);
    const { db } = server.services;
    const idOf = async (role: Role): Promise<string> => (await visitors[role]!.ask<{ id: string }>(endpoints.me)).body.id;
    const added = async (addedBy: string | null): Promise<string> => {
      const id = uuid();
      await db.insert(film).values({ id, sessionId, view: 'front', fileName: 'round.mp4', bytes: 10, addedBy });
      return id;
    };
    const status = async (role: Role, filmId: string): Promise<number> =>
      (await visitors[role]!.ask(endpoints.removeFilm, { filmId })).status;
    const [ofCoach, ofHead, ofNobody] = [
      await added(await idOf('coach')),
      await added(await idOf('head-coach')),
      await added(null),
    ];
    expect(await status('coach', ofHead)).to.equal(403);
    expect(await status('coach', ofNobody)).to.equal(403);
    expect(await status('trainee', ofCoach)).to.equal(403);
    expect(await status('coach', ofCoach)).to.equal(204);
    expect(await status('head-coach', ofNobody)).to.equal(204);
  });

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
