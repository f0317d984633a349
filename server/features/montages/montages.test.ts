import { correctionEndpoints } from '@wax-fist/contract/corrections';
import type { Film } from '@wax-fist/contract/footage';
import { montageEndpoints, type Montage, type MontageFilm, type MontageKind } from '@wax-fist/contract/montages';
import { reviewEndpoints } from '@wax-fist/contract/review';
import type { Verdict } from '@wax-fist/core/review';
import { expect } from 'chai';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { pictureSize, shownTimes } from '../../media/inspect.ts';
import { eventually } from '../../test/eventually.ts';
import { ffmpeg, phoneRate } from '../../test/films.ts';
import { importFilm } from '../../test/import-film.ts';
import { observed, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('a montage', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let folder: string;
  let then: ClubScene;
  let now: ClubScene;
  const about = { technique: 'jab', checkpointId: 'gd.return-line' };
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-montage-'));
    server = await startServer();
    coach = await server.as('coach');
    const person = uuid();
    then = await addScene(server, '2026-03-01', 3, person);
    now = await addScene(server, '2026-03-08', 3, person);
    const path = join(folder, 'round.mp4');
    const pattern = ['-f', 'lavfi', '-i', 'testsrc2=s=320x240:r=30:d=4', '-vf', phoneRate];
    await ffmpeg(
      ...pattern,
      '-fps_mode',
      'passthrough',
      '-enc_time_base',
      '1:90000',
      '-c:v',
      'libx264',
      '-pix_fmt',
      'yuv420p',
      path,
    );
    await judged(await importFilm(coach, then.sessionId, path), ['fault', 'fault', 'clean']);
    await judged(await importFilm(coach, now.sessionId, path), ['clean', 'fault', 'clean', 'watch']);
    const id = uuid();
    const draft = { ...about, cue: 'Touch: “home”', target: 0.15, topRung: 6, recheckOn: null };
    await coach.ask(correctionEndpoints.openCorrection, { correctionId: id }, { id, sessionId: then.sessionId, ...draft });
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });
  const judged = (film: Film, verdicts: readonly Verdict[]) => {
    const marks = verdicts.flatMap((verdict, place) => {
      const at = 12 + 22 * place;
      const strike = thrown(uuid(), { launchFrame: at - 4, contactFrame: at, homeFrame: at + 6 });
      return [strike, observed(strike.strikeId, verdict, { view: 'front', anyway: true })];
    });
    return coach.ask(reviewEndpoints.writeMarks, { filmId: film.id }, { marks });
  };
  const shown = async (which: MontageKind, { sessionId } = now): Promise<Montage> =>
    (await coach.ask<Montage>(montageEndpoints.showMontage, { sessionId }, undefined, {}, { ...about, which })).body;

  it('shows all faults, all clean ones, or those of the opening and those of now in turn', async () => {
    const [faults, clean, both] = [await shown('faults'), await shown('clean'), await shown('then-now')];
    expect([faults.pieces.length, clean.pieces.length]).to.deep.equal([1, 2]);
    expect([faults.cue, faults.technique, faults.name]).to.deep.equal(['Touch: “home”', 'Jab', 'Return line']);
    expect(both.pieces.map(({ heldOn }) => heldOn)).to.deep.equal(
      ['2026-03-01', '2026-03-08', '2026-03-01', '2026-03-08', '2026-03-01', '2026-03-08'].slice(0, both.pieces.length),
    );
    expect(both.pieces).to.have.length(6);
    expect(both.pieces.every(({ label }) => /^(then|now), /.test(label))).to.equal(true);
    for (const { fromFrame, contactFrame, toFrame } of both.pieces) {
      expect(fromFrame).to.be.below(contactFrame);
      expect(toFrame).to.be.above(contactFrame);
    }
    expect((await shown('then-now', then)).pieces).to.deep.equal([]);
  });

  it('is written as a film with each strike at its speed, then slowly with a stand at contact', async () => {
    const id = uuid();
    const wish = { id, sessionId: now.sessionId, ...about, which: 'clean' };
    expect((await coach.ask(montageEndpoints.writeMontage, {}, wish)).status).to.equal(200);
    const film = await eventually(
      'the film',
      async () => (await coach.ask<MontageFilm>(montageEndpoints.montageFilm, { montageId: id })).body,
      ({ state }) => state !== 'working',
    );
    expect(film).to.include({ state: 'ready', progress: 1, reason: null });
    const { body, headers } = await coach.ask<ArrayBuffer>(montageEndpoints.montageBytes, { montageId: id });
    expect(headers.get('content-disposition')).to.include('Somebody, 2026-03-08, return line.mp4');
    const path = join(folder, 'montage.mp4');
    await writeFile(path, Buffer.from(body));
    expect(await pictureSize(path)).to.deep.equal({ width: 1280, height: 720 });
    const { pieces } = await shown('clean');
    // Once at its speed, once at half of it, and eight tenths of a second of stand: thirty frames a second.
    const wanted = pieces.reduce((sum, { fromFrame, toFrame }) => sum + (3 * (toFrame - fromFrame + 1)) / 30 + 0.8, 0);
    expect((await shownTimes(path)).length / 30).to.be.closeTo(wanted, 0.5);
  });

  it('is not written of nothing, nor of what there is not', async () => {
    const write = (change: object) =>
      coach.ask(
        montageEndpoints.writeMontage,
        {},
        { id: uuid(), sessionId: then.sessionId, ...about, which: 'then-now', ...change },
      );
    expect((await write({})).status).to.equal(422);
    expect((await write({ sessionId: uuid() })).status).to.equal(404);
    expect((await write({ which: 'some' })).status).to.equal(422);
    expect((await coach.ask(montageEndpoints.montageFilm, { montageId: uuid() })).status).to.equal(404);
  });
});
