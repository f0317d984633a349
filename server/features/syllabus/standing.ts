import type { OnCourse, SavedCourse, TraineeCourse } from '@wax-fist/contract/syllabus';
import { matchCalls } from '@wax-fist/core/calls';
import { isAbout, seriesOf, standingOf, type Look, type Series } from '@wax-fist/core/correction';
import {
  comingDays,
  creditsOf,
  leadsAsked,
  thrownInSet,
  usualDaysApart,
  type Standing,
  type TestLead,
} from '@wax-fist/core/syllabus';
import { checkpointName, techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { and, asc, eq, isNull, isNotNull, lte, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { closure, correction, gradeTest, keptReadiness, onCourse, plan, trainingSession } from '../../db/schema/index.ts';
import { heavily } from '../../jobs/heavy.ts';
import { madeOf, seriesOfTrainee } from '../answers/answers.ts';
import { spreadNow } from '../answers/learned-spread.ts';
import { newestCatalogue } from '../checklists/versions.ts';
import { correctionsOf } from '../corrections/queries.ts';
import { clubDay } from '../sessions/club-day.ts';
import { courseNamed } from './courses.ts';
import { calledRounds, setsInFilms, talliesByLead } from './from-films.ts';

/** On which course somebody is; undefined when on none. */
export async function placeOf(db: Database, traineeId: string): Promise<OnCourse | undefined> {
  const { courseId, begunOn, testOn } = onCourse;
  const [row] = await db.select({ courseId, begunOn, testOn }).from(onCourse).where(eq(onCourse.traineeId, traineeId));
  return row;
}

/** Days on which somebody was there up to a day: those of sessions that were filmed, and of plans that were done; in order. */
export async function daysThere(db: Database, traineeId: string, until: string): Promise<string[]> {
  const [held, done] = await Promise.all([
    db
      .selectDistinct({ day: trainingSession.heldOn })
      .from(trainingSession)
      .where(and(eq(trainingSession.traineeId, traineeId), lte(trainingSession.heldOn, until))),
    db
      .selectDistinct({ day: sql<string>`${plan.doneOn}` })
      .from(plan)
      .where(and(eq(plan.traineeId, traineeId), isNotNull(plan.doneOn), lte(plan.doneOn, until))),
  ]);
  return [...new Set([...held, ...done].map(({ day }) => day))].sort();
}

/** Credits of a course up to a day. */
export async function creditsUntil(
  db: Database,
  traineeId: string,
  { creditsAWeek }: Pick<SavedCourse, 'creditsAWeek'>,
  begunOn: string,
  until: string,
): Promise<number> {
  const days = await daysThere(db, traineeId, until);
  return creditsOf(
    days.filter((day) => day >= begunOn),
    creditsAWeek,
  );
}

/** How somebody stands to the test of the course that they are on. What was worked out before from the same is not worked out again. */
export async function courseOfTrainee(db: Database, traineeId: string): Promise<TraineeCourse> {
  const place = await placeOf(db, traineeId);
  if (!place) return { onCourse: null, credits: 0, readiness: null };
  const [course, catalogue] = [await courseNamed(db, place.courseId), await newestCatalogue(db)];
  const standing = await standingNow(db, traineeId, course, place, catalogue);
  const credits = creditsOf(standing.attended, course.creditsAWeek);
  const looks = standing.mustHaves.map(({ looks: all, ...one }) => ({ ...one, looks: [...all] }));
  const key = madeOf(standing.club, course, { ...standing, club: undefined, mustHaves: looks });
  const [kept] = await db.select().from(keptReadiness).where(eq(keptReadiness.traineeId, traineeId));
  if (kept?.madeOf === key) return { onCourse: place, credits, readiness: kept.readiness };
  const readiness = await heavily('readinessOf', { course, standing });
  const row = { madeOf: key, readiness };
  await db
    .insert(keptReadiness)
    .values({ traineeId, ...row })
    .onConflictDoUpdate({ target: keptReadiness.traineeId, set: row });
  return { onCourse: place, credits, readiness };
}

async function standingNow(
  db: Database,
  traineeId: string,
  course: SavedCourse,
  { begunOn, testOn }: OnCourse,
  catalogue: Catalogue,
): Promise<Standing> {
  const today = clubDay();
  const [days, planned, closures, club, sets, mustHaves] = await Promise.all([
    daysThere(db, traineeId, today),
    db
      .select({ day: plan.plannedOn })
      .from(plan)
      .where(and(eq(plan.traineeId, traineeId), isNull(plan.doneOn))),
    db.select({ from: closure.from, to: closure.to }).from(closure).orderBy(asc(closure.from)),
    spreadNow(db),
    setsKnown(db, traineeId, course, begunOn, catalogue),
    mustHavesKnown(db, traineeId, course, catalogue),
  ]);
  return {
    ...{ today, testOn, club, sets, mustHaves },
    attended: days.filter((day) => day >= begunOn),
    coming: comingDays(
      today,
      planned.map(({ day }) => day),
      usualDaysApart(days),
      closures,
    ),
  };
}

/** How each set went when it was last thrown: in a film, or at a test. */
async function setsKnown(
  db: Database,
  traineeId: string,
  course: SavedCourse,
  begunOn: string,
  catalogue: Catalogue,
): Promise<Standing['sets']> {
  const [rounds, tests] = await Promise.all([
    calledRounds(db, traineeId, { from: begunOn }, catalogue),
    db
      .select({ heldOn: gradeTest.heldOn, sheet: gradeTest.sheet })
      .from(gradeTest)
      .where(eq(gradeTest.traineeId, traineeId))
      .orderBy(asc(gradeTest.heldOn)),
  ]);
  const atTests = tests.flatMap(({ heldOn, sheet }) =>
    sheet.sets.flatMap(({ setId, lead, thrown }) => {
      const set = course.sets.find(({ id }) => id === setId);
      const asked = set && thrownInSet(set, catalogue);
      return asked ? [{ setId, lead, look: { day: heldOn, score: matchCalls(asked, thrown).score, attempts: 1 } }] : [];
    }),
  );
  // Of the two the later one tells; of one day what was seen at the test.
  const last = new Map<string, Standing['sets'][number]>();
  for (const one of [...setsInFilms(course, rounds, catalogue), ...atTests]) {
    const key = `${one.setId} ${one.lead}`;
    if (one.look.day >= (last.get(key)?.look.day ?? '')) last.set(key, one);
  }
  return [...last.values()];
}

/** What is known of each must-have. Where either foot is asked, what measures count for is left out: it is not told apart by foot. */
async function mustHavesKnown(
  db: Database,
  traineeId: string,
  course: SavedCourse,
  catalogue: Catalogue,
): Promise<Standing['mustHaves']> {
  if (course.mustHaves.length === 0) return [];
  const [corrections, byLead] = await Promise.all([
    correctionsOf(db, eq(correction.traineeId, traineeId)),
    course.bothLeads ? seriesByLead(db, traineeId, course) : seriesOfUsual(db, traineeId, course),
  ]);
  return course.mustHaves.flatMap((one) =>
    leadsAsked(course).map((lead) => {
      const about = isAbout(one);
      const own = corrections.filter(about).map((each) => standingOf(each.history, each.rung));
      const open = own.find(({ state }) => state !== 'closed');
      const looks = new Map<number, Look[]>(
        byLead[lead].filter(about).map((series) => [series.rung, series.looks.map(({ heldOn, tally }) => ({ heldOn, tally }))]),
      );
      return {
        ...one,
        ...{ lead, looks, name: `${techniqueName(catalogue, one.technique)}: ${checkpointName(catalogue, one.checkpointId)}` },
        // A correction is worked on as somebody usually stands: of the other foot it says nothing.
        lockedUpTo: lead === 'usual' ? Math.max(0, ...own.map(({ lockedUpTo }) => lockedUpTo)) : 0,
        worksAt: lead === 'usual' ? (open?.rung ?? null) : null,
      };
    }),
  );
}

type ByLead = Record<TestLead, Series[]>;
async function seriesByLead(db: Database, traineeId: string, { mustHaves }: SavedCourse): Promise<ByLead> {
  const tallies = await talliesByLead(db, traineeId, mustHaves, { from: '0001-01-01' });
  const of = (lead: TestLead): Series[] => seriesOf(tallies.filter((one) => one.lead === lead));
  return { usual: of('usual'), other: of('other') };
}
const seriesOfUsual = async (db: Database, traineeId: string, { mustHaves }: SavedCourse): Promise<ByLead> => ({
  usual: await seriesOfTrainee(db, traineeId, { about: mustHaves }, 'strikes'),
  other: [],
});
