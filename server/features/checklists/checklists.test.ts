import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { schoolEndpoints, type SavedSchool } from '@wax-fist/contract/schools';
import { callEndpoints, type SavedCallBook } from '@wax-fist/contract/calls';
import { stillEndpoints } from '@wax-fist/contract/stills';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { reviewEndpoints, type SessionTally, type WrittenMarks } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { readyBooks } from '@wax-fist/core/calls';
import { noClubEdits, readySchools, rowsOf, shippedCatalogue, techniqueIn, type ClubEdits } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { migrateDatabase } from '../../db/migrate.ts';
import { roundOfMarks, observed, thrown } from '../../test/marks.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('catalogue', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('head-coach');
  });
  after(() => server.stop());

  const jab = rowsOf(shippedCatalogue, 'jab');
  const newest = async (): Promise<number> =>
    (await coach.ask<{ rows: { version: number }[] }>(checklistEndpoints.listChecklistVersions)).body.rows[0]!.version;
  const save = async (edits: unknown, basedOn?: number, note = '') =>
    coach.ask<{ version: number; message: string; fields: { field: string; message: string }[] }>(
      checklistEndpoints.saveChecklists,
      {},
      { basedOn: basedOn ?? (await newest()), note, edits },
    );
  const hidden: ClubEdits = {
    ...noClubEdits,
    checklists: { jab: jab.map((row) => (row.checkpointId === 'sm.snap' ? { ...row, hidden: true } : row)) },
  };
  const session = async (id: string): Promise<SessionDetail> =>
    (await coach.ask<SessionDetail>(sessionEndpoints.showSession, { sessionId: id })).body;

  describe('versions of the checklists', () => {
    it('begin as they ship, and every save makes one more', async () => {
      expect(await newest()).to.equal(1);
      const { status, body } = await save(hidden, 1, 'No snap in the jab');
      expect([status, body.version]).to.deep.equal([200, 2]);
      const shown = await coach.ask<{ edits: ClubEdits; by: string }>(checklistEndpoints.showChecklistVersion, { version: '2' });
      expect(shown.body.edits.checklists.jab!.find((row) => row.checkpointId === 'sm.snap')!.hidden).to.equal(true);
      expect(shown.body.by).to.equal('A head-coach');
      const first = await coach.ask<{ edits: ClubEdits; by: string }>(checklistEndpoints.showChecklistVersion, { version: '1' });
      expect(first.body).to.deep.include({ edits: noClubEdits, by: 'the product' });
    });

    it('of two that were made from the same one only the first is kept; the other is told', async () => {
      const basedOn = await newest();
      const answers = await Promise.all([save(hidden, basedOn), save(noClubEdits, basedOn)]);
      expect(answers.map(({ status }) => status).sort()).to.deep.equal([200, 409]);
      expect(answers.find(({ status }) => status === 409)!.body.message).to.include('Somebody else');
    });

    for (const [name, edits, field] of [
      [
        'a locked elbow',
        {
          ...noClubEdits,
          checklists: { jab: [{ checkpointId: 'sm.extension', band: { clean: [160, 185], watch: [150, 190] } }] },
        },
        'edits.checklists.jab[0].band',
      ],
      [
        'a cue as long as a sermon',
        { ...noClubEdits, checklists: { jab: [{ checkpointId: 'sm.snap', cue: 'one two three four five six seven eight' }] } },
        'edits.checklists.jab[0].cue',
      ],
      [
        'a checkpoint of nowhere',
        { ...noClubEdits, checklists: { jab: [{ checkpointId: 'no.where' }] } },
        'edits.checklists.jab[0].checkpointId',
      ],
      ['a list that is none', { ...noClubEdits, checklists: { jab: 7 } }, 'edits.checklists.jab'],
      ['no checkpoints at all', { techniques: [], checklists: {} }, 'edits.checkpoints'],
    ] as const) {
      it(`with ${name} are refused with the place`, async () => {
        const { status, body } = await save(edits);
        expect(status, JSON.stringify(body)).to.equal(422);
        expect(body.fields.map((one) => one.field).join()).to.include(field);
      });
    }

    it('that are not there are told so', async () => {
      for (const version of ['99', '0', 'one', '1.5', '99999999999'])
        expect((await coach.ask(checklistEndpoints.showChecklistVersion, { version })).status).to.equal(404);
    });

    it('stay as they were for a session that was entered before', async () => {
      const scene = await addScene(server);
      const before = (await session(scene.sessionId)).checklistVersion;
      await save(noClubEdits);
      expect((await session(scene.sessionId)).checklistVersion).to.equal(before);
      const chosen = { schoolId: readySchools[1].id, newest: true };
      const { body } = await coach.ask<SessionDetail>(sessionEndpoints.judgeSessionBy, { sessionId: scene.sessionId }, chosen);
      expect(body).to.deep.include({ checklistVersion: before + 1 });
      expect(body.judgedBy.name).to.equal('Square and ready');
    });

    it('name the strikes that a measure can be shown on', async () => {
      const scene = await addScene(server);
      await coach.ask(
        reviewEndpoints.writeMarks,
        { filmId: scene.filmId },
        {
          marks: [
            ...roundOfMarks(['clean', 'fault']).map((mark) =>
              mark.kind === 'strike' ? { ...mark, technique: 'overhand' } : mark,
            ),
            // Nobody has set its moments: what it would show is the guess.
            thrown(uuid(), { technique: 'overhand', launchOrigin: 'guessed', homeOrigin: 'guessed' }),
          ],
        },
      );
      const reps = await coach.ask<{ value: number; doubt: number }[]>(checklistEndpoints.measuredStrikes, {
        technique: 'overhand',
        measure: 'snap-ratio',
      });
      // Four frames out, five home.
      expect(reps.body).to.have.length(2);
      expect(reps.body[0]!.value).to.be.closeTo(1.25, 1e-6);
      expect(reps.body[0]!.doubt).to.be.above(0.1);
      expect(
        (await coach.ask(checklistEndpoints.measuredStrikes, { technique: 'jab', measure: 'heel-height' })).body,
      ).to.deep.equal([]);
    });

    it('have own techniques that can be tagged in new sessions, and in no old one', async () => {
      const old = await addScene(server);
      const own = { ...techniqueIn(shippedCatalogue, 'jab'), id: 'own.flick', name: 'Flick' };
      expect((await save({ ...noClubEdits, techniques: [own] })).status).to.equal(200);
      const young = await addScene(server);
      const tag = (filmId: string) =>
        coach.ask<WrittenMarks>(reviewEndpoints.writeMarks, { filmId }, { marks: [thrown(uuid(), { technique: 'own.flick' })] });
      expect((await tag(young.filmId)).body.kept).to.have.length(1);
      expect((await tag(old.filmId)).body.refused[0]!.reason).to.include('not in the catalogue');
    });
  });

  describe('schools', () => {
    const mine = () => ({
      id: uuid(),
      name: 'Ours',
      choices: { ...readySchools[0].choices, arm: 'bent' },
      bookId: readyBooks[1].id,
    });
    const put = (school: ReturnType<typeof mine>) =>
      coach.ask<SavedSchool & { message: string; fields: { field: string }[] }>(
        schoolEndpoints.saveSchool,
        { schoolId: school.id },
        school,
      );

    it('ship ready-made, the first one the club’s; starting again neither doubles nor undoes anything', async () => {
      const own = mine();
      await put(own);
      await coach.ask(schoolEndpoints.makeClubDefault, { schoolId: own.id });
      await migrateDatabase(server.services);
      const { body } = await coach.ask<SavedSchool[]>(schoolEndpoints.listSchools);
      expect(body.filter(({ ready }) => ready)).to.have.length(readySchools.length);
      expect(body.filter(({ clubDefault }) => clubDefault).map(({ id }) => id)).to.deep.equal([own.id]);
      expect((await coach.ask<{ message: string }>(schoolEndpoints.removeSchool, { schoolId: own.id })).body.message).to.include(
        'Choose another',
      );
      await coach.ask(schoolEndpoints.makeClubDefault, { schoolId: readySchools[0].id });
      expect((await coach.ask(schoolEndpoints.removeSchool, { schoolId: own.id })).status).to.equal(204);
    });

    it('that ship are copied and not changed', async () => {
      const { status, body } = await put({ ...mine(), id: readySchools[0].id });
      expect([status, body.message.includes('copy')]).to.deep.equal([409, true]);
      expect((await coach.ask(schoolEndpoints.removeSchool, { schoolId: readySchools[0].id })).status).to.equal(409);
    });

    it('have a choice for every switch, and a book that there is', async () => {
      const wrong = await put({ ...mine(), choices: { ...readySchools[0].choices, arm: 'rubber' } });
      expect([wrong.status, wrong.body.fields[0]!.field]).to.deep.equal([422, 'choices.arm']);
      expect((await put({ ...mine(), bookId: uuid() as never })).status).to.equal(404);
    });

    it('of a trainee hold for new sessions; what is changed later does not change an old one', async () => {
      const own = mine();
      await put(own);
      const traineeId = uuid();
      const person = { id: traineeId, name: 'Somebody', stance: 'southpaw', grade: 'improver', note: '', schoolId: own.id };
      expect((await coach.ask(traineeEndpoints.saveTrainee, { traineeId }, person)).status).to.equal(200);
      const sessionId = uuid();
      const body = { id: sessionId, traineeId, heldOn: '2026-03-01', roundKind: 'heavy bag', rung: 3 };
      await coach.ask(sessionEndpoints.saveSession, { sessionId }, body);
      await put({ ...own, choices: { ...own.choices, arm: 'full' } });
      await coach.ask(sessionEndpoints.saveSession, { sessionId }, { ...body, rung: 4 });
      const { judgedBy, rung } = await session(sessionId);
      expect([judgedBy.name, judgedBy.choices.arm, judgedBy.bookId, rung]).to.deep.equal(['Ours', 'bent', own.bookId, 4]);
    });
  });

  describe('call books and sets', () => {
    it('are copied, changed, and kept while a school counts by them', async () => {
      const bookId = uuid();
      const book = { id: bookId, name: 'Three-call', calls: { '1': 'jab', '2': 'cross', '3': 'rear-round' } };
      const saved = await coach.ask<SavedCallBook>(callEndpoints.saveCallBook, { bookId }, book);
      expect(saved.body).to.deep.include({ name: 'Three-call', ready: false });
      const schoolId = uuid();
      await coach.ask(
        schoolEndpoints.saveSchool,
        { schoolId },
        { id: schoolId, name: 'Kickers', choices: readySchools[0].choices, bookId },
      );
      const kept = await coach.ask<{ message: string }>(callEndpoints.removeCallBook, { bookId });
      expect([kept.status, kept.body.message.includes('Kickers')]).to.deep.equal([409, true]);
      await coach.ask(schoolEndpoints.removeSchool, { schoolId });
      expect((await coach.ask(callEndpoints.removeCallBook, { bookId })).status).to.equal(204);
    });

    it('are refused with the number that is wrong', async () => {
      const bookId = uuid();
      const twice = { id: bookId, name: 'Twice', calls: { '1': 'jab', '2': 'jab' } };
      const { status, body } = await coach.ask<{ fields: { field: string }[] }>(callEndpoints.saveCallBook, { bookId }, twice);
      expect([status, body.fields[0]!.field]).to.deep.equal([422, 'calls.1']);
      expect((await coach.ask(callEndpoints.removeCallBook, { bookId: readyBooks[0].id })).status).to.equal(409);
    });

    it('sets are kept by name and let go of', async () => {
      const setId = uuid();
      const set = { id: setId, name: 'Grade one', recipe: 'jab, cross, lead hook' };
      expect((await coach.ask(callEndpoints.saveCallSet, { setId }, set)).body).to.deep.equal(set);
      expect((await coach.ask(callEndpoints.listCallSets)).body).to.deep.equal([set]);
      expect((await coach.ask(callEndpoints.removeCallSet, { setId })).status).to.equal(204);
      expect((await coach.ask(callEndpoints.removeCallSet, { setId })).status).to.equal(404);
    });
  });

  describe('reference stills', () => {
    const still = (filmId: string, frame = 60) => ({
      technique: 'jab',
      checkpoint: 'gd.return-line',
      kind: 'clean',
      filmId,
      frame,
      fromFrame: null as number | null,
      toFrame: null as number | null,
    });
    const place = { technique: 'jab', checkpoint: 'gd.return-line', kind: 'clean' };

    it('are set, replaced and taken away', async () => {
      const { filmId } = await addScene(server);
      await coach.ask(stillEndpoints.saveReferenceStill, place, still(filmId));
      await coach.ask(stillEndpoints.saveReferenceStill, place, still(filmId, 61));
      expect((await coach.ask(stillEndpoints.listReferenceStills)).body).to.deep.equal([still(filmId, 61)]);
      expect((await coach.ask(stillEndpoints.removeReferenceStill, place)).status).to.equal(204);
      expect((await coach.ask(stillEndpoints.listReferenceStills)).body).to.deep.equal([]);
    });

    it('are a whole strike where one is told, with the frame in it', async () => {
      const { filmId } = await addScene(server);
      const save = (fromFrame: number | null, toFrame: number | null) =>
        coach.ask(stillEndpoints.saveReferenceStill, place, { ...still(filmId), fromFrame, toFrame });
      expect((await save(50, 80)).body).to.deep.include({ fromFrame: 50, toFrame: 80 });
      expect((await save(61, 80)).status).to.equal(422);
      expect((await save(50, null)).status).to.equal(422);
      expect((await save(50, 600)).status).to.equal(422);
      await coach.ask(stillEndpoints.removeReferenceStill, place);
    });

    it('lie inside of a film that there is, and show something of the catalogue', async () => {
      const { filmId } = await addScene(server);
      const status = async (body: object, at = place) => (await coach.ask(stillEndpoints.saveReferenceStill, at, body)).status;
      expect(await status(still(filmId, 600))).to.equal(422);
      expect(await status(still(uuid()))).to.equal(404);
      expect(await status({ ...still(filmId), checkpoint: 'st.chin' })).to.equal(422);
      expect(await status({ ...still(filmId), technique: 'nothing' }, { ...place, technique: 'nothing' })).to.equal(404);
    });
  });

  describe('the holder', () => {
    it('is judged on the strikes of the other, and has that in their own file and corrections', async () => {
      const { filmId, sessionId, traineeId } = await addScene(server);
      const holderId = (await addScene(server)).traineeId;
      const shown = await session(sessionId);
      const body = { ...shown, holderId };
      expect((await coach.ask(sessionEndpoints.saveSession, { sessionId }, body)).status).to.equal(200);
      expect((await session(sessionId)).holder!.id).to.equal(holderId);
      const strikeId = uuid();
      const entries = [
        thrown(strikeId),
        observed(strikeId, 'fault', { checkpointId: 'ph.narrow', view: 'front' }),
        observed(strikeId, 'clean'),
      ];
      await coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks: entries });
      const tallies = async (of: string) =>
        (await coach.ask<SessionTally[]>(reviewEndpoints.traineeTallies, { traineeId: of })).body.map(
          ({ technique, checkpointId, tally }) => `${technique} ${checkpointId} ${tally.fault}`,
        );
      expect(await tallies(holderId)).to.deep.equal(['holding ph.narrow 1']);
      expect(await tallies(traineeId)).to.deep.equal(['jab gd.return-line 0']);
      const correctionId = uuid();
      const draft = {
        id: correctionId,
        sessionId,
        checkpointId: 'ph.narrow',
        technique: 'holding',
        cue: 'Earmuffs',
        target: 0.1,
        recheckOn: null,
      };
      const opened = await coach.ask<{ traineeId: string; history: { tally: { fault: number } }[] }>(
        correctionEndpoints.openCorrection,
        { correctionId },
        draft,
      );
      expect(opened.body.traineeId).to.equal(holderId);
      expect(opened.body.history[0]!.tally.fault).to.equal(1);
      expect((await coach.ask<unknown[]>(correctionEndpoints.correctionEvidence, { correctionId })).body).to.have.length(1);
    });

    it('is somebody else', async () => {
      const { sessionId, traineeId } = await addScene(server);
      const shown = await session(sessionId);
      const refused = await coach.ask<{ fields: { field: string }[] }>(
        sessionEndpoints.saveSession,
        { sessionId },
        { ...shown, holderId: traineeId },
      );
      expect([refused.status, refused.body.fields[0]!.field]).to.deep.equal([422, 'holderId']);
      expect((await coach.ask(sessionEndpoints.saveSession, { sessionId }, { ...shown, holderId: uuid() })).status).to.equal(404);
    });
  });

  it('a verdict against what the view can show is kept as such', async () => {
    const { filmId } = await addScene(server);
    const strikeId = uuid();
    const entries = [thrown(strikeId), observed(strikeId, 'clean', { checkpointId: 'st.width', anyway: true })];
    await coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks: entries });
    const { body } = await coach.ask<{ observations: { anyway: boolean }[] }>(reviewEndpoints.showReview, { filmId });
    expect(body.observations.map(({ anyway }) => anyway)).to.deep.equal([true]);
  });
});
