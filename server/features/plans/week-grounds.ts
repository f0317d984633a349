import type { WeekGround } from '@wax-fist/contract/plans';
import { dayAfter } from '@wax-fist/core/days';
import { group } from 'd3-array';
import { asc, between, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { bodyLimit, onCourse, plan, trainee, trainingSession } from '../../db/schema/index.ts';
import { traineeAnswers } from '../answers/of-corrections.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { limitColumns } from '../limits/columns.ts';

/** Who was there within so many days comes on such days. */
const lately = 42;

/** What the sessions of a week are planned from, of everybody: what nobody works on asks nothing of the levels. */
export async function weekGrounds(db: Database, monday: string): Promise<WeekGround[]> {
  const sunday = dayAfter(monday, 6);
  const [people, corrections, limits, places, plans, sessions] = await Promise.all([
    db.select().from(trainee).orderBy(asc(trainee.name), asc(trainee.id)),
    correctionsOf(db, isOpen),
    db.select(limitColumns).from(bodyLimit),
    db.select().from(onCourse),
    db
      .select({ traineeId: plan.traineeId, day: sql<string>`coalesce(${plan.doneOn}, ${plan.plannedOn})`, impact: plan.impact })
      .from(plan)
      .where(between(sql`coalesce(${plan.doneOn}, ${plan.plannedOn})`, dayAfter(monday, -1), dayAfter(sunday, 1))),
    db
      .selectDistinct({ traineeId: trainingSession.traineeId, day: trainingSession.heldOn })
      .from(trainingSession)
      .where(between(trainingSession.heldOn, dayAfter(monday, -lately), monday)),
  ]);
  const of = <Row extends { traineeId: string }>(rows: readonly Row[]) => {
    const byTrainee = group(rows, ({ traineeId }) => traineeId);
    return (id: string): Row[] => byTrainee.get(id) ?? [];
  };
  const [theirs, hurt, on, standing, held] = [of(corrections), of(limits), of(places), of(plans), of(sessions)];
  const grounds: WeekGround[] = [];
  // One after another: each may have to be worked out in the one thread that there is for it.
  for (const person of people) {
    const open = theirs(person.id);
    const answers = open.length > 0 ? await traineeAnswers(db, person.id) : [];
    const [place] = on(person.id);
    grounds.push({
      trainee: person,
      corrections: open,
      limits: hurt(person.id),
      settling: answers.flatMap(({ correctionId, rung, settling }) =>
        correctionId && settling ? [{ correctionId, rung, strikes: settling.strikes }] : [],
      ),
      onCourse: place ? { courseId: place.courseId, begunOn: place.begunOn, testOn: place.testOn } : null,
      lately: held(person.id)
        .map(({ day }) => day)
        .sort(),
      standing: standing(person.id).map(({ day, impact }) => ({ day, impact })),
    });
  }
  return grounds;
}
