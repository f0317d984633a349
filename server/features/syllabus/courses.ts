import type { OnCourse, SavedCourse } from '@wax-fist/contract/syllabus';
import { courseProblems } from '@wax-fist/core/syllabus';
import { asc, eq, gt, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { course, onCourse, trainee } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { newestCatalogue } from '../checklists/versions.ts';

type Row = typeof course.$inferSelect;
const asCourse = ({ says, ...row }: Row): SavedCourse => ({ ...row, ...says });

export const coursesInOrder = async (db: Database): Promise<SavedCourse[]> =>
  (await db.select().from(course).orderBy(asc(course.place), asc(course.name), asc(course.id))).map(asCourse);

/** @throws Refusal when there is none */
export const courseNamed = async (db: Database, id: string): Promise<SavedCourse> =>
  asCourse(found(await db.select().from(course).where(eq(course.id, id)), 'course'));

/** The course that comes after another; undefined after the last. */
export async function courseAfter(db: Database, { place }: Pick<SavedCourse, 'place'>): Promise<SavedCourse | undefined> {
  const [row] = await db
    .select()
    .from(course)
    .where(gt(course.place, place))
    .orderBy(asc(course.place), asc(course.name))
    .limit(1);
  return row && asCourse(row);
}

/** @throws Refusal for names that there are not */
export async function saveCourse(db: Database, draft: SavedCourse): Promise<SavedCourse> {
  const [problem, ...more] = courseProblems(draft, await newestCatalogue(db)).map(({ place, says }) => ({
    field: place,
    message: says,
  }));
  if (problem) throw new Refusal(422, problem.message, [problem, ...more]);
  const { id, name, place, ...says } = draft;
  const set = { name, place, says };
  const saved = await db
    .insert(course)
    .values({ id, ...set })
    .onConflictDoUpdate({ target: course.id, set })
    .returning();
  return asCourse(found(saved, 'course'));
}

/** @throws Refusal while somebody is on it */
export async function removeCourse(db: Database, id: string): Promise<void> {
  const on = await db
    .select({ name: trainee.name })
    .from(onCourse)
    .innerJoin(trainee, eq(trainee.id, onCourse.traineeId))
    .where(eq(onCourse.courseId, id))
    .orderBy(asc(trainee.name))
    .limit(5);
  if (on.length > 0) throw new Refusal(409, `Somebody is on this course: ${on.map(({ name }) => name).join(', ')}.`);
  await db.delete(course).where(eq(course.id, id));
}

/** @throws Refusal for a trainee or a course that is not there */
export async function putOnCourse(db: Database, traineeId: string, place: OnCourse): Promise<OnCourse> {
  found(await db.select({ id: trainee.id }).from(trainee).where(eq(trainee.id, traineeId)), 'trainee');
  await courseNamed(db, place.courseId);
  await db
    .insert(onCourse)
    .values({ traineeId, ...place })
    .onConflictDoUpdate({ target: onCourse.traineeId, set: { ...place, revision: sql`${onCourse.revision} + 1` } });
  return place;
}
