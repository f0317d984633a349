import { filmExports, traineeExports } from '@wax-fist/contract/exports';
import { planEndpoints } from '@wax-fist/contract/plans';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { reviewEndpoints, type Mark } from '@wax-fist/contract/review';
import { readAnnotations } from '@wax-fist/core/formats';
import { expect } from 'chai';
import { parse as parseCsv } from 'csv-parse/sync';
import { eq } from 'drizzle-orm';
import ICAL from 'ical.js';
import { v7 as uuid } from 'uuid';
import webvtt from 'webvtt-parser';
import { emptyTrack, numbersOfFrame, numbersOfPoint, packedFrame, packTrack, pointCount } from '@wax-fist/core/body';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { film, filmPoints, round, trainee } from '../../db/schema/index.ts';
import { observed, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('what is taken along', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  let marks: Mark[];
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    scene = await addScene(server);
    const { db } = server.services;
    const timeline = timelineOf(Array.from({ length: 600 }, (_, frame) => frame * 20));
    await db
      .update(film)
      .set({ timeline: Buffer.from(packTimeline(timeline)) })
      .where(eq(film.id, scene.filmId));
    await db.update(trainee).set({ name: '=Åse & "Co"' }).where(eq(trainee.id, scene.traineeId));
    await db.insert(round).values({
      ...{ id: uuid(), filmId: scene.filmId, name: 'Round <1>', startsAt: 0, endsAt: 9000 },
      ...{ kind: 'heavy bag', manner: 'bell', proposed: false },
    });
    const strike = thrown(uuid());
    marks = [strike, observed(strike.strikeId, 'fault', { note: 'over the hip; late' })];
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
    const draft = { technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, topRung: 6 };
    const id = uuid();
    await coach.ask(
      correctionEndpoints.openCorrection,
      { correctionId: id },
      { id, sessionId: scene.sessionId, ...draft, recheckOn: '2026-05-04' },
    );
  });
  after(() => server.stop());

  const taken = async (path: string) => {
    const response = await coach.fetch(path);
    return { status: response.status, headers: response.headers, text: await response.text() };
  };
  const ofFilm = (file: string) => taken(`/api/films/${scene.filmId}/exports/${file}`);
  const ofTrainee = (file: string) => taken(`/api/trainees/${scene.traineeId}/exports/${file}`);

  it('is a file with its name and kind, of everything that there is, and nothing else', async () => {
    for (const { file, type } of filmExports) {
      const { status, headers } = await ofFilm(file);
      expect(status, file).to.equal(200);
      expect(headers.get('content-disposition')).to.equal(`attachment; filename=${file}`);
      expect(headers.get('content-type')).to.include(type);
    }
    for (const { file, type } of traineeExports) {
      const { status, headers } = await ofTrainee(file);
      expect(status, file).to.equal(200);
      expect(headers.get('content-type')).to.include(type);
    }
    expect((await ofFilm('film.exe')).status).to.equal(404);
    expect((await ofTrainee('all.zip')).status).to.equal(404);
    expect((await coach.fetch(`/api/trainees/${uuid()}/exports/rates.csv`)).status).to.equal(404);
    expect((await coach.fetch(`/api/films/${uuid()}/exports/strikes.vtt`)).status).to.equal(404);
  });

  it('strikes stand beside their film with what was said of them, and rounds are its chapters', async () => {
    const strikes = new webvtt.WebVTTParser().parse((await ofFilm('strikes.vtt')).text);
    expect(strikes.errors).to.deep.equal([]);
    expect(strikes.cues.map(({ startTime, endTime, text }) => [startTime, endTime, text])).to.deep.equal([
      [1, 1.5, 'Jab\nReturn line: fault, over the hip; late'],
    ]);
    const rounds = new webvtt.WebVTTParser().parse((await ofFilm('rounds.vtt')).text);
    expect(rounds.cues.map(({ startTime, endTime, text }) => [startTime, endTime, text])).to.deep.equal([
      [0, 9, 'Round &lt;1&gt;'],
    ]);
    expect((await ofFilm('strikes.srt')).text).to.match(/^1\n00:00:01,000 --> 00:00:01,500\nJab\n/);
  });

  it('tables open in a spreadsheet as they are, names that begin like a formula as text', async () => {
    const read = (text: string): Record<string, string>[] => parseCsv(text, { bom: true, columns: true });
    const [strike] = read((await ofTrainee('strikes.csv')).text);
    expect(strike).to.include({
      trainee: '\'=Åse & "Co"',
      technique: 'Jab',
      'contact ms': '1200',
      checkpoint: 'Return line',
      verdict: 'fault',
      note: 'over the hip; late',
    });
    const [rate] = read((await ofTrainee('rates.csv')).text);
    expect(rate).to.include({ checkpoint: 'Return line', fault: '1', clean: '0', rate: '1' });
  });

  it('verdicts are annotations that are read again', async () => {
    const { verdicts, problems } = readAnnotations(JSON.parse((await ofTrainee('verdicts.jsonld')).text));
    expect(problems).to.deep.equal([]);
    expect(verdicts).to.have.length(1);
    expect(verdicts[0]!.region).to.equal(null);
    expect(verdicts[0]).to.include({
      ...{ id: marks[1]!.id, filmId: scene.filmId, from: 1000, to: 1500 },
      ...{ technique: 'jab', checkpointId: 'gd.return-line', verdict: 'fault', note: 'over the hip; late' },
    });
  });

  it('verdicts tell where the body is in the picture at contact, once it was followed', async () => {
    const { db } = server.services;
    const track = emptyTrack(0, 600);
    for (let point = 0; point < pointCount; point++)
      track.values.set([100 + point, 200 + point, 0, 1], 60 * numbersOfFrame + point * numbersOfPoint);
    const packed = Buffer.from(packTrack(track)).subarray(50 * packedFrame);
    await db.insert(filmPoints).values({ filmId: scene.filmId, fromFrame: 50, frames: 550, model: 'm', version: 1, packed });
    const { verdicts } = readAnnotations(JSON.parse((await ofTrainee('verdicts.jsonld')).text));
    expect(verdicts[0]!.region).to.deep.equal({ unit: 'pixel', x: 97, y: 197, width: 38, height: 38 });
    const c3d = await coach.fetch(`/api/films/${scene.filmId}/exports/points.c3d`);
    const bytes = new DataView(await c3d.arrayBuffer());
    const at = (bytes.getUint16(16, true) - 1) * 512 + 60 * pointCount * 16;
    expect([0, 4, 8, 12].map((axis) => bytes.getFloat32(at + axis, true))).to.deep.equal([100, 0, 520, 0]);
    expect(bytes.getFloat32(at - pointCount * 16 + 12, true)).to.equal(-1);
  });

  it('a day to look again keeps its id when it is moved, with a higher version', async () => {
    const event = async () => {
      const calendar = new ICAL.Component(ICAL.parse((await ofTrainee('rechecks.ics')).text));
      return new ICAL.Event(calendar.getFirstSubcomponent('vevent')!);
    };
    const before = await event();
    expect(before.startDate.toString()).to.equal('2026-05-04');
    expect(before.summary).to.include('Touch home');
    const [one] = (await coach.ask(correctionEndpoints.traineeCorrections, { traineeId: scene.traineeId })).body.rows;
    await coach.ask(
      correctionEndpoints.addCorrectionEvent,
      { correctionId: one.id },
      { id: uuid(), kind: 'rescheduled', sessionId: null, note: '', recheckOn: '2026-06-01' },
    );
    const after = await event();
    expect([after.uid, after.startDate.toString()]).to.deep.equal([before.uid, '2026-06-01']);
    expect(after.sequence).to.be.above(before.sequence);
  });

  it('a planned session stands in it as long as it waits, and keeps its id on another day', async () => {
    const draft = {
      ...{ id: uuid(), traineeId: scene.traineeId, plannedOn: '2026-06-08', length: 2700, change: 60, leads: 'both alike' },
      parts: [{ id: 'w', kind: 'warm-up', title: 'Warm-up', on: 'shadowboxing', impact: false, rounds: 1, work: 360, rest: 60 }],
    };
    const save = (plannedOn: string) =>
      coach.ask(
        planEndpoints.savePlan,
        { planId: draft.id },
        { ...draft, parts: draft.parts.map((part) => ({ ...part, leads: 'usual only' })), plannedOn },
      );
    const events = async () =>
      new ICAL.Component(ICAL.parse((await ofTrainee('rechecks.ics')).text))
        .getAllSubcomponents('vevent')
        .map((one) => new ICAL.Event(one))
        .filter(({ uid }) => uid.startsWith('plan-'));
    expect((await save('2026-06-08')).status).to.equal(200);
    const [before] = await events();
    expect(before!.summary).to.include('45 minutes');
    expect(before!.description).to.equal('Warm-up, 1 × 6:00');
    await save('2026-06-09');
    const [after] = await events();
    expect([after!.uid, after!.startDate.toString()]).to.deep.equal([before!.uid, '2026-06-09']);
    expect(after!.sequence).to.be.above(before!.sequence);
  });
});
