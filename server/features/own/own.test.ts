import { accountEndpoints } from '@wax-fist/contract/accounts';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { filmFileUrl } from '@wax-fist/contract/footage';
import { ownEndpoints, type OwnReview, type OwnTrainee, type ShownReview } from '@wax-fist/contract/own';
import { peopleEndpoints, type Invite, type Person } from '@wax-fist/contract/people';
import { planEndpoints } from '@wax-fist/contract/plans';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { reportEndpoints } from '@wax-fist/contract/reports';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import type { ReleasedTo, SeenBy } from '@wax-fist/core/trainee';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { consent, plan, planSession, trainee, trainingSession } from '../../db/schema/index.ts';
import { clubDay, clubDayAfter } from '../sessions/club-day.ts';
import { roundOfMarks } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

async function someBytes({ services }: ServerUnderTest): Promise<string> {
  const path = join(services.settings.home, `${uuid()}.bytes`);
  await writeFile(path, 'bytes');
  return path;
}

describe('own pages', () => {
  let server: ServerUnderTest;
  let head: Visitor;
  let coach: Visitor;
  let scene: ClubScene;
  beforeEach(async () => {
    server = await startServer({ works: false });
    [head, coach] = [await server.as('head-coach'), await server.as('coach')];
    scene = await addScene(server);
  });
  afterEach(() => server.stop());

  const invite = (change: Partial<Invite>) =>
    head.ask<{ code: string; fields?: { field: string; message: string }[] }>(
      peopleEndpoints.invite,
      {},
      { id: uuid(), name: 'Ada', role: 'trainee', traineeIds: [scene.traineeId], ...change },
    );
  const joined = async (change: Partial<Invite> = {}): Promise<Visitor> => {
    const visitor = server.visitor();
    const { code } = (await invite(change)).body;
    const email = `${uuid()}@club.example`;
    await visitor.ask(peopleEndpoints.join, { code }, { email, name: 'Ada', password: 'a sentence that is kept' });
    return visitor;
  };
  const own = async (who: Visitor): Promise<OwnTrainee[]> => (await who.ask<OwnTrainee[]>(ownEndpoints.ownTrainees)).body;
  const release = (to: ReleasedTo) =>
    coach.ask<{ releasedAt: string | null; shownToClub: boolean; message?: string }>(
      sessionEndpoints.releaseSession,
      { sessionId: scene.sessionId },
      { to },
    );
  const review = (who: Visitor) => who.ask<OwnReview>(ownEndpoints.ownReview, { sessionId: scene.sessionId });

  it('open by an invitation that names the trainee, and show nothing before it is released', async () => {
    const ada = await joined();
    expect((await ada.ask(accountEndpoints.me)).body.role).to.equal('trainee');
    expect(await own(ada)).to.deep.equal([
      ...[
        { id: scene.traineeId, name: 'Somebody', stance: 'orthodox', schoolId: null, corrections: [], plans: [], sessions: [] },
      ],
    ]);
    expect((await review(ada)).status).to.equal(404);
  });

  it('show a review strike by strike once it is released, with the cue of what is to change, and no longer when it is taken back', async () => {
    const ada = await joined();
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: roundOfMarks(['fault', 'clean', 'watch']) });
    const first = (await release('themselves')).body.releasedAt;
    expect(first).to.be.a('string');
    expect((await release('themselves')).body.releasedAt, 'released again it keeps its day').to.equal(first);

    const [film] = (await review(ada)).body.films;
    expect(film!.strikes.map(({ faults, clean }) => [faults.map(({ name }) => name), clean])).to.deep.equal([
      [['Return line'], 0],
      [[], 1],
      [[], 0],
    ]);
    expect(film!.strikes[0]!.faults[0]!.cue).to.not.equal('');
    // The fourth frame of sixty a second.
    expect(film!.strikes[0]!.at).to.be.closeTo((4 * 1000) / 60, 1);
    expect((await own(ada))[0]!.sessions).to.deep.equal([
      { id: scene.sessionId, heldOn: '2026-03-01', roundKind: 'heavy bag', films: 1, strikes: 3 },
    ]);
    await release('coaches');
    expect((await review(ada)).status).to.equal(404);
    expect((await own(ada))[0]!.sessions).to.deep.equal([]);
  });

  it('show the corrections that were opened in what was released', async () => {
    const ada = await joined();
    const id = uuid();
    await coach.ask(
      correctionEndpoints.openCorrection,
      { correctionId: id },
      {
        ...{ id, sessionId: scene.sessionId, technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home' },
        ...{ target: 0.15, topRung: 6, recheckOn: '2026-05-04' },
      },
    );
    expect((await own(ada))[0]!.corrections).to.deep.equal([]);
    await release('themselves');
    expect((await own(ada))[0]!.corrections).to.deep.equal([
      { id, technique: 'Jab', name: 'Return line', cue: 'Touch home', rung: 3, recheckOn: '2026-05-04' },
    ]);
  });

  it('show plans from today on; whoever trains one alone writes it down, and no session waits for films', async () => {
    const ada = await joined();
    const part = {
      id: uuid(),
      kind: 'technique',
      title: 'Jab',
      says: '',
      cue: '',
      on: 'heavy bag',
      rounds: 2,
      work: 60,
      rest: 30,
    };
    const shot = { view: 'front', rate: 60, strikes: 10 };
    const says = { parts: [{ ...part, impact: true, rung: 3, shot }], leads: 'usual only' } as never;
    const of = (plannedOn: string) => ({ id: uuid(), traineeId: scene.traineeId, plannedOn, length: 600, impact: 2, says });
    const [today, old] = [of(clubDay()), of(clubDayAfter(new Date(), -30))];
    await server.services.db.insert(plan).values([today, old]);
    expect((await own(ada))[0]!.plans.map(({ id }) => id)).to.deep.equal([today.id]);

    const log = { doneOn: clubDay(), done: [{ part: 0, rounds: 2, worked: 120 }] };
    expect((await ada.ask(planEndpoints.logPlan, { planId: today.id }, log)).status).to.equal(200);
    expect(await server.services.db.$count(planSession)).to.equal(0);
    expect((await own(ada))[0]!.plans).to.deep.equal([]);
  });

  it('show what others let everybody of the club see, as long as all who are in it agree', async () => {
    const holder = await addScene(server);
    const { db } = server.services;
    await db.update(trainingSession).set({ holderId: holder.traineeId }).where(eq(trainingSession.id, scene.sessionId));
    const ada = await joined({ traineeIds: [(await addScene(server)).traineeId] });
    const shown = async () => (await ada.ask<ShownReview[]>(ownEndpoints.shownReviews)).body;
    const agrees = (traineeId: string, seenBy: SeenBy, until: string | null = null) =>
      db.insert(consent).values({
        ...{ id: uuid(), traineeId, givenBy: 'Themselves', asGuardian: false, seenBy, asReference: false, until },
        ...{ givenOn: '2026-03-01', note: '' },
      });
    const filmSent = async () => (await ada.fetch(filmFileUrl(scene.filmId, 'film.mp4'))).status;
    await server.services.storage.keep(await someBytes(server), scene.filmId, 'film.mp4');

    expect((await release('club')).body.message, 'whom nobody has asked').to.contain('Somebody has not agreed');
    await agrees(scene.traineeId, 'anyone');
    expect((await release('club')).status, 'who holds is in it, too').to.equal(409);
    await agrees(holder.traineeId, 'club');
    await release('themselves');
    expect([await shown(), (await review(ada)).status, await filmSent()]).to.deep.equal([[], 404, 404]);

    expect((await release('club')).body.shownToClub).to.equal(true);
    expect(await shown()).to.deep.equal([
      { id: scene.sessionId, traineeName: 'Somebody', heldOn: '2026-03-01', roundKind: 'heavy bag', films: 1, strikes: 0 },
    ]);
    expect((await review(ada)).body).to.include({ id: scene.sessionId, own: false });
    expect(await filmSent()).to.equal(200);
    expect((await ada.ask(reportEndpoints.sessionReport, { sessionId: scene.sessionId })).status, 'figures are theirs').to.equal(
      404,
    );

    await db.update(consent).set({ until: '2026-03-02' }).where(eq(consent.traineeId, holder.traineeId));
    expect([await shown(), (await review(ada)).status, await filmSent()], 'it ended').to.deep.equal([[], 404, 404]);
    await db.update(consent).set({ until: null });
    await release('coaches');
    expect([await shown(), (await review(ada)).status, await filmSent()]).to.deep.equal([[], 404, 404]);
  });

  it('of a guardian are those of all their children, and change with what the head coach says', async () => {
    const other = await addScene(server);
    await server.services.db.update(trainee).set({ name: 'Another' }).where(eq(trainee.id, other.traineeId));
    const guardian = await joined({ role: 'guardian', traineeIds: [scene.traineeId, other.traineeId] });
    const namesSeen = async () => (await own(guardian)).map(({ name }) => name);
    expect(await namesSeen()).to.deep.equal(['Another', 'Somebody']);
    const people = (await head.ask<Person[]>(peopleEndpoints.listPeople)).body;
    const { id: personId, trainees } = people.find((one) => one.role === 'guardian' && one.trainees.length > 0)!;
    expect(trainees.map(({ name }) => name)).to.deep.equal(['Another', 'Somebody']);
    const only = { role: 'guardian', traineeIds: [other.traineeId] };
    await head.ask(peopleEndpoints.changePerson, { personId }, only);
    expect(await namesSeen()).to.deep.equal(['Another']);
  });

  it('are for nobody without a trainee, and for none that is not here', async () => {
    const problem = async (change: Partial<Invite>): Promise<[number, string | undefined]> => {
      const { status, body } = await invite(change);
      return [status, body.fields?.[0]?.message];
    };
    expect(await problem({ traineeIds: [] })).to.deep.equal([422, 'Which trainee is it?']);
    expect((await problem({ role: 'guardian', traineeIds: [] }))[0]).to.equal(422);
    expect((await problem({ role: 'coach' }))[1]).to.equal('Who works in the club signs in for nobody.');
    expect((await problem({ traineeIds: [uuid()] }))[0]).to.equal(404);
  });
});
