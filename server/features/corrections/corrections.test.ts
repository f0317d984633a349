import { answerEndpoints, type ComparedLevels, type LevelAnswer } from '@wax-fist/contract/answers';
import { correctionEndpoints, type Correction, type Evidence } from '@wax-fist/contract/corrections';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { reviewEndpoints } from '@wax-fist/contract/review';
import type { Page } from '@wax-fist/contract/page';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import type { Verdict } from '@wax-fist/core/review';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { observed, roundOfMarks, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { openCorrection } from './write-corrections.ts';

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
    topRung: 6,
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
      state: 'spotted',
      rung: 3,
      topRung: 6,
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
    // A session that was planned and done, and not filmed yet, has no answer.
    const empty = { id: uuid(), traineeId: first.traineeId, heldOn: '2026-03-20', roundKind: 'heavy bag', rung: 3 };
    expect((await coach.ask(sessionEndpoints.saveSession, { sessionId: empty.id }, empty)).status).to.equal(200);
    const again = await coach.ask<Correction>(correctionEndpoints.showCorrection, { correctionId: id });
    expect(again.body.newestSession).to.equal(next.sessionId);
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
    expect((await add(id, 're-opened')).body.state).to.equal('working');
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

  describe('on its ladder', () => {
    const clean = (count: number): Verdict[] => Array<Verdict>(count).fill('clean');
    /** A session of a trainee who works on it, a week after the one before. */
    const session = async (week: number, verdicts: Verdict[], rung = 3): Promise<ClubScene> => {
      const scene = await addScene(server, `2026-03-${String(1 + 7 * week).padStart(2, '0')}`, rung, first.traineeId);
      await mark(scene, verdicts);
      return scene;
    };
    const answersOf = async ({ sessionId }: ClubScene): Promise<LevelAnswer[]> =>
      (await coach.ask<LevelAnswer[]>(answerEndpoints.sessionAnswers, { sessionId })).body;
    const stepsOf = ({ history }: Correction) => history.slice(1).map(({ kind, rung }) => `${kind} ${rung}`);

    it('is proposed to hold by its numbers, keeps them, and is looked at again in the usual time', async () => {
      const { id } = (await open(draft({ target: 0.3 }))).body;
      const next = await session(1, clean(24));
      const [answer] = await answersOf(next);
      expect(answer).to.deep.include({ correctionId: id, rung: 3, proposed: { kind: 'holding', rung: 3 } });
      const { body } = await add(id, 'holding', next.sessionId, { rung: 3 });
      expect(body).to.include({ state: 'holding', rung: 3 });
      const { numbers } = body.history.at(-1)!;
      expect(numbers).to.deep.include({ atAim: answer!.atAim, sessions: 2 });
      expect(body.recheckOn).to.match(/^\d{4}-\d{2}-\d{2}$/);
      expect((await answersOf(next))[0]!.proposed).to.equal(null);
    });

    it('climbs from holding to locked to kept, and relapses', async () => {
      const { id } = (await open(draft({ target: 0.3, topRung: 4 }))).body;
      const climb: [week: number, rung: number][] = [
        [1, 3],
        [2, 3],
        [3, 4],
        [4, 4],
      ];
      for (const [week, rung] of climb) {
        const scene = await session(week, clean(24), rung);
        const { proposed } = (await answersOf(scene))[0]!;
        await add(id, proposed!.kind, scene.sessionId, { rung: proposed!.rung });
      }
      const kept = await coach.ask<Correction>(correctionEndpoints.showCorrection, { correctionId: id });
      expect(stepsOf(kept.body)).to.deep.equal(['holding 3', 'locked 3', 'holding 4', 'kept 4']);
      const bad = await addScene(server, '2026-04-05', 4, first.traineeId);
      await mark(bad, Array<Verdict>(30).fill('fault'));
      const worse = await addScene(server, '2026-04-12', 4, first.traineeId);
      await mark(worse, Array<Verdict>(30).fill('fault'));
      const [answer] = await answersOf(worse);
      expect(answer!.proposed).to.deep.equal({ kind: 'relapsed', rung: 4 });
      expect((await add(id, 'relapsed', worse.sessionId, { rung: 4 })).body).to.include({ state: 'relapsed', rung: 4 });
    });

    it('is put on a rung by hand only with a reason, which is kept without numbers', async () => {
      const { id } = (await open()).body;
      const refused = await add(id, 'locked', null, { rung: 3 });
      expect(refused.status).to.equal(422);
      expect((refused.body as unknown as { message: string }).message).to.include('Say why');
      const { body } = await add(id, 'locked', null, { rung: 3, note: 'Seen all week without a camera.' });
      expect(body).to.include({ state: 'locked', rung: 3 });
      expect(body.history.at(-1)).to.deep.include({ numbers: null, note: 'Seen all week without a camera.' });
    });

    const wrongSteps: [what: string, kind: string, change: object][] = [
      ['a step without a rung', 'holding', { note: 'Why' }],
      ['a step off the ladder', 'holding', { rung: 8, note: 'Why' }],
      ['a rung where there is no step', 'cue-given', { rung: 3 }],
    ];
    for (const [what, kind, change] of wrongSteps)
      it(`refuses ${what}`, async () => {
        const { id } = (await open()).body;
        expect((await add(id, kind, null, change)).status).to.equal(422);
      });

    it('is asked anew when what was counted has changed, and only then', async () => {
      await open();
      const next = await session(1, clean(12));
      const before = (await answersOf(next))[0]!;
      expect((await answersOf(next))[0]).to.deep.equal(before);
      await mark(next, Array<Verdict>(12).fill('fault'));
      const after = (await answersOf(next))[0]!;
      expect(after.levels.at(-1)!.level).to.be.above(before.levels.at(-1)!.level);
    });

    it('tells whether it is worse when tired, and from rung to rung', async () => {
      const { id } = (await open()).body;
      // Strikes lie one behind the other: the first third of the film is clean, the last is not.
      const thirds = [...clean(20), ...clean(20), ...Array<Verdict>(20).fill('fault')];
      await session(1, thirds);
      await session(2, thirds);
      await session(3, clean(20), 5);
      const { traineeId } = first;
      const { body } = await coach.ask<ComparedLevels[]>(answerEndpoints.traineeConditions, { traineeId });
      expect(body.map(({ correctionId, condition, rungs }) => [correctionId, condition, ...rungs])).to.deep.equal([
        [id, 'tired', 3, 3],
        [id, 'rung', 3, 5],
      ]);
      expect(body[0]!.higher).to.be.above(0.9);
      expect(body[1]!.lower).to.be.above(body[1]!.higher);
      expect((await coach.ask(answerEndpoints.traineeConditions, { traineeId: uuid() })).status).to.equal(404);
    });

    it('tells whether it is worse with the other foot in front', async () => {
      const { id } = (await open()).body;
      await session(1, clean(30));
      await session(2, clean(30));
      for (const day of [3, 4]) {
        const { filmId } = await session(day, Array<Verdict>(30).fill('fault'));
        await coach.ask(footageEndpoints.changeFilm, { filmId }, { stance: 'southpaw' });
      }
      const { traineeId } = first;
      const { body } = await coach.ask<ComparedLevels[]>(answerEndpoints.traineeConditions, { traineeId });
      const lead = body.find(({ condition }) => condition === 'lead')!;
      expect(lead).to.deep.include({ correctionId: id, rungs: [3, 3] });
      expect(lead.higher).to.be.above(0.9);
    });

    it('tells the strikes behind one number of a session, faults first', async () => {
      const { sessionId } = first;
      const behind = async (checkpointId: string, of = sessionId) =>
        coach.ask<Evidence[]>(
          correctionEndpoints.sessionEvidence,
          { sessionId: of },
          undefined,
          {},
          { technique: 'jab', checkpointId },
        );
      expect((await behind('gd.return-line')).body.map(({ verdict }) => verdict)).to.deep.equal(['fault', 'fault', 'clean']);
      expect((await behind('gd.height')).body).to.deep.equal([]);
      expect((await behind('gd.height', uuid())).status).to.equal(404);
    });

    it('tells how often a cause and what follows from it were faults on the same strikes', async () => {
      // Coming home low follows from a push without a snap, as the checklists have it.
      const scene = await addScene(server, '2026-03-22', 3, first.traineeId);
      const pairs: [cause: Verdict, effect: Verdict][] = [
        ['fault', 'fault'],
        ['fault', 'clean'],
        ['clean', 'clean'],
        ['watch', 'fault'],
        ['clean', 'cant-see'],
      ];
      const marks = pairs.flatMap(([cause, effect]) => {
        const strikeId = uuid();
        return [
          thrown(strikeId),
          observed(strikeId, cause, { checkpointId: 'sm.snap' }),
          observed(strikeId, effect, { checkpointId: 'gd.return-line' }),
        ];
      });
      await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
      const { body } = await coach.ask(answerEndpoints.sessionTogether, { sessionId: scene.sessionId });
      const counts = { both: 1, onlyCause: 1, onlyEffect: 0, neither: 1 };
      expect(body).to.deep.equal([{ technique: 'jab', cause: 'sm.snap', effect: 'gd.return-line', ...counts }]);
      expect((await coach.ask(answerEndpoints.sessionTogether, { sessionId: uuid() })).status).to.equal(404);
    });

    it('tells a trainee’s levels at every rung, of what is worked on and of one other thing', async () => {
      const { id } = (await open()).body;
      await session(1, clean(9));
      await session(2, clean(9), 5);
      const { traineeId } = first;
      const { body } = await coach.ask<LevelAnswer[]>(answerEndpoints.traineeAnswers, { traineeId });
      expect(body.map(({ rung, correctionId }) => [rung, correctionId])).to.deep.equal([
        [3, id],
        [5, id],
      ]);
      const other = { technique: 'jab', checkpointId: 'gd.height' };
      expect((await coach.ask(answerEndpoints.traineeAnswers, { traineeId }, undefined, {}, other)).body).to.deep.equal([]);
      expect((await coach.ask(answerEndpoints.traineeAnswers, { traineeId: uuid() })).status).to.equal(404);
    });
  });

  describe('in the list of the club', () => {
    const listed = async (query: Record<string, string>): Promise<Correction[]> =>
      (await coach.ask<Page<Correction>>(correctionEndpoints.listCorrections, {}, undefined, {}, query)).body.rows.filter(
        ({ traineeId }) => traineeId === first.traineeId,
      );

    it('is found by when it is due, its rung, its family, and whether it is stuck', async () => {
      await open();
      const found: [query: Record<string, string>, count: number][] = [
        [{ dueBy: '2026-03-07' }, 0],
        [{ dueBy: '2026-03-08' }, 1],
        [{ rung: '3' }, 1],
        [{ rung: '4' }, 0],
        [{ family: 'guard' }, 1],
        [{ family: 'exit' }, 0],
        [{ state: 'spotted' }, 1],
        [{ state: 'kept' }, 0],
        [{ stuck: 'yes' }, 0],
      ];
      for (const [query, count] of found) expect(await listed(query), JSON.stringify(query)).to.have.length(count);
    });

    it('is stuck when nothing has moved for four weeks', async () => {
      const body = draft();
      await openCorrection(server.services.db, body, {
        by: server.accountId('coach'),
        at: new Date(Date.now() - 40 * 86_400_000),
      });
      expect(await listed({ stuck: 'yes' })).to.have.length(1);
      await add(body.id, 'holding', null, { rung: 3, note: 'By eye.' });
      expect(await listed({ stuck: 'yes' })).to.deep.equal([]);
    });

    it('is drilled so and so often, and nothing else is', async () => {
      const { id } = (await open()).body;
      const { body } = await add(id, 'drill-given', null, { note: 'Slow cross, 2 × 12', often: 'two-a-week' });
      expect(body.history.at(-1)).to.include({ kind: 'drill-given', note: 'Slow cross, 2 × 12', often: 'two-a-week' });
      expect((await add(id, 'cue-given', null, { often: 'two-a-week' })).status).to.equal(422);
      expect((await add(id, 'drill-given', null, { note: 'Slow cross', often: 'now and then' })).status).to.equal(422);
    });

    it('is given another day to look again, which its history tells', async () => {
      const { id } = (await open()).body;
      const { body } = await add(id, 'rescheduled', null, { recheckOn: '2026-05-01' });
      expect(body).to.include({ recheckOn: '2026-05-01', state: 'spotted' });
      expect(body.history.at(-1)!.kind).to.equal('rescheduled');
    });
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
