import { cardEndpoints, type Card } from '@wax-fist/contract/cards';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import type { Film } from '@wax-fist/contract/footage';
import { reviewEndpoints, type StrikeMark } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { execFile } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { leastIndex } from 'd3-array';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { cardLink } from '../../db/schema/index.ts';
import { ffmpeg, phoneRate } from '../../test/films.ts';
import { importFilm } from '../../test/import-film.ts';
import { observed, thrown } from '../../test/marks.ts';
import { readPdf } from '../../test/read-pdf.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

/** Each of eight frames is brighter than the one before; then it begins anew. */
const steps = 8;

describe('cards', function () {
  this.timeout(120_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  let film: Film;
  let folder: string;
  const correctionId = uuid();
  const strikes: Record<'fault' | 'other' | 'clean', StrikeMark> = {
    fault: thrown(uuid(), { launchFrame: 8, contactFrame: 12, homeFrame: 20 }),
    other: thrown(uuid(), { launchFrame: 22, contactFrame: 24, homeFrame: 27 }),
    clean: thrown(uuid(), { launchFrame: 28, contactFrame: 32, homeFrame: 36 }),
  };
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-card-'));
    server = await startServer();
    coach = await server.as('coach');
    scene = await addScene(server);
    const path = join(folder, 'brighter.mp4');
    const counting = `color=gray:s=320x240:r=30:d=1.5,format=yuv420p,geq=lum='40+20*mod(N\\,${steps})':cb=128:cr=128,${phoneRate}`;
    await ffmpeg(
      ...['-f', 'lavfi', '-i', counting, '-fps_mode', 'passthrough', '-enc_time_base', '1:90000'],
      ...['-c:v', 'libx264', '-preset', 'ultrafast', '-crf', '6', '-color_range', 'tv', path],
    );
    film = await importFilm(coach, scene.sessionId, path);
    const say = (strike: StrikeMark, verdict: 'clean' | 'fault') => [
      strike,
      observed(strike.strikeId, verdict, { view: 'front', anyway: true }),
    ];
    const marks = [...say(strikes.fault, 'fault'), ...say(strikes.other, 'fault'), ...say(strikes.clean, 'clean')];
    await coach.ask(reviewEndpoints.writeMarks, { filmId: film.id }, { marks });
    const draft = { technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, topRung: 6 };
    await coach.ask(
      correctionEndpoints.openCorrection,
      { correctionId },
      { id: correctionId, sessionId: scene.sessionId, ...draft, recheckOn: '2026-05-04' },
    );
    await coach.ask(
      correctionEndpoints.addCorrectionEvent,
      { correctionId },
      { id: uuid(), kind: 'drill-given', sessionId: null, note: 'Wall behind, 3 × 10', often: 'every-day' },
    );
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });

  const show = async (): Promise<Card> => (await coach.ask<Card>(cardEndpoints.showCard, { correctionId })).body;
  const stillOf = (card: Card, role: string) => card.stills.find((one) => one.role === role)!;
  /** How bright pictures are, one after the other. */
  async function brightness(path: string): Promise<number[]> {
    const words = ['-i', path, '-fps_mode', 'passthrough', '-vf', 'format=yuvj420p,scale=1:1:flags=area,format=gray'];
    const { stdout } = await promisify(execFile)('ffmpeg', ['-loglevel', 'error', ...words, '-f', 'rawvideo', '-'], {
      encoding: 'buffer',
    });
    return [...stdout];
  }
  /** Which of eight frames of the film a picture shows: the one that is as bright. */
  async function frameOf(picture: ArrayBuffer): Promise<number> {
    const path = join(folder, 'still.jpg');
    await writeFile(path, Buffer.from(picture));
    const [light] = await brightness(path);
    const all = await server.services.storage.bring(film.id, 'film.mp4').then(brightness);
    return leastIndex(all.slice(0, steps), (one, other) => Math.abs(one - light!) - Math.abs(other - light!))!;
  }

  it('tell one cue, the drill, when it is looked at again, and three stills', async () => {
    const card = await show();
    expect([card.cue, card.drill, card.often, card.recheckOn]).to.deep.equal([
      'Touch home',
      'Wall behind, 3 × 10',
      'every-day',
      '2026-05-04',
    ]);
    expect(card.why).to.include('Straight back to the cheek');
    expect(card.stills.map(({ role, strikeId, origin }) => [role, strikeId, origin])).to.deep.equal([
      ['is', strikes.fault.strikeId, 'moment'],
      ['turns', strikes.fault.strikeId, 'likely'],
      ['should', strikes.clean.strikeId, 'moment'],
    ]);
    expect([stillOf(card, 'is').frame, stillOf(card, 'should').frame]).to.deep.equal([20, 36]);
    expect(stillOf(card, 'turns').frame).to.be.within(12, 15);
  });

  it('show the very frames, of a film whose rate wavers', async () => {
    for (let frame = 8; frame <= 20; frame++) {
      await coach.ask(cardEndpoints.chooseStill, { correctionId, role: 'is' }, { strikeId: strikes.fault.strikeId, frame });
      const { body, headers } = await coach.ask(cardEndpoints.cardStill, { correctionId, role: 'is' });
      expect(headers.get('content-type')).to.equal('image/jpeg');
      expect(await frameOf(body), `frame ${frame}`).to.equal(frame % steps);
    }
  });

  it('keep what the coach has set, and take it back', async () => {
    const other = strikes.other.strikeId;
    const set = { strikeId: other, frame: 23 };
    const { body } = await coach.ask<Card>(cardEndpoints.chooseStill, { correctionId, role: 'is' }, set);
    expect(stillOf(body, 'is')).to.include({ strikeId: other, frame: 23, origin: 'set' });
    expect(stillOf(body, 'turns')).to.include({ strikeId: other });
    const back = { strikeId: strikes.fault.strikeId, frame: null };
    await coach.ask(cardEndpoints.chooseStill, { correctionId, role: 'is' }, back);
    expect(stillOf(await show(), 'is')).to.include({ frame: 20, origin: 'moment' });
  });

  it('refuse a still that there is not', async () => {
    const choose = (role: string, strikeId: string, frame: number | null) =>
      coach.ask(cardEndpoints.chooseStill, { correctionId, role }, { strikeId, frame });
    expect((await choose('is', strikes.fault.strikeId, 9999)).status).to.equal(422);
    expect((await choose('is', uuid(), null)).status).to.equal(404);
    expect((await choose('was', strikes.fault.strikeId, null)).status).to.equal(404);
    expect((await coach.ask(cardEndpoints.cardStill, { correctionId, role: 'was' })).status).to.equal(404);
    expect((await coach.ask(cardEndpoints.showCard, { correctionId: uuid() })).status).to.equal(404);
  });

  it('open by their link for whoever has it, until it is withdrawn or ends', async () => {
    const stranger = server.visitor();
    const linked = await coach.ask<Card>(cardEndpoints.linkCard, { correctionId });
    const { code } = linked.body.link!;
    expect(code).to.match(/^[\w-]{12}$/);
    const shared = await stranger.ask<Card>(cardEndpoints.sharedCard, { code });
    expect([shared.status, shared.body.cue]).to.deep.equal([200, 'Touch home']);
    const still = await stranger.ask(cardEndpoints.sharedStill, { code, role: 'should' });
    expect(await frameOf(still.body)).to.equal(36 % steps);
    expect((await stranger.ask(cardEndpoints.showCard, { correctionId })).status).to.equal(401);

    expect((await coach.ask<Card>(cardEndpoints.linkCard, { correctionId })).body.link!.code).to.equal(code);
    const { db } = server.services;
    await db
      .update(cardLink)
      .set({ endsAt: new Date(0) })
      .where(eq(cardLink.code, code));
    expect((await stranger.ask(cardEndpoints.sharedCard, { code })).status).to.equal(404);
    await coach.ask(cardEndpoints.linkCard, { correctionId });
    expect((await stranger.ask(cardEndpoints.sharedCard, { code })).status).to.equal(200);
    await coach.ask(cardEndpoints.withdrawLink, { correctionId });
    expect((await stranger.ask(cardEndpoints.sharedStill, { code, role: 'is' })).status).to.equal(404);
    expect((await show()).link).to.equal(null);
  });

  it('are a tagged PDF of one sheet each, with the address in words', async () => {
    const { code } = (await coach.ask<Card>(cardEndpoints.linkCard, { correctionId })).body.link!;
    for (const paper of ['a4', 'letter']) {
      const { body } = await coach.ask(cardEndpoints.cardsPdf, {}, undefined, {}, { of: correctionId, paper });
      const pdf = await readPdf(body);
      expect([pdf.pages, pdf.tagged, pdf.embedded]).to.deep.equal([1, true, true]);
      expect(pdf.text).to.include('Touch home').and.include('Wall behind').and.include('every day').and.include(code);
      expect(pdf.structure).to.include('Figure');
    }
    const { body } = await coach.ask(cardEndpoints.cardsPdf, {}, undefined, {}, { of: `${correctionId},${correctionId}` });
    expect((await readPdf(body)).pages).to.equal(2);
  });
});
