import { reviewEndpoints } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { observation, trainee } from '../server/db/schema/index.ts';
import { roundOfMarks } from '../server/test/marks.ts';
import { readPdf } from '../server/test/read-pdf.ts';
import { addScene, password, startServer, type ClubScene, type ServerUnderTest } from '../server/test/server-under-test.ts';
import { runWax } from './run-wax.ts';

describe('bin/wax export, read and report', function () {
  this.timeout(120_000);
  let folder: string;
  let server: ServerUnderTest;
  let other: ServerUnderTest;
  let scene: ClubScene;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-cli-along-'));
    [server, other] = [await startServer({ works: false }), await startServer({ works: false, elsewhere: true })];
    scene = await addScene(server);
    const coach = await server.as('coach');
    const marks = roundOfMarks(['fault', 'clean', 'clean']);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
  });
  after(async () => {
    await Promise.all([server.stop(), other.stop()]);
    await rm(folder, { recursive: true });
  });
  const at = (club: ServerUnderTest, role = 'head-coach') => ({
    WAX_URL: club.base,
    WAX_EMAIL: `${role}@club.example`,
    WAX_PASSWORD: password,
    XDG_STATE_HOME: folder,
  });
  const wax = (words: string[], club = server) => runWax(folder, words, at(club));

  it('take a trainee’s tables, annotations and days along', async () => {
    for (const [format, says] of [
      ['csv', 'Return line'],
      ['rates', '90% from'],
      ['jsonld', 'AnnotationPage'],
      ['ics', 'BEGIN:VCALENDAR'],
    ] as const) {
      const out = join(folder, `taken.${format}`);
      const { code, said } = await wax(['export', '--trainee', 'somebody', '--format', format, '--out', out]);
      expect([code, said], format).to.deep.equal([0, '']);
      expect(await readFile(out, 'utf8')).to.include(says);
    }
  });

  it('put timed text beside the films of a session, under their names', async () => {
    const wish = ['--trainee', 'somebody', '--session', '2026-03-01', '--out', folder];
    const { out } = await wax(['export', '--format', 'vtt', ...wish]);
    expect(out.trim()).to.equal(join(folder, 'round.vtt'));
    expect(await readFile(join(folder, 'round.vtt'), 'utf8')).to.match(/^WEBVTT/);
    const without = await wax(['export', '--format', 'srt', '--trainee', 'somebody', '--out', folder]);
    expect([without.code, without.said.includes('--session')]).to.deep.equal([1, true]);
  });

  it('look through an archive, read it into another club, and say what is refused and why', async () => {
    const out = join(folder, 'somebody.zip');
    expect((await wax(['export', '--trainee', 'somebody', '--format', 'archive', '--out', out])).code).to.equal(0);
    const looked = await wax(['read', out, '--dry-run'], other);
    expect(looked.out).to.match(/^observation\t3\t0\t0\t0$/m);
    expect(await other.services.db.select().from(observation)).to.deep.equal([]);
    const read = await wax(['read', out], other);
    expect([read.code, read.out]).to.deep.equal([0, looked.out]);
    expect(await other.services.db.select().from(observation)).to.have.length(3);
    await other.services.db.update(trainee).set({ name: 'Else' });
    const again = await wax(['read', out, '--dry-run'], other);
    expect(again.out).to.match(/^trainee\t0\t0\t0\t1$/m);
    expect(again.said).to.include('differs (name)');
    const broken = join(folder, 'broken.zip');
    await writeFile(broken, (await readFile(out)).subarray(0, 2000));
    const refused = await wax(['read', broken], other);
    expect([refused.code, refused.said.includes('cut short')]).to.deep.equal([1, true]);
  });

  it('read a table of marks into a film, and name the rows that they cannot read', async () => {
    const file = join(folder, 'marks.csv');
    await writeFile(file, 'time,technique,checkpoint,verdict\n2.5,cross,Return line,fault\nnever,jab,,\n');
    const { db } = server.services;
    const before = await db.select().from(observation);
    const looked = await wax(['read', file, '--film', scene.filmId, '--dry-run']);
    expect(looked.out).to.equal('1 strike\t1 verdict\t1 not taken\n');
    expect(looked.said).to.include('marks.csv:3: “never” is no time.');
    expect(await db.select().from(observation)).to.have.length(before.length);
    expect((await wax(['read', file, '--film', scene.filmId])).code).to.equal(0);
    expect(await db.select().from(observation)).to.have.length(before.length + 1);
    expect((await wax(['read', file])).said).to.include('--film');
    await writeFile(file, 'when,who\n1,2\n');
    expect((await wax(['read', file, '--film', scene.filmId])).said).to.include('no column is called “contact” or “technique”');
  });

  it('write reports as PDFs', async () => {
    const out = join(folder, 'report.pdf');
    const of = ['report', '--trainee', 'somebody', '--out', out];
    expect((await wax([...of, '--session', '2026-03-01'])).code).to.equal(0);
    expect((await readPdf(await readFile(out))).text).to.include('Session report');
    expect((await wax([...of, '--from', '2026-02-01', '--to', '2026-04-01', '--paper', 'letter'])).code).to.equal(0);
    expect((await readPdf(await readFile(out))).size).to.include('letter');
    expect((await wax(of)).said).to.include('Say of what');
    expect((await wax([...of, '--cards'])).said).to.include('No correction is open.');
  });
});
