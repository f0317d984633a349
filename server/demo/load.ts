import { copyFile, mkdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { JudgedBy } from '@wax-fist/contract/schools';
import { usualTopRung } from '@wax-fist/core/correction';
import { readyCourses } from '@wax-fist/core/syllabus';
import { needsGuardian } from '@wax-fist/core/trainee';
import type { ImportStep } from '@wax-fist/contract/footage';
import { padKinds } from '@wax-fist/core/rounds';
import { and, eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import {
  account,
  callSet,
  consent,
  course,
  film,
  filmPoints,
  filmStep,
  holderPoints,
  secondPassPoints,
  onCourse,
  ownTrainee,
  round,
  trainee,
  trainingSession,
} from '../db/schema/index.ts';
import { learnSpread } from '../features/answers/learned-spread.ts';
import { hashedPassword } from '../features/accounts/passwords.ts';
import { addCorrectionEvent, openCorrection } from '../features/corrections/write-corrections.ts';
import { writeMarks } from '../features/review/write-marks.ts';
import { standardFor } from '../features/sessions/standard.ts';
import { clubDay, clubDayAfter } from '../features/sessions/club-day.ts';
import { addSteps, workOnFilm, type ImportServices } from '../jobs/work-on-film.ts';
import { demoCoaches, demoPlaces, demoSets, demoSignIns, demoTrainees } from './club.ts';
import { filmPath, pointsOfFilm, truthOfFilm } from './footage.ts';
import { marksFromTruth } from './marks-from-truth.ts';
import { markAgain, workAtBench } from './reviewing.ts';
import type { DemoFilm, DemoSession, DemoSubject, DemoTrainee } from './person.ts';

export interface DemoLoading extends ImportServices {
  password: string;
  say: (line: string) => void;
  /** Whose sessions are worked in, by a part of their names; everybody’s when not told. */
  only?: string;
}

/** Fills an empty database with the demo club, its coaches all with this password. */
export async function loadDemoClub(services: DemoLoading): Promise<void> {
  const { db, password, say, only = '' } = services;
  const passwordHash = await hashedPassword(password);
  const coaches = demoCoaches.map((coach) => ({ id: uuid(), passwordHash, ...coach }));
  await db.insert(account).values(coaches);
  await db.insert(course).values(
    readyCourses.map(({ id, name, ...says }, place) => ({
      id,
      name,
      place: place + 1,
      says: says as typeof course.$inferInsert.says,
    })),
  );
  await db.insert(callSet).values(demoSets.map((set) => ({ id: uuid(), ...set })));
  const people = new Map(demoTrainees.map((person) => [person.name, { id: uuid(), person }]));
  // All of them first: one may hold the pads for another.
  for (const { id, person } of people.values()) await db.insert(trainee).values({ id, ...withoutSessions(person) });
  for (const { id, person } of people.values()) {
    const guardian = needsGuardian(person.ageGroup);
    await db.insert(consent).values({
      ...{ id: uuid(), traineeId: id, givenBy: guardian ? 'Their father' : person.name, asGuardian: guardian },
      ...{ seenBy: guardian ? ('club' as const) : ('anyone' as const), asReference: !guardian, until: null },
      ...{ givenOn: clubDayAfter(new Date(), -120), note: 'Signed sheet in the blue folder.', writtenBy: coaches[0]!.id },
    });
  }
  for (const { trainees, ...fields } of demoSignIns) {
    const accountId = uuid();
    await db.insert(account).values({ id: accountId, passwordHash, ...fields });
    for (const name of trainees) await db.insert(ownTrainee).values({ accountId, traineeId: people.get(name)!.id });
  }
  for (const [name, { course: place, begunAgo, testIn }] of Object.entries(demoPlaces)) {
    const now = new Date();
    const days = { begunOn: clubDayAfter(now, -begunAgo), testOn: testIn === null ? null : clubDayAfter(now, testIn) };
    await db.insert(onCourse).values({ traineeId: people.get(name)!.id, courseId: readyCourses[place - 1]!.id, ...days });
  }
  const left = [...people.values()].filter(({ person }) => person.name.includes(only));
  const lane = async (): Promise<void> => {
    for (let next = left.shift(); next; next = left.shift()) await addPerson(next.id, next.person);
  };
  async function addPerson(traineeId: string, { name, schoolId, sessions }: DemoTrainee): Promise<void> {
    /** Corrections opened so far, by what they are about. */
    const opened = new Map<string, string>();
    for (const [place, session] of sessions.entries()) {
      say(`${name}, session ${place + 1} of ${sessions.length}: working the footage in …`);
      const holderId = session.holder ? people.get(session.holder)!.id : null;
      const said = { by: coaches[0]!.id, second: coaches[1]!.id, at: eveningBefore(session.daysAgo) };
      await addSession(services, { session, traineeId, holderId, schoolId: schoolId ?? null, opened, said });
    }
  }
  // Two at a time: working a film in is mostly waiting for other programs.
  await Promise.all([lane(), lane()]);
  await learnSpread(db);
}

const withoutSessions = ({ sessions: _sessions, ...fields }: DemoTrainee) => fields;
const about = ({ technique, checkpointId }: DemoSubject): string => `${technique} ${checkpointId}`;

/** When the club trains, so many days ago. */
function eveningBefore(days: number): Date {
  const at = new Date();
  at.setDate(at.getDate() - days);
  at.setHours(18, 30, 0, 0);
  return at;
}

interface Said {
  by: string;
  /** Who marks a second time. */
  second: string;
  at: Date;
}

interface Held {
  session: DemoSession;
  traineeId: string;
  holderId: string | null;
  schoolId: string | null;
  opened: Map<string, string>;
  said: Said;
}

async function addSession(services: DemoLoading, { session, traineeId, holderId, schoolId, opened, said }: Held): Promise<void> {
  const { db } = services;
  const { films, corrections = [], words = [], place, kit, roundKind, rung, holderStance, schoolNote, planned } = session;
  const id = uuid();
  const standard = await standardFor(db, schoolId);
  const fields = { place, kit, roundKind, rung, holderId, holderStance, schoolNote };
  const releasedAt = films.every(({ done }) => done) ? said.at : null;
  const shownToClub = releasedAt !== null && session.shown === true;
  await db
    .insert(trainingSession)
    .values({ id, traineeId, heldOn: clubDay(said.at), releasedAt, shownToClub, ...fields, ...standard });
  const withHolder = padKinds.includes(roundKind);
  for (const film of films)
    await addFilm(services, { sessionId: id, film, planned, said, judging: { school: standard.judgedBy, withHolder } });
  for (const { recheckAfter, ...wanted } of corrections) {
    const correctionId = uuid();
    const recheckOn = clubDayAfter(said.at, recheckAfter);
    await openCorrection(db, { id: correctionId, sessionId: id, recheckOn, topRung: usualTopRung, ...wanted }, said);
    opened.set(about(wanted), correctionId);
  }
  for (const { kind, note, recheckAfter, ...subject } of words) {
    const recheckOn = recheckAfter === undefined ? undefined : clubDayAfter(said.at, recheckAfter);
    await addCorrectionEvent(
      db,
      opened.get(about(subject))!,
      { id: uuid(), kind, note, often: null, rung: null, sessionId: id, recheckOn },
      said,
    );
  }
}

interface Filmed {
  sessionId: string;
  film: DemoFilm;
  planned: string | undefined;
  said: Said;
  judging: { school: JudgedBy; withHolder: boolean };
}

const isDone = (db: ImportServices['db'], filmId: string, step: ImportStep): Promise<unknown> =>
  db
    .update(filmStep)
    .set({ state: 'done', progress: 1 })
    .where(and(eq(filmStep.filmId, filmId), eq(filmStep.step, step)));

/** What the pose model found in a film when it was made; on a small machine it would take half an hour to find it again. */
async function addPoints(db: ImportServices['db'], filmId: string, name: string): Promise<void> {
  const ready = [
    ['pose', 'points', filmPoints],
    ['holder', 'holder', holderPoints],
    ['second-pass', 'second-pass', secondPassPoints],
  ] as const;
  // Nothing is looked at again besides: it would keep the machine of whoever tries this busy for an hour.
  await isDone(db, filmId, 'second-pass');
  for (const [step, of, into] of ready) {
    const points = pointsOfFilm(name, of);
    if (!points) continue;
    const { frames, model, version, packed } = points;
    await db.insert(into).values({ filmId, fromFrame: 0, frames, model, version, packed });
    await isDone(db, filmId, step);
  }
}

async function addFilm(services: DemoLoading, { sessionId, film: told, planned, said, judging }: Filmed): Promise<void> {
  const id = uuid();
  const { db, storage, home } = services;
  const { name, view, rows, done } = told;
  const source = filmPath(name);
  await mkdir(home, { recursive: true });
  // It has the form of a review copy already: making one would take longer than all the rest.
  for (const file of ['original', 'film.mp4'] as const) {
    const copy = join(home, `${id}.mp4`);
    await copyFile(source, copy);
    await storage.keep(copy, id, file);
  }
  const { size } = await stat(source);
  await db.insert(film).values({ id, sessionId, view, fileName: `${name}.mp4`, bytes: size, done, addedBy: said.by });
  await addSteps(db, id);
  await isDone(db, id, 'review-copy');
  await addPoints(db, id, name);
  await workOnFilm(services, id, 'rest');
  if (planned) await db.update(round).set({ planned }).where(eq(round.filmId, id));
  if (!rows) return;
  const marks = marksFromTruth(truthOfFilm(name), { ...judging, view, rows }, said.at);
  const { refused } = await writeMarks(db, id, marks, said.by);
  if (refused[0]) throw new Error(`A mark of ${name} is not taken: ${refused[0].reason}`);
  if (rows.length > 0) await workAtBench(db, id, marks, said);
  if (told.readOtherwise) await markAgain(db, id, marks, told.readOtherwise, said);
}
