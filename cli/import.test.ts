import type { Page } from '@wax-fist/contract/page';
import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { sessionEndpoints, type SessionRow } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { expect } from 'chai';
import { once } from 'node:events';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { v7 as uuid } from 'uuid';
import { badFilms, ffmpeg, goodFilms } from '../server/test/films.ts';
import { password, startServer, type ServerUnderTest, type Visitor } from '../server/test/server-under-test.ts';
import { runWax, startWax } from './run-wax.ts';

/** A line to a server that lets so many bytes a second through, and counts them. */
async function slowLine(to: string, bytesPerSecond: number) {
  let sent = 0;
  const ends = new Set<Socket>();
  const line = createServer((near) => {
    const far = connect(Number(new URL(to).port), '127.0.0.1');
    for (const end of [near, far]) {
      ends.add(end);
      end.on('error', () => undefined).on('close', () => (near.destroy(), far.destroy()));
    }
    far.pipe(near);
    near.on('data', (bytes: Buffer) => {
      sent += bytes.length;
      far.write(bytes);
      near.pause();
      setTimeout(() => near.resume(), (1000 * bytes.length) / bytesPerSecond);
    });
  }).listen(0, '127.0.0.1');
  await once(line, 'listening');
  return {
    url: `http://127.0.0.1:${(line.address() as AddressInfo).port}`,
    sent: () => sent,
    close: () => (ends.forEach((end) => end.destroy()), line.close()),
  };
}

describe('bin/wax import', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let folder: string;
  const traineeId = uuid();
  before(async () => {
    server = await startServer();
    coach = await server.as('coach');
    await coach.ask(
      traineeEndpoints.saveTrainee,
      { traineeId },
      { id: traineeId, name: 'Bo Lind', stance: 'southpaw', grade: 'beginner' },
    );
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-import-'));
    await goodFilms['phone.mp4']!(join(folder, 'phone.mp4'));
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });
  const signIn = (url = server.base): NodeJS.ProcessEnv => ({
    WAX_URL: url,
    WAX_EMAIL: 'coach@club.example',
    WAX_PASSWORD: password,
    XDG_STATE_HOME: folder,
  });
  const importing = (...words: string[]) => runWax(folder, ['import', '--trainee', 'bo', ...words], signIn());
  const sessions = async (): Promise<SessionRow[]> =>
    (await coach.ask<Page<SessionRow>>(sessionEndpoints.listSessions, { traineeId })).body.rows;

  it('makes the day’s session, sends the film, and waits until it can be reviewed', async () => {
    const run = await importing(
      '--session',
      '2026-03-04',
      '--view',
      'front',
      '--kind',
      'focus mitts',
      '--rung',
      '4',
      'phone.mp4',
    );
    expect(run.code, run.said).to.equal(0);
    const [session] = await sessions();
    expect(session).to.deep.include({ heldOn: '2026-03-04', roundKind: 'focus mitts', rung: 4, films: 1 });
    const filmId = run.out.split('\t')[0]!;
    const { body } = await coach.ask<Film>(footageEndpoints.showFilm, { filmId });
    expect(body).to.deep.include({ state: 'ready', view: 'front', fileName: 'phone.mp4', sessionId: session!.id });
    expect(run.said)
      .to.match(/phone\.mp4: sent/)
      .and.match(/can be reviewed/);
  });

  it('does not send what is here already, unless told to', async () => {
    const known = await importing('--session', '2026-03-04', 'phone.mp4');
    expect(known.code).to.equal(0);
    expect(known.said).to.match(/is here already \(Bo Lind, 2026-03-04, front\)/);
    expect((await sessions())[0]!.films).to.equal(1);
    expect((await importing('--session', '2026-03-04', '--again', '--no-wait', 'phone.mp4')).code).to.equal(0);
    expect((await sessions())[0]!.films).to.equal(2);
  });

  it('one broken file does not hold the others up, and is told with its reason', async () => {
    await badFilms['text.mp4']!.make(join(folder, 'letter.mp4'));
    await goodFilms['old.avi']!(join(folder, 'old.avi'));
    const run = await importing('--session', '2026-03-05', 'letter.mp4', 'no-such.mp4', 'old.avi');
    expect(run.code, run.said).to.equal(1);
    expect(run.said)
      .to.match(/letter\.mp4: This is not a video/)
      .and.match(/no-such\.mp4: There is no such file/);
    expect(run.out).to.match(/^[\w-]+\t.*old\.avi\n$/);
  });

  it('a wrong password, and a server that is away, are told', async () => {
    const words = ['import', '--trainee', 'bo', 'phone.mp4'];
    const wrong = await runWax(folder, words, { ...signIn(), WAX_PASSWORD: 'wrong' });
    expect(wrong.code).to.equal(1);
    expect(wrong.said).to.match(/password/i);
    const away = await runWax(folder, words, signIn('http://127.0.0.1:9'));
    expect(away.said).to.match(/No server answers at http:\/\/127.0.0.1:9/);
  });

  it('killed in the middle of a film, it goes on where it stopped', async () => {
    const big = join(folder, 'big.avi');
    await ffmpeg('-f', 'lavfi', '-i', 'testsrc2=s=640x480:r=30:d=3', '-c:v', 'rawvideo', '-pix_fmt', 'yuv420p', big);
    const { size } = await stat(big);
    const words = ['import', '--trainee', 'bo', '--session', '2026-03-06', 'big.avi'];
    const line = await slowLine(server.base, 24e6);
    const first = startWax(folder, words, signIn(line.url));
    while (line.sent() < size / 2) await wait(20);
    first.child.kill('SIGKILL');
    await first.ended;
    const before = line.sent();
    expect(before).to.be.below(size);
    const second = await runWax(folder, words, signIn(line.url));
    line.close();
    expect(second.code, second.said).to.equal(0);
    // What went over the line the second time is the rest, and a little talk.
    expect(line.sent() - before).to.be.below(size * 0.75);
    const filmId = second.out.split('\t')[0]!;
    expect((await coach.ask<Film>(footageEndpoints.showFilm, { filmId })).body).to.deep.include({ state: 'ready', bytes: size });
  });
});
