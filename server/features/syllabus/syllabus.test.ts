import { planEndpoints } from '@wax-fist/contract/plans';
import {
  syllabusEndpoints,
  type GradeTest,
  type GradeTestDraft,
  type SavedCourse,
  type TestDay,
  type TestFilms,
  type TraineeCourse,
} from '@wax-fist/contract/syllabus';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { dayAfter } from '@wax-fist/core/days';
import { readyCourses } from '@wax-fist/core/syllabus';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film, observation, round, strike, trainingSession } from '../../db/schema/index.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { clubDay } from '../sessions/club-day.ts';

const today = clubDay();

describe('the syllabus of a club', () => {
  let server: ServerUnderTest;
  let head: Visitor;
  let coach: Visitor;
  let scene: ClubScene;
  const [first, second] = readyCourses.map(
    (course, place): SavedCourse => structuredClone({ ...course, place }) as SavedCourse,
  ) as [SavedCourse, SavedCourse];
  before(async () => {
    server = await startServer({ works: false });
    head = await server.as('head-coach');
    coach = await server.as('coach');
  });
  beforeEach(async () => {
    scene = await addScene(server);
    for (const course of [first, second]) await head.ask(syllabusEndpoints.saveCourse, { courseId: course.id }, course);
  });
  after(() => server.stop());

  const ofTrainee = () => ({ traineeId: scene.traineeId });
  const put = (body: object) => coach.ask(syllabusEndpoints.putOnCourse, ofTrainee(), body);
  const onFirst = (change: object = {}) => put({ courseId: first.id, begunOn: dayAfter(today, -60), testOn: null, ...change });
  const shown = async (): Promise<TraineeCourse> =>
    (await coach.ask<TraineeCourse>(syllabusEndpoints.showTraineeCourse, ofTrainee())).body;
  const heldOn = async (): Promise<string> =>
    (await server.services.db.select().from(trainingSession).where(eq(trainingSession.id, scene.sessionId)))[0]!.heldOn;
  const requirement = async (kind: string, lead: string | null = null) =>
    (await shown()).readiness!.requirements.find((one) => one.kind === kind && one.lead === lead)!;

  it('is kept by the head coach, in its order, and names only what there is', async () => {
    expect((await coach.ask(syllabusEndpoints.saveCourse, { courseId: first.id }, first)).status).to.equal(403);
    const wrong = { ...first, mustHaves: [{ technique: 'jab', checkpointId: 'kk.return', rung: 3 }] };
    const { status, body } = await head.ask(syllabusEndpoints.saveCourse, { courseId: first.id }, wrong);
    expect([status, (body as { fields: { field: string }[] }).fields[0]!.field]).to.deep.equal([422, 'mustHaves[0]']);
    const listed = (await coach.ask<SavedCourse[]>(syllabusEndpoints.listCourses)).body;
    expect(listed.map(({ name }) => name)).to.deep.equal([first.name, second.name]);
    expect(listed[0]).to.deep.equal(first);
  });

  it('keeps a course as long as somebody is on it', async () => {
    await onFirst();
    const refused = await head.ask(syllabusEndpoints.removeCourse, { courseId: first.id });
    expect([refused.status, JSON.stringify(refused.body)]).to.satisfy(
      ([status, said]: [number, string]) => status === 409 && said.includes('on this course'),
    );
    await coach.ask(syllabusEndpoints.takeOffCourse, ofTrainee());
    expect((await shown()).onCourse).to.equal(null);
    const other = { ...second, id: uuid() };
    await head.ask(syllabusEndpoints.saveCourse, { courseId: other.id }, other);
    expect((await head.ask(syllabusEndpoints.removeCourse, { courseId: other.id })).status).to.equal(204);
  });

  it('puts somebody on a course that there is, and no test before it begins', async () => {
    expect((await put({ courseId: uuid(), begunOn: today, testOn: null })).status).to.equal(404);
    expect((await onFirst({ testOn: dayAfter(today, -61) })).status).to.equal(422);
    const testOn = dayAfter(today, 40);
    await onFirst({ testOn });
    const asked = { from: dayAfter(today, 39), to: dayAfter(today, 41) };
    const days = await coach.ask<TestDay[]>(syllabusEndpoints.testDays, {}, undefined, {}, asked);
    expect(days.body.filter(({ traineeId }) => traineeId === scene.traineeId)).to.deep.equal([
      { ...ofTrainee(), traineeName: days.body[0]!.traineeName, courseName: first.name, testOn },
    ]);
  });

  it('counts as attended what was filmed and what was done, since the course began', async () => {
    await onFirst({ begunOn: '2020-01-01' });
    const before = (await shown()).credits;
    await onFirst({ begunOn: today });
    expect([before, (await shown()).credits]).to.deep.equal([1, 0]);
    expect((await requirement('credits')).has).to.equal('0 of 12');
  });

  it('knows a set by the rounds in which it was called, and which foot was in front', async () => {
    await onFirst({ begunOn: '2020-01-01' });
    expect((await requirement('set')).has).to.equal('Not thrown yet');
    const { db } = server.services;
    // The set lands in one combination; the frames of the scene are evenly spread over its length.
    await db.delete(strike).where(eq(strike.filmId, scene.filmId));
    const [{ frames, duration }] = (await db
      .select({ frames: film.frames, duration: film.duration })
      .from(film)
      .where(eq(film.id, scene.filmId))) as [{ frames: number; duration: number }];
    const frameAt = (time: number): number => Math.round((time / duration) * (frames - 1));
    const said = { removed: false, saidAt: new Date(), part: null, revisionId: uuid() };
    const thrown = ['jab', 'cross', 'lead-hook', 'cross'].map((technique, place) => {
      const contactFrame = frameAt(1000 + 300 * place);
      return {
        id: uuid(),
        filmId: scene.filmId,
        technique,
        launchFrame: contactFrame - 1,
        contactFrame,
        homeFrame: contactFrame + 1,
        ...said,
      };
    });
    await db.insert(strike).values(thrown);
    await db.insert(round).values({
      ...{ id: uuid(), filmId: scene.filmId, name: 'Set', startsAt: 0, endsAt: duration, kind: 'heavy bag', manner: 'called' },
      ...{ planned: first.sets[0]!.recipe, proposed: false },
    });
    expect(await requirement('set')).to.include({ met: true });
    const ofDay = { courseId: first.id, day: await heldOn() };
    const films = await coach.ask<TestFilms>(syllabusEndpoints.testFilms, ofTrainee(), undefined, {}, ofDay);
    expect(films.body.sheet.sets).to.deep.equal([
      { setId: first.sets[0]!.id, lead: 'usual', thrown: ['jab', 'cross', 'lead-hook', 'cross'], saidAloud: false },
    ]);
    // The same film with the other foot in front says nothing of the usual one.
    await db.update(film).set({ stance: 'southpaw' }).where(eq(film.id, scene.filmId));
    expect((await requirement('set')).has).to.equal('Not thrown yet');
    await put({ courseId: second.id, begunOn: '2020-01-01', testOn: null });
    const sets = (await shown()).readiness!.requirements.filter(
      ({ kind, what }) => kind === 'set' && what === second.sets[0]!.name,
    );
    expect(sets.map(({ lead, met }) => [lead, met])).to.deep.equal([
      ['usual', false],
      ['other', true],
    ]);
  });

  it('counts what coaches said of must-haves on the day of a test, by foot', async () => {
    const { db } = server.services;
    const [session] = await db.select().from(trainingSession).where(eq(trainingSession.id, scene.sessionId));
    const strikeId = uuid();
    await db.insert(strike).values({
      ...{ id: strikeId, filmId: scene.filmId, technique: 'jab', launchFrame: 10, contactFrame: 14, homeFrame: 20 },
      ...{ removed: false, saidAt: new Date(), revisionId: uuid() },
    });
    await db.insert(observation).values({
      ...{
        id: uuid(),
        strikeId,
        checkpointId: 'gd.return-line',
        subject: 'trainee',
        verdict: 'clean',
        view: 'lead-side',
      },
      ...{ checklistVersion: session!.checklistVersion, saidAt: new Date() },
    } as typeof observation.$inferInsert);
    const ofDay = { courseId: first.id, day: await heldOn() };
    const films = await coach.ask<TestFilms>(syllabusEndpoints.testFilms, ofTrainee(), undefined, {}, ofDay);
    expect(films.body.sheet.mustHaves).to.deep.equal([
      { technique: 'jab', checkpointId: 'gd.return-line', lead: 'usual', clean: 1, fault: 0 },
    ]);
    expect(films.body.films).to.equal(1);
  });

  it('is not worked out again from the same, and is when something was planned', async () => {
    await onFirst();
    const { db } = server.services;
    const one = await shown();
    expect(await shown()).to.deep.equal(one);
    expect((await requirement('set')).earliest).to.equal(dayAfter(today, 7));
    const { parts, ...plan } = planOf(dayAfter(today, 2));
    const saved = await coach.ask(planEndpoints.savePlan, { planId: plan.id }, { ...plan, parts });
    expect(saved.status).to.equal(200);
    expect((await requirement('set')).earliest).to.equal(dayAfter(today, 2));
    // Closed on that day: the next one counts.
    const closed = { id: uuid(), name: 'Hall is painted', from: dayAfter(today, 1), to: dayAfter(today, 3) };
    await coach.ask(syllabusEndpoints.saveClosure, { closureId: closed.id }, closed);
    expect((await requirement('set')).earliest).to.equal(dayAfter(today, 9));
    await coach.ask(syllabusEndpoints.removeClosure, { closureId: closed.id });
    expect((await db.query.closure.findMany()).length).to.equal(0);
  });
  const planOf = (plannedOn: string) => ({
    ...{ id: uuid(), traineeId: scene.traineeId, plannedOn, length: 1800, change: 60, leads: 'both alike' },
    parts: [
      {
        ...{ id: 'a', kind: 'free', title: 'Free', on: 'shadowboxing', impact: false, rounds: 2, work: 60, rest: 30 },
        leads: 'both alike',
      },
    ],
  });

  const test = (change: Partial<GradeTestDraft> = {}): GradeTestDraft => ({
    ...{ id: uuid(), traineeId: scene.traineeId, courseId: first.id, heldOn: today, outcome: 'open', note: '' },
    sheet: { sets: [], mustHaves: [] },
    ...change,
  });
  const save = (sent: GradeTestDraft, by = coach) => by.ask<GradeTest>(syllabusEndpoints.saveTest, { testId: sent.id }, sent);

  it('keeps a test with the course as it was', async () => {
    await onFirst();
    const sent = test({ note: 'In the small hall' });
    expect((await save(sent)).body).to.include({ note: 'In the small hall', outcome: 'open' });
    const changed = { ...first, passMark: 0.9 };
    await head.ask(syllabusEndpoints.saveCourse, { courseId: first.id }, changed);
    const again = (await save({ ...sent, outcome: 'not-yet' })).body;
    expect([again.course.passMark, again.outcome]).to.deep.equal([first.passMark, 'not-yet']);
    expect((await coach.ask<GradeTest[]>(syllabusEndpoints.traineeTests, ofTrainee())).body.map(({ id }) => id)).to.deep.equal([
      sent.id,
    ]);
  });

  it('moves whoever passes on to the next course and its grade, once', async () => {
    await onFirst();
    const trainee = (await coach.ask(traineeEndpoints.showTrainee, ofTrainee())).body as Record<string, unknown>;
    await coach.ask(traineeEndpoints.saveTrainee, ofTrainee(), { ...trainee, grade: 'beginner' });
    const sent = test({ outcome: 'passed' });
    await save(sent);
    expect((await shown()).onCourse).to.deep.equal({ courseId: second.id, begunOn: today, testOn: null });
    expect((await coach.ask(traineeEndpoints.showTrainee, ofTrainee())).body).to.include({ grade: 'improver' });
    await onFirst();
    await save({ ...sent, note: 'Said again' });
    expect((await shown()).onCourse!.courseId).to.equal(first.id);
    // Taken back, they stand as they stood before they passed.
    await save({ ...sent, outcome: 'not-yet' });
    expect((await shown()).onCourse).to.deep.equal({ courseId: first.id, begunOn: dayAfter(today, -60), testOn: null });
    expect((await coach.ask(traineeEndpoints.showTrainee, ofTrainee())).body).to.include({ grade: 'beginner' });
    // After the last course there is none.
    await put({ courseId: second.id, begunOn: dayAfter(today, -9), testOn: null });
    await save(test({ courseId: second.id, outcome: 'passed' }));
    expect((await shown()).onCourse).to.equal(null);
  });

  it('gives a test to nobody else, and lets it be taken away by whoever held it', async () => {
    const sent = test();
    await save(sent, head);
    const other = await addScene(server);
    expect((await save({ ...sent, traineeId: other.traineeId })).status).to.equal(409);
    expect((await coach.ask(syllabusEndpoints.removeTest, { testId: sent.id })).status).to.equal(403);
    expect((await head.ask(syllabusEndpoints.removeTest, { testId: sent.id })).status).to.equal(204);
    expect((await coach.ask(syllabusEndpoints.showTest, { testId: sent.id })).status).to.equal(404);
  });
});
