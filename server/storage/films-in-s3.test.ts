import { filmFileUrl, footageEndpoints } from '@wax-fist/contract/footage';
import type { Removal } from '@wax-fist/contract/removals';
import { roundEndpoints, type HitsAndRounds } from '@wax-fist/contract/rounds';
import { expect } from 'chai';
import { access, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { importFilm } from '../test/import-film.ts';
import { blows, made } from '../test/films.ts';
import { filmsFolder } from './storage.ts';
import { startS3 } from '../test/s3-store.ts';
import { addScene, startServer, type ServerUnderTest } from '../test/server-under-test.ts';
import { endRemoval } from '../features/removals/removals.ts';

describe('a club whose films lie in an S3 store', function () {
  this.timeout(90_000);
  let server: ServerUnderTest;
  let store: Awaited<ReturnType<typeof startS3>>;
  let folder: string;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-in-s3-'));
    store = await startS3(folder);
    const { endpoint, region, bucket, accessKeyId, secretAccessKey } = store.settings;
    const environment = {
      WAX_S3_ENDPOINT: endpoint,
      WAX_S3_REGION: region,
      WAX_S3_BUCKET: bucket,
      WAX_S3_KEY: accessKeyId,
      WAX_S3_SECRET: secretAccessKey,
    };
    server = await startServer({ environment });
  });
  after(async () => {
    await server.stop();
    await store.stop();
    await rm(folder, { recursive: true });
  });

  it('imports, plays from the middle, and removes one, with nothing of it on its own disk', async () => {
    const coach = await server.as('coach');
    const { sessionId } = await addScene(server);
    const original = await made(folder, 'bag.mp4', (path) => blows(5, 0, path));
    const film = await importFilm(coach, sessionId, original);
    expect(film.state, film.remark ?? '').to.equal('ready');
    expect(film.steps.map(({ state }) => state)).to.not.include('failed');
    const { body: moments } = await coach.ask<HitsAndRounds>(roundEndpoints.showHitsAndRounds, { filmId: film.id });
    expect(moments.sound).to.have.length.of.at.least(4);

    const path = filmFileUrl(film.id, 'film.mp4');
    const whole = new Uint8Array(await (await coach.fetch(path)).arrayBuffer());
    const part = await coach.fetch(path, { headers: { range: 'bytes=1000-1999' } });
    expect(part.status).to.equal(206);
    expect(part.headers.get('content-range')).to.equal(`bytes 1000-1999/${whole.length}`);
    expect(new Uint8Array(await part.arrayBuffer())).to.deep.equal(whole.slice(1000, 2000));

    const kept = async (): Promise<string[]> =>
      (await readdir(join(folder, 's3'), { recursive: true })).filter((name) => name.includes(film.id));
    expect(await kept()).to.not.deep.equal([]);
    const onDisk = join(server.services.settings.home, filmsFolder, film.id, 'film.mp4');
    expect(
      await access(onDisk).then(
        () => true,
        () => false,
      ),
    ).to.equal(false);
    const { status, body } = await coach.ask<Removal>(footageEndpoints.removeFilm, { filmId: film.id });
    expect(status).to.equal(200);
    expect((await coach.fetch(path)).status).to.equal(404);
    await endRemoval(server.services, body.id);
    expect(await kept()).to.deep.equal([]);
  });
});
