import { syllabusEndpoints } from '@wax-fist/contract/syllabus';
import { asc, between, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { closure, course, gradeTest, onCourse, trainee } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { coursesInOrder, putOnCourse, removeCourse, saveCourse } from './courses.ts';
import { courseOfTrainee, placeOf } from './standing.ts';
import { saveTest, testFilms, testNamed, testsOf } from './tests.ts';

export function syllabusRoutes(router: Router, { db }: Services): void {
  serve(router, syllabusEndpoints.listCourses, () => coursesInOrder(db));
  serve(router, syllabusEndpoints.saveCourse, ({ params, body }) => {
    sameId(params.courseId, body.id);
    return saveCourse(db, body);
  });
  serve(router, syllabusEndpoints.removeCourse, ({ params }) => removeCourse(db, params.courseId));

  serve(router, syllabusEndpoints.showOnCourse, async ({ params }) => (await placeOf(db, params.traineeId)) ?? null);
  serve(router, syllabusEndpoints.showTraineeCourse, ({ params }) => courseOfTrainee(db, params.traineeId));
  serve(router, syllabusEndpoints.putOnCourse, ({ params, body }) => putOnCourse(db, params.traineeId, body));
  serve(router, syllabusEndpoints.takeOffCourse, async ({ params }) => {
    await db.delete(onCourse).where(eq(onCourse.traineeId, params.traineeId));
  });

  serve(router, syllabusEndpoints.traineeTests, ({ params }) => testsOf(db, params.traineeId));
  serve(router, syllabusEndpoints.showTest, ({ params }) => testNamed(db, params.testId));
  serve(router, syllabusEndpoints.saveTest, ({ params, body, account }) => {
    sameId(params.testId, body.id);
    return saveTest(db, body, account.id);
  });
  serve(router, syllabusEndpoints.removeTest, async ({ params }) => {
    await db.delete(gradeTest).where(eq(gradeTest.id, params.testId));
  });
  serve(router, syllabusEndpoints.testFilms, ({ params, query }) => testFilms(db, params.traineeId, query.courseId, query.day));

  serve(router, syllabusEndpoints.testDays, async ({ query }) => {
    const rows = await db
      .select({ traineeId: trainee.id, traineeName: trainee.name, courseName: course.name, testOn: onCourse.testOn })
      .from(onCourse)
      .innerJoin(trainee, eq(trainee.id, onCourse.traineeId))
      .innerJoin(course, eq(course.id, onCourse.courseId))
      .where(between(onCourse.testOn, query.from, query.to))
      .orderBy(asc(onCourse.testOn), asc(trainee.name));
    return rows.map((row) => ({ ...row, testOn: row.testOn! }));
  });

  serve(router, syllabusEndpoints.listClosures, () => db.select().from(closure).orderBy(asc(closure.from), asc(closure.id)));
  serve(router, syllabusEndpoints.saveClosure, async ({ params, body }) => {
    sameId(params.closureId, body.id);
    const { id, ...set } = body;
    const saved = await db
      .insert(closure)
      .values({ id, ...set })
      .onConflictDoUpdate({ target: closure.id, set })
      .returning();
    return found(saved, 'closure');
  });
  serve(router, syllabusEndpoints.removeClosure, async ({ params }) => {
    await db.delete(closure).where(eq(closure.id, params.closureId));
  });
}
