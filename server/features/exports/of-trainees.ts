import type { TraineeExport } from '@wax-fist/contract/exports';
import { faultRate, rungName } from '@wax-fist/core/correction';
import { bodyBox, packedFrame, unpackTrack } from '@wax-fist/core/body';
import {
  annotationPage,
  calendarOf,
  csvOf,
  type AnnotatedRegion,
  type AnnotatedVerdict,
  type CalendarDay,
} from '@wax-fist/core/formats';
import { timeOf, unpackTimeline } from '@wax-fist/core/film';
import { oneViewEach, type Verdict } from '@wax-fist/core/review';
import { isMeasureId, measures, shippedCatalogue, checkpointName, techniqueName, viewNames } from '@wax-fist/core/technique';
import { clockTime } from '@wax-fist/core/words';
import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import {
  account,
  correction,
  course,
  film,
  filmPoints,
  observation,
  onCourse,
  strike,
  strikeMeasure,
  trainee,
  trainingSession,
  plan,
} from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { newestCatalogue } from '../checklists/versions.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { talliesOfTrainee } from '../measures/counted-tallies.ts';

const nameOf = async (db: Database, traineeId: string): Promise<string> =>
  found(await db.select({ name: trainee.name }).from(trainee).where(eq(trainee.id, traineeId)), 'trainee').name;

/** Everything that was said or measured of each checkpoint of each strike, oldest first. */
const saidOfStrikes = (db: Database, traineeId: string) =>
  db
    .select({
      id: observation.id,
      strikeId: strike.id,
      filmId: film.id,
      fileName: film.fileName,
      heldOn: trainingSession.heldOn,
      rung: trainingSession.rung,
      view: film.view,
      technique: strike.technique,
      launchFrame: strike.launchFrame,
      contactFrame: strike.contactFrame,
      homeFrame: strike.homeFrame,
      checkpointId: sql<string>`coalesce(${observation.checkpointId}, ${strikeMeasure.checkpointId})`,
      verdict: observation.verdict,
      note: observation.note,
      saidBy: account.name,
      saidAt: observation.saidAt,
      value: strikeMeasure.value,
      doubt: strikeMeasure.doubt,
    })
    .from(trainingSession)
    .innerJoin(film, and(eq(film.sessionId, trainingSession.id), isNotNull(film.timeline)))
    .innerJoin(strike, and(eq(strike.filmId, film.id), eq(strike.removed, false)))
    .leftJoin(
      sql`(select strike_id, checkpoint_id from ${observation} where not superseded and verdict is not null
        union select strike_id, checkpoint_id from ${strikeMeasure}) as thing`,
      sql`thing.strike_id = ${strike.id}`,
    )
    .leftJoin(
      observation,
      and(
        eq(observation.strikeId, strike.id),
        sql`${observation.checkpointId} = thing.checkpoint_id`,
        eq(observation.superseded, false),
        isNotNull(observation.verdict),
      ),
    )
    .leftJoin(strikeMeasure, and(eq(strikeMeasure.strikeId, strike.id), sql`${strikeMeasure.checkpointId} = thing.checkpoint_id`))
    .leftJoin(account, eq(account.id, observation.saidBy))
    .where(eq(trainingSession.traineeId, traineeId))
    .orderBy(asc(trainingSession.heldOn), asc(film.id), asc(strike.contactFrame), asc(strike.id), sql`thing.checkpoint_id`);

/** When every frame of the films of a trainee is shown; one film after the other would be asked for again and again. */
async function clocksOf(db: Database, traineeId: string): Promise<(filmId: string, frame: number) => number> {
  const rows = await db
    .select({ id: film.id, timeline: film.timeline })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(and(eq(trainingSession.traineeId, traineeId), isNotNull(film.timeline)));
  const timelines = new Map(rows.map(({ id, timeline }) => [id, unpackTimeline(timeline!)]));
  return (filmId, frame) => Math.round(timeOf(timelines.get(filmId)!, frame));
}

async function strikesTable(db: Database, traineeId: string): Promise<string> {
  const [name, rows, clock, catalogue] = await Promise.all([
    nameOf(db, traineeId),
    saidOfStrikes(db, traineeId),
    clocksOf(db, traineeId),
    newestCatalogue(db),
  ]);
  /** What is told beside a checkpoint goes by the name of what is measured. */
  const nameOfRow = (id: string): string => (isMeasureId(id) ? measures[id].name : checkpointName(catalogue, id));
  const unitOf = (id: string): string => {
    const measure = catalogue.checkpoints.get(id)?.measure ?? id;
    return isMeasureId(measure) ? measures[measure].unit : '';
  };
  return csvOf(
    [
      ...['trainee', 'session', 'film', 'view', 'rung', 'strike', 'technique', 'launch ms', 'contact ms', 'home ms'],
      ...['checkpoint', 'verdict', 'note', 'said by', 'measured', 'doubt', 'unit'],
    ],
    rows.map((row) => [
      name,
      row.heldOn,
      row.fileName,
      viewNames[row.view],
      rungName(row.rung),
      row.strikeId,
      techniqueName(catalogue, row.technique),
      ...[row.launchFrame, row.contactFrame, row.homeFrame].map((frame) => clock(row.filmId, frame)),
      row.checkpointId && nameOfRow(row.checkpointId),
      row.verdict,
      row.note,
      row.saidBy,
      row.value,
      row.doubt,
      row.value === null ? '' : unitOf(row.checkpointId),
    ]),
  );
}

async function ratesTable(db: Database, traineeId: string): Promise<string> {
  const [name, tallies, catalogue] = await Promise.all([
    nameOf(db, traineeId),
    talliesOfTrainee(db, traineeId),
    newestCatalogue(db),
  ]);
  return csvOf(
    [
      ...['trainee', 'session', 'rung', 'technique', 'checkpoint', 'view'],
      ...['clean', 'watch', 'fault', 'cannot see', 'rate', '90% from', '90% to', 'by measure alone'],
    ],
    oneViewEach(tallies).map(({ heldOn, rung, technique, checkpointId, view, tally, byMeasure = 0 }) => {
      const { rate, low, high, seen } = faultRate(tally);
      return [
        ...[
          name,
          heldOn,
          rungName(rung),
          techniqueName(catalogue, technique),
          checkpointName(catalogue, checkpointId),
          viewNames[view],
        ],
        ...[tally.clean, tally.watch, tally.fault, tally.cantSee],
        ...(seen > 0 ? [rate, low, high] : [null, null, null]),
        byMeasure,
      ];
    }),
  );
}

/** Where whoever strikes is in the picture at contact, by strike; of films in which they were followed. */
async function regionsOf(db: Database, traineeId: string): Promise<Map<string, AnnotatedRegion>> {
  const at = sql`${strike.contactFrame} - ${filmPoints.fromFrame}`;
  const rows = await db
    .select({
      strikeId: strike.id,
      width: film.width,
      height: film.height,
      packed: sql<Buffer>`substring(${filmPoints.packed} from (${at}) * ${packedFrame}::int + 1 for ${packedFrame}::int)`,
    })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(filmPoints, and(eq(filmPoints.filmId, film.id), sql`${at} >= 0 and ${at} < ${filmPoints.frames}`))
    .where(and(eq(trainingSession.traineeId, traineeId), eq(strike.removed, false)));
  return new Map(
    rows.flatMap(({ strikeId, width, height, packed }) => {
      const box = width && height && bodyBox(unpackTrack(0, packed), 0, { width, height });
      return box ? [[strikeId, { unit: 'pixel' as const, ...box }] as const] : [];
    }),
  );
}

async function verdictsAsAnnotations(db: Database, traineeId: string): Promise<string> {
  await nameOf(db, traineeId);
  const [rows, clock, regions] = await Promise.all([
    saidOfStrikes(db, traineeId),
    clocksOf(db, traineeId),
    regionsOf(db, traineeId),
  ]);
  const verdicts = rows.flatMap((row): AnnotatedVerdict[] =>
    row.id === null || row.verdict === null
      ? []
      : [
          {
            id: row.id,
            filmId: row.filmId,
            from: clock(row.filmId, row.launchFrame),
            to: clock(row.filmId, row.homeFrame),
            region: regions.get(row.strikeId) ?? null,
            technique: row.technique,
            checkpointId: row.checkpointId,
            verdict: row.verdict satisfies Verdict,
            note: row.note,
            saidBy: row.saidBy ?? '',
            saidAt: row.saidAt!.toISOString(),
          },
        ],
  );
  return `${JSON.stringify(annotationPage(verdicts, traineeId), undefined, 1)}\n`;
}

/** Sessions that wait on their day, with what they take. */
async function plannedSessions(db: Database, traineeId: string, name: string, home: string): Promise<CalendarDay[]> {
  const waiting = await db
    .select({ id: plan.id, revision: plan.revision, plannedOn: plan.plannedOn, length: plan.length, says: plan.says })
    .from(plan)
    .where(and(eq(plan.traineeId, traineeId), isNull(plan.doneOn)))
    .orderBy(asc(plan.plannedOn), asc(plan.id));
  return waiting.map(({ id, revision, plannedOn, length, says }) => ({
    id: `plan-${id}`,
    version: revision,
    day: plannedOn,
    title: `${name}: session, ${Math.round(length / 60)} minutes`,
    description: says.parts.map(({ title, rounds, work }) => `${title}, ${rounds} × ${clockTime(work)}`).join('; '),
    url: `${home}/plans/${id}`,
  }));
}

/** The day of a test, once it is set. */
async function testDays(db: Database, traineeId: string, name: string, home: string): Promise<CalendarDay[]> {
  const rows = await db
    .select({ testOn: onCourse.testOn, revision: onCourse.revision, courseId: course.id, courseName: course.name })
    .from(onCourse)
    .innerJoin(course, eq(course.id, onCourse.courseId))
    .where(and(eq(onCourse.traineeId, traineeId), isNotNull(onCourse.testOn)));
  return rows.map(({ testOn, revision, courseId, courseName }) => ({
    id: `test-${traineeId}-${courseId}`,
    version: revision,
    day: testOn!,
    title: `${name}: test`,
    description: `${courseName}.`,
    url: `${home}/trainees/${traineeId}/test`,
  }));
}

async function rechecks(db: Database, traineeId: string, home: string): Promise<string> {
  const name = await nameOf(db, traineeId);
  const [open, planned, tests] = await Promise.all([
    correctionsOf(db, and(isOpen, eq(correction.traineeId, traineeId))),
    plannedSessions(db, traineeId, name, home),
    testDays(db, traineeId, name, home),
  ]);
  const days = open.flatMap(({ id, recheckOn, cue, technique, checkpointId, history }) =>
    recheckOn === null
      ? []
      : [
          {
            id: `recheck-${id}`,
            // Everything that may have moved the day is a line of its history.
            version: history.length,
            day: recheckOn,
            title: `${name}: “${cue}”`,
            description: `${techniqueName(shippedCatalogue, technique)}, ${checkpointName(shippedCatalogue, checkpointId).toLowerCase()}: look again.`,
            url: `${home}/trainees/${traineeId}`,
          },
        ],
  );
  return calendarOf([...days, ...planned, ...tests], `${name}: look again`);
}

/** How each file of a trainee is written. @param home where the pages are */
export const traineeFiles: Readonly<Record<TraineeExport, (db: Database, traineeId: string, home: string) => Promise<string>>> = {
  'strikes.csv': strikesTable,
  'rates.csv': ratesTable,
  'verdicts.jsonld': verdictsAsAnnotations,
  'rechecks.ics': rechecks,
};
