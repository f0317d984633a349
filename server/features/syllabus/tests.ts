import type { GradeTest, GradeTestDraft, OnCourse, TestFilms } from '@wax-fist/contract/syllabus';
import { testLeads, thrownInSet, type TestLead } from '@wax-fist/core/syllabus';
import { oneViewEach } from '@wax-fist/core/review';
import { heardCombinations } from '@wax-fist/core/rounds';
import { hasReached, type Grade } from '@wax-fist/core/trainee';
import { matchCalls } from '@wax-fist/core/calls';
import type { TechniqueId } from '@wax-fist/core/technique';
import { sum } from 'd3-array';
import { and, count, desc, eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, gradeTest, onCourse, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { newestCatalogue } from '../checklists/versions.ts';
import { courseAfter, courseNamed, putOnCourse } from './courses.ts';
import { calledRounds, talliesByLead } from './from-films.ts';
import { creditsUntil, placeOf } from './standing.ts';

type Row = typeof gradeTest.$inferSelect;

async function asTest(db: Database, { heldBy: _, writtenAt: _at, before: _before, ...row }: Row): Promise<GradeTest> {
  const place = await placeOf(db, row.traineeId);
  // Once somebody has passed they are on another course: what was counted until the test is all that can be told.
  const begunOn = place && place.courseId === row.course.id ? place.begunOn : '0001-01-01';
  const credits = await creditsUntil(db, row.traineeId, row.course, begunOn, row.heldOn);
  return { ...row, courseId: row.course.id, credits };
}

/** The tests of a trainee, the newest first. */
export async function testsOf(db: Database, traineeId: string): Promise<GradeTest[]> {
  const rows = await db
    .select()
    .from(gradeTest)
    .where(eq(gradeTest.traineeId, traineeId))
    .orderBy(desc(gradeTest.heldOn), desc(gradeTest.id));
  return Promise.all(rows.map((row) => asTest(db, row)));
}

/** @throws Refusal when there is none */
export const testNamed = async (db: Database, id: string): Promise<GradeTest> =>
  asTest(db, found(await db.select().from(gradeTest).where(eq(gradeTest.id, id)), 'test'));

/**
 * Writes a test. With the word that it is passed, and in the same transaction, the trainee has reached what the course leads to, and is
 * on the next one from that day; when the word is taken back they stand as they stood.
 * @throws Refusal
 */
export async function saveTest(db: Database, { courseId, ...draft }: GradeTestDraft, heldBy: string): Promise<GradeTest> {
  await db.transaction(async (tx) => {
    const person = found(await tx.select().from(trainee).where(eq(trainee.id, draft.traineeId)).for('update'), 'trainee');
    const [before] = await tx.select().from(gradeTest).where(eq(gradeTest.id, draft.id));
    if (before && before.traineeId !== draft.traineeId) throw new Refusal(409, 'This test is somebody else’s.');
    const course = before?.course.id === courseId ? before.course : await courseNamed(tx, courseId);
    const passes = draft.outcome === 'passed' && !before?.before;
    const takenBack = draft.outcome !== 'passed' ? before?.before : undefined;
    const place = (await placeOf(tx, person.id)) ?? null;
    const stood = passes ? { grade: person.grade, place } : takenBack ? null : (before?.before ?? null);
    const row = { ...draft, course, before: stood };
    await tx
      .insert(gradeTest)
      .values({ ...row, heldBy })
      .onConflictDoUpdate({ target: gradeTest.id, set: row });
    if (passes) {
      const grade = hasReached(person.grade, course.leadsTo) ? person.grade : course.leadsTo;
      const next = place?.courseId === courseId ? await courseAfter(tx, course) : undefined;
      const nextPlace = next ? { courseId: next.id, begunOn: draft.heldOn, testOn: null } : null;
      await standsAt(tx, person.id, grade, place?.courseId === courseId ? nextPlace : place);
    } else if (takenBack) await standsAt(tx, person.id, takenBack.grade, takenBack.place);
  });
  return testNamed(db, draft.id);
}

/** Gives somebody a grade, and a place on a course or none. */
async function standsAt(tx: Database, traineeId: string, grade: Grade, place: OnCourse | null): Promise<void> {
  await tx.update(trainee).set({ grade }).where(eq(trainee.id, traineeId));
  if (place) await putOnCourse(tx, traineeId, place);
  else await tx.delete(onCourse).where(eq(onCourse.traineeId, traineeId));
}

/** What was tagged and judged on a day, as a sheet has it: of each set the attempt that was most like it, of each must-have what was counted. */
export async function testFilms(db: Database, traineeId: string, courseId: string, day: string): Promise<TestFilms> {
  const [course, catalogue] = [await courseNamed(db, courseId), await newestCatalogue(db)];
  const days = { from: day, to: day };
  const [rounds, tallies, [films]] = await Promise.all([
    calledRounds(db, traineeId, days, catalogue),
    talliesByLead(db, traineeId, course.mustHaves, days),
    db
      .select({ films: count() })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .where(and(eq(trainingSession.traineeId, traineeId), eq(trainingSession.heldOn, day))),
  ]);
  const thrown = (lead: TestLead): TechniqueId[][] =>
    rounds[lead].flatMap((one) => heardCombinations(one.thrown).map((some) => some.map(({ technique }) => technique)));
  const sets = course.sets.flatMap((set) => {
    const asked = thrownInSet(set, catalogue);
    return testLeads.flatMap((lead) => {
      const likest = asked && thrown(lead).toSorted((a, b) => matchCalls(asked, b).score - matchCalls(asked, a).score)[0];
      // What is less than half like it was something else.
      if (!likest || matchCalls(asked, likest).score < 0.5) return [];
      return [{ setId: set.id, lead, thrown: likest, saidAloud: false }];
    });
  });
  const mustHaves = course.mustHaves.flatMap(({ technique, checkpointId }) =>
    testLeads.flatMap((lead) => {
      const own = tallies.filter((one) => one.technique === technique && one.checkpointId === checkpointId && one.lead === lead);
      const seen = oneViewEach(own).map(({ tally }) => tally);
      // A watch is no clean strike at a test.
      const [clean, fault] = [sum(seen, (one) => one.clean), sum(seen, (one) => one.fault + one.watch)];
      return clean + fault > 0 ? [{ technique, checkpointId, lead, clean, fault }] : [];
    }),
  );
  return { sheet: { sets, mustHaves }, films: films!.films };
}
