import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { reviewEndpoints } from '@wax-fist/contract/review';
import type { Page } from '@wax-fist/contract/page';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import type { Verdict } from '@wax-fist/core/review';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { roundOfMarks } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('corrections', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let first: ClubScene;
  before(async () => {
    server = await startServer();
    coach = await server.as('coach');
  });
  beforeEach(async () => {
    first = await addScene(server);
    await mark(first, ['fault', 'fault', 'clean', 'watch']);
  });
  after(() => server.stop());

  const mark = (scene: ClubScene, verdicts: Verdict[], change = {}) =>
    coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: roundOfMarks(verdicts, change) });
  const draft = (change: object = {}) => ({
    id: uuid(),
    sessionId: first.sessionId,
    technique: 'jab',
    checkpointId: 'gd.return-line',
    cue: 'Touch home',
    target: 0.15,
    recheckOn: '2026-03-08',
    ...change,
  });
  const open = (body = draft()) => coach.ask<Correction>(correctionEndpoints.openCorrection, { correctionId: body.id }, body);
  const add = (correctionId: string, kind: string, sessionId: string | null = null, change: object = {}) =>
    coach.ask<Correction>(
      correctionEndpoints.addCorrectionEvent,
      { correctionId },
      { id: uuid(), kind, sessionId, note: '', ...change },
    );

  it('opens with what was counted in its session', async () => {
    const { body } = await open();
    expect(body).to.include({
      state: 'open',
      cue: 'Touch home',
      openedOn: '2026-03-01',
      recheckOn: '2026-03-08',
      newestSession: first.sessionId,
    });
    expect(body.history.map(({ kind, tally, by }) => ({ kind, tally, by }))).to.deep.equal([
      { kind: 'opened', tally: { clean: 1, watch: 1, fault: 2, cantSee: 0 }, by: 'A coach' },
    ]);
  });

  it('opened twice with the same id is one correction', async () => {
    const body = draft();
    await open(body);
    expect((await open(body)).body.history).to.have.length(1);
  });

  it('is not opened a second time for the same thing', async () => {
    await open();
    const { status, body } = await open();
    expect(status).to.equal(409);
    expect((body as unknown as { message: string }).message).to.include('already');
  });

  const wrong: [what: string, change: object, status: number][] = [
    ['a cue too long to be shouted', { cue: 'x'.repeat(81) }, 422],
    ['no cue', { cue: ' ' }, 422],
    ['a target that is no share', { target: 1.5 }, 422],
    ['a checkpoint of another technique', { checkpointId: 'pv.rear-turn' }, 422],
    ['a session that is not here', { sessionId: uuid() }, 404],
    ['a re-check on no day', { recheckOn: '2026-13-01' }, 422],
  ];
  for (const [what, change, status] of wrong) {
    it(`refuses ${what}`, async () => {
      const body = draft(change);
      expect((await open(body)).status).to.equal(status);
      expect((await coach.ask(correctionEndpoints.showCorrection, { correctionId: body.id })).status).to.equal(404);
    });
  }

  it('is re-checked with the count of the next session, and its history only grows', async () => {
    const { id } = (await open()).body;
    const next = await addScene(server, '2026-03-08', 3, first.traineeId);
    await mark(next, ['clean', 'clean', 'clean', 'fault']);
    const { body } = await add(id, 're-checked', next.sessionId, { recheckOn: '2026-03-15', note: 'Better' });
    expect(body.history.map(({ kind }) => kind)).to.deep.equal(['opened', 're-checked']);
    expect(body.history[1]!.tally).to.deep.equal({ clean: 3, watch: 0, fault: 1, cantSee: 0 });
    expect(body).to.include({ recheckOn: '2026-03-15', newestSession: next.sessionId });
  });

  it('counts two cameras on the same round once', async () => {
    await mark(first, ['fault', 'clean'], { view: 'front' });
    const { body } = await open();
    expect(body.history[0]!.tally).to.deep.equal({ clean: 1, watch: 1, fault: 2, cantSee: 0 });
  });

  it('closes, is no longer waiting, and opens again', async () => {
    const { id } = (await open()).body;
    const waiting = async (): Promise<boolean> =>
      (
        await coach.ask<Page<Correction>>(correctionEndpoints.listCorrections, {}, undefined, {}, { state: 'open' })
      ).body.rows.some((one) => one.id === id);
    expect(await waiting()).to.equal(true);
    expect((await add(id, 'closed')).body.state).to.equal('closed');
    expect(await waiting()).to.equal(false);
    expect((await add(id, 'closed')).status).to.equal(409);
    const { body: trainees } = await coach.ask(traineeEndpoints.listTrainees);
    expect(trainees.rows.find((row: { id: string }) => row.id === first.traineeId).openCorrections).to.equal(0);
    expect((await add(id, 're-opened')).body.state).to.equal('open');
    expect(await waiting()).to.equal(true);
  });

  it('of many who open the same at once, one does', async () => {
    const answers = await Promise.all(Array.from({ length: 8 }, () => open()));
    expect(answers.map(({ status }) => status).sort()).to.deep.equal([200, ...Array<number>(7).fill(409)]);
  });

  it('of many who close it at once, one does; its history tells so once', async () => {
    const { id } = (await open()).body;
    const answers = await Promise.all(Array.from({ length: 6 }, () => add(id, 'closed')));
    expect(answers.filter(({ status }) => status === 200)).to.have.length(1);
    const { body } = await coach.ask<Correction>(correctionEndpoints.showCorrection, { correctionId: id });
    expect(body.history.filter(({ kind }) => kind === 'closed')).to.have.length(1);
    expect(body.state).to.equal('closed');
  });

  it('is not opened again while the same is open under another one', async () => {
    const { id } = (await open()).body;
    await add(id, 'closed');
    await open();
    expect((await add(id, 're-opened')).status).to.equal(409);
  });

  it('a word that is sent twice is in its history once', async () => {
    const { id } = (await open()).body;
    const word = { id: uuid() };
    for (let times = 0; times < 2; times++) expect((await add(id, 'cue-given', null, word)).status).to.equal(200);
    const { body } = await coach.ask<Correction>(correctionEndpoints.showCorrection, { correctionId: id });
    expect(body.history.filter(({ kind }) => kind === 'cue-given')).to.have.length(1);
  });

  it('is not re-checked by a session of somebody else', async () => {
    const { id } = (await open()).body;
    const stranger = await addScene(server);
    expect((await add(id, 're-checked', stranger.sessionId)).status).to.equal(404);
  });

  it('offers strikes as evidence: faults and clean ones, newest first', async () => {
    const { id } = (await open()).body;
    const next = await addScene(server, '2026-03-08', 3, first.traineeId);
    await mark(next, ['clean', 'cant-see']);
    const { body } = await coach.ask(correctionEndpoints.correctionEvidence, { correctionId: id });
    expect(body.map(({ heldOn, verdict }: Record<string, string>) => `${heldOn} ${verdict}`)).to.deep.equal([
      '2026-03-08 clean',
      '2026-03-01 fault',
      '2026-03-01 fault',
      '2026-03-01 clean',
    ]);
  });
});
