import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { reportEndpoints } from '@wax-fist/contract/reports';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { trainee } from '../../db/schema/index.ts';
import { roundOfMarks } from '../../test/marks.ts';
import { readPdf } from '../../test/read-pdf.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('reports', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    scene = await addScene(server);
    await server.services.db.update(trainee).set({ name: 'Łukasz Ø. Мария' }).where(eq(trainee.id, scene.traineeId));
    const marks = roundOfMarks(['fault', 'fault', 'fault', 'clean', 'fault', 'clean', 'fault', 'clean', 'clean', 'fault']);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
    const id = uuid();
    const draft = { technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, topRung: 6 };
    await coach.ask(
      correctionEndpoints.openCorrection,
      { correctionId: id },
      { id, sessionId: scene.sessionId, ...draft, recheckOn: '2026-05-04' },
    );
  });
  after(() => server.stop());

  const heading = (report: { sections: { heading: string }[] }, name: string): string =>
    JSON.stringify(report.sections.find((one) => one.heading === name));

  it('tell what a session says, on the page', async () => {
    const { body, status } = await coach.ask(reportEndpoints.sessionReport, { sessionId: scene.sessionId });
    expect(status).to.equal(200);
    expect(heading(body, 'Jab')).to.include('6 of 10');
    expect(heading(body, 'What it answers')).to.include('“Touch home”').and.include('opened here');
    expect(heading(body, 'What is next')).to.include('4 May 2026');
    expect(heading(body, 'What was filmed')).to.include('10 verdicts');
  });

  it('of a class are those of a day, with the days round it', async () => {
    const of = (day?: string) => coach.ask(reportEndpoints.classOfDay, {}, undefined, {}, day ? { day } : {});
    const other = await addScene(server, '2026-03-08');
    await addScene(server, '2026-02-01');
    const { body } = await of('2026-03-01');
    expect(body).to.deep.include({ day: '2026-03-01', before: '2026-02-01', after: '2026-03-08' });
    expect(body.sessions).to.have.length(1);
    expect(body.sessions[0]).to.deep.include({
      id: scene.sessionId,
      traineeName: 'Łukasz Ø. Мария',
      films: 1,
      filmsDone: 0,
      judged: 10,
    });
    const last = await of();
    expect(last.body).to.deep.include({ day: '2026-03-08', before: '2026-03-01', after: null });
    expect(last.body.sessions.map(({ id }: { id: string }) => id)).to.deep.equal([other.sessionId]);
    expect((await of('2026-03-02')).body).to.deep.include({ before: '2026-03-01', after: '2026-03-08', sessions: [] });
    expect((await of('2026-02-30')).status).to.equal(422);
  });

  it('tell what weeks say, and refuse weeks that end before they begin', async () => {
    const weeks = (from: string, to: string) =>
      coach.ask(reportEndpoints.blockReport, { traineeId: scene.traineeId }, undefined, {}, { from, to });
    const { body } = await weeks('2020-01-01', '2030-01-01');
    expect(heading(body, 'What was filmed')).to.include('1 session, 10 strikes');
    expect(heading(body, 'What was judged')).to.include('Jab: return line');
    const before = await weeks('2020-01-01', '2020-02-01');
    expect(heading(before.body, 'What was filmed')).to.include('Nothing was filmed in these weeks.');
    expect((await weeks('2026-02-01', '2026-01-01')).status).to.equal(422);
    expect((await weeks('soon', '2026-01-01')).status).to.equal(422);
  });

  it('are tagged PDFs with their fonts in them, on either paper, whatever letters a name has', async () => {
    for (const [paper, size] of [
      ['a4', '595.28 x 841.89 pts (A4)'],
      ['letter', '612 x 792 pts (letter)'],
    ] as const) {
      const asked = await coach.ask(reportEndpoints.sessionReportsPdf, {}, undefined, {}, { of: scene.sessionId, paper });
      expect(asked.headers.get('content-type')).to.equal('application/pdf');
      const pdf = await readPdf(asked.body);
      expect([pdf.tagged, pdf.embedded, pdf.size]).to.deep.equal([true, true, size]);
      expect(pdf.text).to.include('Łukasz Ø. Мария');
      expect(pdf.structure).to.match(/H1 \(block\)\s+"Łukasz Ø\. Мария"/);
      expect(pdf.structure).to.include('TH').and.include('LBody');
      expect(pdf.text).to.include('6 of 10').and.include('1 of 1');
    }
  });

  it('of several sessions are one PDF, each from a page of its own on', async () => {
    const other = await addScene(server);
    const of = `${scene.sessionId},${other.sessionId}`;
    const pdf = await readPdf((await coach.ask(reportEndpoints.sessionReportsPdf, {}, undefined, {}, { of })).body);
    expect(pdf.pages).to.be.at.least(2);
    expect(pdf.structure.match(/H1 \(block\)/g)).to.have.length(2);
    const weeks = { from: '2020-01-01', to: '2030-01-01' };
    const block = await coach.ask(reportEndpoints.blockReportPdf, { traineeId: scene.traineeId }, undefined, {}, weeks);
    expect((await readPdf(block.body)).text).to.include('Block report');
  });

  it('are none of what there is not, and not of everything at once', async () => {
    const pdfOf = (of: string) => coach.ask(reportEndpoints.sessionReportsPdf, {}, undefined, {}, { of });
    expect((await pdfOf(uuid())).status).to.equal(404);
    expect((await pdfOf('')).status).to.equal(422);
    expect((await pdfOf('x')).status).to.equal(422);
    expect((await pdfOf(Array.from({ length: 61 }, () => scene.sessionId).join(','))).status).to.equal(422);
    expect((await coach.ask(reportEndpoints.sessionReport, { sessionId: uuid() })).status).to.equal(404);
  });
});
