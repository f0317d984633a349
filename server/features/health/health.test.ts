import { healthEndpoints } from '@wax-fist/contract/health';
import { expect } from 'chai';
import { rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { workerSign } from '../../db/schema/index.ts';
import { filmsFolder } from '../../storage/storage.ts';
import { startServer, type ServerUnderTest } from '../../test/server-under-test.ts';

describe('health', () => {
  let server: ServerUnderTest;
  before(async () => (server = await startServer()));
  after(() => server.stop());
  const health = () => server.visitor().ask(healthEndpoints.health);

  it('is 200 when database, worker and storage are there', async () => {
    const { status, body } = await health();
    expect(status).to.equal(200);
    expect(Object.values<{ state: string }>(body).map(({ state }) => state)).to.deep.equal(['up', 'up', 'up']);
  });

  it('is 503 when no worker has spoken for a while, and says that it is the worker', async () => {
    await server.services.db.update(workerSign).set({ seenAt: new Date(Date.now() - 60_000) });
    const { status, body } = await health();
    expect(status).to.equal(503);
    expect(body.worker.state).to.equal('down');
    expect(body.database.state).to.equal('up');
    await server.services.db.update(workerSign).set({ seenAt: new Date() });
  });

  it('is 503 when nothing can be written', async () => {
    const folder = join(server.services.settings.home, filmsFolder);
    await rm(folder, { recursive: true });
    await writeFile(folder, 'a file in the way');
    const { status, body } = await health();
    expect([status, body.storage.state]).to.deep.equal([503, 'down']);
  });

  it('still answers when the database is gone', async () => {
    const lame = await startServer();
    await lame.services.pool.query(`select pg_terminate_backend(pg_backend_pid())`).catch(() => undefined);
    lame.services.pool.connect = () => Promise.reject(new Error('gone'));
    lame.services.pool.query = () => Promise.reject(new Error('gone'));
    const { status, body } = await lame.visitor().ask(healthEndpoints.health);
    expect([status, body.database.state]).to.deep.equal([503, 'down']);
    await lame.stop();
  });
});
