import {
  filmFileUrl,
  footageEndpoints,
  uploadPath,
  type Film,
  type ImportStep,
  type KnownFilm,
} from '@wax-fist/contract/footage';
import type { Removal } from '@wax-fist/contract/removals';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { unpackTimeline } from '@wax-fist/core/film';
import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtemp, readFile, rename, rm, statfs, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { v7 as uuid } from 'uuid';
import { film as filmTable, filmHits, round } from '../../db/schema/index.ts';
import { workOnFilm } from '../../jobs/work-on-film.ts';
import { badFilms, brokenOff, ffmpeg, goodFilms, made, oddFilms, timesShown } from '../../test/films.ts';
import { thrown } from '../../test/marks.ts';
import { isDeadlock } from '../../db/take-turns.ts';
import { eventually } from '../../test/eventually.ts';
import { endRemoval } from '../removals/removals.ts';
import { addScene, startServer, type Answer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

const tus = { 'tus-resumable': '1.0.0' };
const chunk = { ...tus, 'content-type': 'application/offset+octet-stream' };

describe('footage', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let sessionId: string;
  let folder: string;
  before(async () => {
    server = await startServer();
    coach = await server.as('coach');
    ({ sessionId } = await addScene(server));
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-films-'));
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });

  async function begin(length: number): Promise<string> {
    const begun = await coach.fetch(uploadPath, { method: 'POST', headers: { ...tus, 'upload-length': String(length) } });
    return begun.headers.get('location')!;
  }
  const patch = (location: string, offset: number, bytes: Uint8Array) =>
    coach.fetch(location, {
      method: 'PATCH',
      headers: { ...chunk, 'upload-offset': String(offset) },
      body: new Uint8Array(bytes),
    });
  async function upload(bytes: Uint8Array): Promise<string> {
    const location = await begin(bytes.length);
    if (bytes.length > 0) expect((await patch(location, 0, bytes)).status).to.equal(204);
    return location.split('/').at(-1)!;
  }
  const add = (uploadId: string, fileName: string, id = uuid(), into = sessionId) =>
    coach.ask<Film>(footageEndpoints.addFilm, { filmId: id }, { id, sessionId: into, uploadId, fileName, view: 'front' });

  /** Waits, by asking, until the import has come to an end. */
  const show = async (filmId: string): Promise<Film> => (await coach.ask<Film>(footageEndpoints.showFilm, { filmId })).body;
  /** Waits, by asking, until the review copy is there or never will be. */
  const settled = (filmId: string): Promise<Film> =>
    eventually(
      'a film that can be reviewed',
      () => show(filmId),
      ({ state }) => state === 'ready' || state === 'failed',
    );
  /** Waits until every step has come to an end. */
  const wholly = (filmId: string): Promise<Film> =>
    eventually(
      'every step',
      () => show(filmId),
      ({ steps }) => !steps.some(({ state }) => state === 'waiting' || state === 'working'),
    );
  /** Into a session of its own: films of one session are held against each other by their sound. */
  async function imported(path: string, fileName: string): Promise<Film> {
    const scene = await addScene(server);
    const { body } = await add(await upload(await readFile(path)), fileName, uuid(), scene.sessionId);
    return settled(body.id);
  }

  for (const [name, make] of Object.entries(goodFilms)) {
    it(`${name} is worked in with every frame at its own time`, async () => {
      const path = await made(folder, name, make);
      const film = await imported(path, name);
      expect(film.state, film.remark ?? '').to.equal('ready');
      const { body } = await coach.ask<ArrayBuffer>(footageEndpoints.filmTimeline, { filmId: film.id });
      const timeline = [...unpackTimeline(new Uint8Array(body))];
      const source = await timesShown(path);
      expect(timeline).to.have.length(source.length);
      timeline.forEach((time, frame) => {
        // Of a frame without a time of its own, only the order is known.
        if (Number.isFinite(source[frame])) expect(time, `frame ${frame}`).to.be.closeTo(source[frame]! - source[0]!, 1.01);
      });
      expect(film.frames).to.equal(source.length);
      expect(film.width! % 2).to.equal(0);
    });
  }

  it('portrait.mp4 stands upright', async () => {
    const film = await imported(await made(folder, 'portrait.mp4', goodFilms['portrait.mp4']!), 'portrait.mp4');
    expect([film.width, film.height]).to.deep.equal([240, 320]);
  });

  for (const [name, { make, ...odd }] of Object.entries(oddFilms)) {
    it(`${name} is odd, and worked in as it is meant`, async () => {
      const film = await wholly((await imported(await made(folder, name, make), name)).id);
      expect(film.state, film.remark ?? '').to.equal('ready');
      expect(film.steps.filter(({ state }) => state === 'failed')).to.deep.equal([]);
      if (odd.remark) expect(film.remark).to.match(odd.remark);
      else expect(film.remark).to.equal(null);
      if (odd.size) expect([film.width, film.height]).to.deep.equal(odd.size);
      if (odd.hasSound !== undefined) expect(film.hasSound).to.equal(odd.hasSound);
      const [least, most] = [odd.frames ?? 0].flat();
      if (odd.frames) expect(film.frames).to.be.within(least!, most ?? least!);
      if (!film.hasSound) return;
      const { body } = await coach.ask<ArrayBuffer>(footageEndpoints.filmLoudness, { filmId: film.id });
      if (odd.hasSound) expect(Math.max(...new Uint8Array(body)), 'it is heard').to.be.above(40);
    });
  }

  it('bright.mp4, a high dynamic range, is as bright as it was meant', async () => {
    const film = await imported(await made(folder, 'bright-again.mp4', oddFilms['bright.mp4']!.make), 'bright-again.mp4');
    const { body } = await coach.ask<ArrayBuffer>(footageEndpoints.filmFile, { filmId: film.id, file: 'film.mp4' });
    const copy = join(folder, 'bright-copy.mp4');
    await writeFile(copy, new Uint8Array(body));
    const { stdout } = await promisify(execFile)(
      'ffmpeg',
      ['-v', 'error', '-i', copy, '-frames:v', '1', '-vf', 'scale=1:1', '-f', 'rawvideo', '-pix_fmt', 'gray', '-'],
      { encoding: 'buffer' },
    );
    // Half of the code range of this curve is the white of a page, and not grey.
    expect(stdout[0]).to.be.above(150);
  });

  for (const [name, { make, reason }] of Object.entries(badFilms)) {
    it(`${name} is refused with a reason`, async () => {
      const film = await imported(await made(folder, name, make), name);
      expect(film.state).to.equal('failed');
      expect(film.remark).to.match(reason);
      expect((await coach.ask(footageEndpoints.filmFile, { filmId: film.id, file: 'film.mp4' })).status).to.equal(404);
    });
  }

  it('a film that breaks off is used as far as it goes, and says so', async () => {
    const film = await imported(await made(folder, 'broken-off.mp4', brokenOff), 'broken-off.mp4');
    expect(film.state).to.equal('ready');
    expect(film.remark).to.include('ends early');
    expect(film.frames).to.be.within(10, 170);
  });

  it('a film that there is no room for is refused before it is sent, and so is one that is too large', async () => {
    const full = await startServer({ works: false, environment: { WAX_SPARE_GB: '1000000' } });
    const begun = (at: Visitor, bytes: number) =>
      at.fetch(uploadPath, { method: 'POST', headers: { ...tus, 'upload-length': String(bytes) } });
    const answer = await begun(await full.as('coach'), 1000);
    expect(answer.status).to.equal(507);
    expect(await answer.text()).to.match(/no room for this film.*Nothing was sent/);
    await full.stop();
    expect((await begun(coach, 9 * 1024 ** 3)).status).to.equal(413);
  });

  it('an upload is for whoever began it, and for our own pages', async () => {
    const location = await begin(10);
    const other = await server.as('head-coach');
    expect((await other.fetch(location, { method: 'HEAD', headers: tus })).status).to.equal(404);
    const stolen = await other.fetch(location, {
      method: 'PATCH',
      headers: { ...chunk, 'upload-offset': '0' },
      body: new Uint8Array(10),
    });
    expect(stolen.status).to.equal(404);
    const asked = await coach.fetch(location, { method: 'HEAD', headers: { ...tus, origin: server.base } });
    expect([asked.status, asked.headers.get('upload-offset')]).to.deep.equal([200, '0']);
    expect([...asked.headers.keys()].filter((name) => name.startsWith('access-control'))).to.deep.equal([]);
  });

  it('room that was promised to other uploads is not promised again', async () => {
    const { bavail, bsize } = await statfs(server.services.settings.home);
    const half = Math.floor((bavail * bsize) / 1e9 / 2);
    const tight = await startServer({ works: false, environment: { WAX_SPARE_GB: String(half) } });
    const sender = await tight.as('coach');
    // Each of these would fit by itself, both together do not.
    const bytes = Math.floor(Math.min(7.9 * 1024 ** 3, (bavail * bsize - half * 1e9) / 1.5 / 1.6));
    const statuses: number[] = [];
    for (let one = 0; one < 60 && !statuses.includes(507); one++)
      statuses.push(
        (await sender.fetch(uploadPath, { method: 'POST', headers: { ...tus, 'upload-length': String(bytes) } })).status,
      );
    await tight.stop();
    expect(statuses[0]).to.equal(201);
    expect(statuses.at(-1)).to.equal(507);
  });

  it('a name that is too long or cannot be kept is refused where it stands', async () => {
    for (const fileName of ['a'.repeat(300), 'round\0.mp4', '   ']) {
      const { status, body } = await add(uuid(), fileName);
      expect([status, (body as unknown as { fields: { field: string }[] }).fields[0]!.field], fileName).to.deep.equal([
        422,
        'fileName',
      ]);
    }
  });

  it('an empty file is refused at once', async () => {
    const { status, body } = await add(await upload(new Uint8Array(0)), 'empty.mp4');
    expect(status).to.equal(422);
    expect((body as unknown as { message: string }).message).to.include('0 bytes');
  });

  it('an upload goes on where it stopped', async () => {
    const path = await made(folder, 'resumed.mp4', goodFilms['phone.mp4']!);
    const bytes = await readFile(path);
    const half = bytes.length >> 1;
    const location = await begin(bytes.length);
    await patch(location, 0, bytes.subarray(0, half));
    const uploadId = location.split('/').at(-1)!;
    expect((await add(uploadId, 'resumed.mp4')).status).to.equal(409);
    const asked = await coach.fetch(location, { method: 'HEAD', headers: tus });
    expect(Number(asked.headers.get('upload-offset'))).to.equal(half);
    expect((await patch(location, 0, bytes)).status).to.equal(409);
    expect((await patch(location, half, bytes.subarray(half))).status).to.equal(204);
    const { body } = await add(uploadId, 'resumed.mp4');
    expect((await settled(body.id)).state).to.equal('ready');
  });

  it('the original is kept untouched, and known by its hash', async () => {
    const path = await made(folder, 'kept.mp4', goodFilms['phone.mp4']!);
    const film = await imported(path, 'kept.mp4');
    const sum = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');
    const kept = await readFile(await server.services.storage.bring(film.id, 'original'));
    expect(sum(kept)).to.equal(sum(await readFile(path)));
    const known = await coach.ask<KnownFilm[]>(footageEndpoints.filmsKnownBy, { sha256: sum(kept) });
    expect(known.body.map(({ filmId }) => filmId)).to.include(film.id);
    expect(known.body[0]).to.include({ traineeName: 'Somebody', heldOn: '2026-03-01' });
    expect((await coach.ask(footageEndpoints.filmsKnownBy, { sha256: sum(Buffer.from('another')) })).body).to.deep.equal([]);
  });

  it('a film is known from the moment it is handed over, when its sender says what it is', async () => {
    const idle = await startServer({ works: false });
    const sender = await idle.as('coach');
    const scene = await addScene(idle);
    const bytes = Buffer.from('the bytes of a film');
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const begun = await sender.fetch(uploadPath, { method: 'POST', headers: { ...tus, 'upload-length': String(bytes.length) } });
    const location = begun.headers.get('location')!;
    await sender.fetch(location, { method: 'PATCH', headers: { ...chunk, 'upload-offset': '0' }, body: new Uint8Array(bytes) });
    const uploadId = location.split('/').at(-1)!;
    const draft = { id: uuid(), sessionId: scene.sessionId, uploadId, fileName: 'again.mp4', view: 'front' };
    const addAs = (said: string) => sender.ask(footageEndpoints.addFilm, { filmId: draft.id }, { ...draft, sha256: said });
    expect((await addAs('nothing of the kind')).status).to.equal(422);
    expect((await addAs(sha256)).status).to.equal(200);
    const known = await sender.ask<KnownFilm[]>(footageEndpoints.filmsKnownBy, { sha256 });
    expect(known.body.map(({ filmId }) => filmId)).to.deep.equal([draft.id]);
    await idle.stop();
  });

  it('a disk that is full in the middle of a film is told so, and what was sent goes on from there', async () => {
    const bytes = await readFile(await made(folder, 'full.mp4', goodFilms['phone.mp4']!));
    const location = await begin(bytes.length);
    const file = join(server.services.settings.home, 'uploads', location.split('/').at(-1)!);
    // A place where every byte that is written finds no room.
    await rename(file, `${file}-aside`);
    await symlink('/dev/full', file);
    const refused = await patch(location, 0, bytes);
    expect([refused.status, await refused.text()]).to.satisfy(
      ([status, said]: [number, string]) => status === 507 && said.includes('disk of the server is full'),
    );
    await rename(`${file}-aside`, file);
    expect((await patch(location, 0, bytes)).status).to.equal(204);
    expect((await add(location.split('/').at(-1)!, 'full.mp4')).status).to.equal(200);
  });

  it('an upload whose film cannot be entered lies where it was, and makes a film when it can', async () => {
    const { db } = server.services;
    const bytes = await readFile(await made(folder, 'later.mp4', goodFilms['phone.mp4']!));
    const uploadId = await upload(bytes);
    await db.execute(sql`alter table film add constraint not_now check (file_name <> 'later.mp4')`);
    expect((await add(uploadId, 'later.mp4')).status).to.equal(500);
    await db.execute(sql`alter table film drop constraint not_now`);
    // Whoever chooses the file anew asks with another id.
    const added = await add(uploadId, 'later.mp4');
    expect(added.status).to.equal(200);
    expect((await settled(added.body.id)).state).to.equal('ready');
  });

  it('asking twice for the same film makes one', async () => {
    const uploadId = await upload(await readFile(await made(folder, 'twice.mp4', goodFilms['tiny.mp4']!)));
    const id = uuid();
    const answers = [await add(uploadId, 'twice.mp4', id), await add(uploadId, 'twice.mp4', id)];
    expect(answers.map(({ status }) => status)).to.deep.equal([200, 200]);
    expect((await settled(id)).state).to.equal('ready');
  });

  it('an upload that nobody made is no film', async () => {
    expect((await add('0123456789abcdef', 'ghost.mp4')).status).to.equal(409);
  });

  it('films are sent by range, and only to who is signed in', async () => {
    const film = await imported(await made(folder, 'range.mp4', goodFilms['phone.mp4']!), 'range.mp4');
    await wholly(film.id);
    const path = filmFileUrl(film.id, 'film.mp4');
    const part = await coach.fetch(path, { headers: { range: 'bytes=4-7' } });
    expect(part.status).to.equal(206);
    expect(await part.text()).to.equal('ftyp');
    expect(part.headers.get('cache-control')).to.match(/private/);
    expect((await coach.fetch(path, { headers: { range: 'bytes=99999999-' } })).status).to.equal(416);
    expect((await coach.fetch(path, { method: 'HEAD' })).headers.get('content-length')).to.match(/^[1-9]\d+$/);
    expect((await server.visitor().fetch(path)).status).to.equal(401);
    const strip = await coach.fetch(filmFileUrl(film.id, 'strip.jpg'));
    expect(strip.headers.get('content-type')).to.equal('image/jpeg');
    for (const other of ['original', 'passwords', '..%2F..%2Fcookie-secret'])
      expect((await coach.fetch(`/api/films/${film.id}/files/${other}`)).status, other).to.equal(404);
  });

  it('loudness begins with the first frame and follows the sound', async () => {
    const make = (path: string) =>
      ffmpeg(
        '-f',
        'lavfi',
        '-i',
        'testsrc2=s=160x120:r=30:d=3',
        '-f',
        'lavfi',
        '-i',
        "aevalsrc='0.5*sin(6000*t)*between(t,1,1.5)':d=3:s=48000",
        '-c:v',
        'libx264',
        '-pix_fmt',
        'yuv420p',
        '-c:a',
        'aac',
        path,
      );
    const film = await imported(await made(folder, 'beep.mp4', make), 'beep.mp4');
    await wholly(film.id);
    const { body } = await coach.ask<ArrayBuffer>(footageEndpoints.filmLoudness, { filmId: film.id });
    const loudness = new Uint8Array(body);
    const loud = [...loudness.keys()].filter((step) => loudness[step]! > 150);
    expect(loud[0]).to.be.within(97, 103);
    expect(loud.at(-1)).to.be.within(147, 153);
  });

  it('a failed import can be tried again, a good one cannot', async () => {
    const bad = await imported(await made(folder, 'again.mp4', badFilms['text.mp4']!.make), 'again.mp4');
    expect((await coach.ask<Film>(footageEndpoints.retryFilm, { filmId: bad.id })).status).to.equal(200);
    expect((await settled(bad.id)).state).to.equal('failed');
    const good = await imported(await made(folder, 'good.mp4', goodFilms['tiny.mp4']!), 'good.mp4');
    expect((await coach.ask(footageEndpoints.retryFilm, { filmId: good.id })).status).to.equal(409);
  });

  it('view and “done” can be changed, each by itself', async () => {
    const film = await imported(await made(folder, 'view.mp4', goodFilms['tiny.mp4']!), 'view.mp4');
    const change = (body: object) => coach.ask<Film>(footageEndpoints.changeFilm, { filmId: film.id }, body);
    expect((await change({ view: 'rear-side' })).body).to.include({ view: 'rear-side', done: false });
    expect((await change({ done: true })).body).to.include({ view: 'rear-side', done: true });
    expect((await change({ view: 'from above' })).status).to.equal(422);
    // Strikes are told apart by networks for each side: they are named anew.
    await wholly(film.id);
    const stepNow = (changed: Film, name: ImportStep) => changed.steps.find(({ step }) => step === name)!.state;
    expect(stepNow((await change({ done: false })).body, 'strikes')).to.equal('done');
    expect(stepNow((await change({ view: 'front' })).body, 'strikes')).to.not.equal('done');
    await wholly(film.id);
    expect(stepNow((await change({ done: true })).body, 'strikes')).to.equal('done');
  });

  it('a film is removed while its import is at work on it, and nothing of it comes back', async () => {
    const film = await imported(await made(folder, 'busy.mp4', goodFilms['phone.mp4']!), 'busy.mp4');
    await wholly(film.id);
    const { db, storage } = server.services;
    let removed: Promise<Answer<Removal>> | undefined;
    // It holds a part of the film and wants the film, as a step of the import does: a ring that somebody has to leave.
    await db
      .transaction(async (tx) => {
        await tx.update(filmHits).set({ rings: [] }).where(eq(filmHits.filmId, film.id));
        removed = coach.ask<Removal>(footageEndpoints.removeFilm, { filmId: film.id });
        await eventually(
          'removing waits',
          async () =>
            (await db.execute<{ waits: number }>(sql`select count(*)::int as waits from pg_locks where not granted`)).rows[0]!
              .waits,
          (waits) => waits > 0,
        );
        await tx.insert(round).values({
          ...{ id: uuid(), filmId: film.id, name: 'Late', startsAt: 1e6, endsAt: 1e6 + 1 },
          ...{ kind: 'heavy bag', manner: 'free', proposed: true },
        });
      })
      .catch((error: unknown) => {
        // PostgreSQL ends whoever notices the ring. That is the one who removes, unless it has waited long before there was a ring.
        if (!isDeadlock(error)) throw error;
      });
    const { status, body } = await removed!;
    expect(status).to.equal(200);
    // As long as it can be put back its bytes stay, whoever was at work.
    await workOnFilm({ db, storage, home: folder, worker: 'late' }, film.id, 'rest');
    expect(await storage.bytes(film.id, 'original')).to.be.above(0);
    await endRemoval(server.services, body.id);
    expect(await storage.bytes(film.id, 'original')).to.equal(undefined);
    // A worker that had begun before puts something in, and takes it away again.
    const late = await made(folder, 'late.mp4', goodFilms['phone.mp4']!);
    await storage.keep(late, film.id, 'film.mp4');
    await workOnFilm({ db, storage, home: folder, worker: 'late' }, film.id, 'rest');
    expect(await storage.bytes(film.id, 'film.mp4')).to.equal(undefined);
  });

  it('a film with marks is removed by a coach, and not by an assistant who added it', async () => {
    const film = await imported(await made(folder, 'gone.mp4', goodFilms['phone.mp4']!), 'gone.mp4');
    const strike = thrown(uuid(), { launchFrame: 1, contactFrame: 2, homeFrame: 3 });
    const log = (entries: unknown[]) => coach.ask(reviewEndpoints.writeMarks, { filmId: film.id }, { marks: entries });
    await log([strike]);
    const { db } = server.services;
    const addedBy = (role: 'assistant' | 'coach') =>
      db
        .update(filmTable)
        .set({ addedBy: server.accountId(role) })
        .where(eq(filmTable.id, film.id));
    await addedBy('assistant');
    const assistant = await server.as('assistant');
    expect((await assistant.ask(footageEndpoints.removeFilm, { filmId: film.id })).status).to.equal(409);
    await addedBy('coach');
    expect((await coach.ask(footageEndpoints.removeFilm, { filmId: film.id })).status).to.equal(200);
    expect((await coach.ask(footageEndpoints.showFilm, { filmId: film.id })).status).to.equal(404);
  });
});
