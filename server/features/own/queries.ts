import type { OwnReview, OwnStrike, OwnTrainee, ShownReview } from '@wax-fist/contract/own';
import { timeOf, unpackTimeline } from '@wax-fist/core/film';
import { checkpointName, shippedCatalogue, techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { dayAfter } from '@wax-fist/core/days';
import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, notInArray, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, film, observation, ownTrainee, plan, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { catalogueAt, newestCatalogue } from '../checklists/versions.ts';
import { seenByClub } from '../consents/queries.ts';
import { correctionsOf, isOpen } from '../corrections/queries.ts';
import { planRowColumns } from '../plans/queries.ts';
import { clubDay } from '../sessions/club-day.ts';
import { signsInFor } from './signs-in-for.ts';

/** So many sessions, the newest ones. */
const sessionsShown = 100;
/** A plan that was not done stays in sight so many days. */
const planStays = 3;

const standing = sql`not ${strike.removed}`;

const itsFilms = sql`from ${film} as taken
  cross join lateral (select count(*) from ${strike} as one where one.film_id = taken.id and not one.removed) as thrown
  where taken.session_id = ${trainingSession}.id`;
const releasedColumns = {
  id: trainingSession.id,
  heldOn: trainingSession.heldOn,
  roundKind: trainingSession.roundKind,
  films: sql<number>`(select count(*)::int ${itsFilms})`,
  strikes: sql<number>`(select coalesce(sum(thrown.count), 0)::int ${itsFilms})`,
};
const releasedSessions = (db: Database, traineeId: string) =>
  db
    .select(releasedColumns)
    .from(trainingSession)
    .where(and(eq(trainingSession.traineeId, traineeId), isNotNull(trainingSession.releasedAt)))
    .orderBy(desc(trainingSession.heldOn), desc(trainingSession.id))
    .limit(sessionsShown);

async function releasedCorrections(db: Database, traineeId: string, catalogue: Catalogue): Promise<OwnTrainee['corrections']> {
  const released = isNotNull(trainingSession.releasedAt);
  const open = await correctionsOf(db, and(eq(correction.traineeId, traineeId), isOpen, released));
  return open
    .map(({ id, technique, checkpointId, cue, rung, recheckOn }) => ({
      ...{ id, cue, rung, recheckOn, technique: techniqueName(catalogue, technique) },
      name: checkpointName(catalogue, checkpointId),
    }))
    .sort((one, other) => (one.recheckOn ?? '9').localeCompare(other.recheckOn ?? '9'));
}

const plansToDo = (db: Database, traineeId: string) =>
  db
    .select(planRowColumns)
    .from(plan)
    .where(and(eq(plan.traineeId, traineeId), isNull(plan.doneOn), gte(plan.plannedOn, dayAfter(clubDay(), -planStays))))
    .orderBy(asc(plan.plannedOn), asc(plan.id));

/** What was released of all for whom an account signs in. */
export async function ownTraineesOf(db: Database, accountId: string): Promise<OwnTrainee[]> {
  const { id, name, stance, schoolId } = trainee;
  const people = await db
    .select({ id, name, stance, schoolId })
    .from(ownTrainee)
    .innerJoin(trainee, eq(trainee.id, ownTrainee.traineeId))
    .where(eq(ownTrainee.accountId, accountId))
    .orderBy(asc(trainee.name), asc(trainee.id));
  const catalogue = await newestCatalogue(db);
  return Promise.all(
    people.map(async (person) => {
      const [corrections, plans, sessions] = await Promise.all([
        releasedCorrections(db, person.id, catalogue),
        plansToDo(db, person.id),
        releasedSessions(db, person.id),
      ]);
      return { ...person, corrections, plans, sessions };
    }),
  );
}

/** What others have agreed to have shown to everybody of the club, the newest first. */
export async function shownReviewsTo(db: Database, accountId: string): Promise<ShownReview[]> {
  const own = db.select({ id: ownTrainee.traineeId }).from(ownTrainee).where(eq(ownTrainee.accountId, accountId));
  const rows = await db
    .select({
      ...releasedColumns,
      ...{ traineeName: trainee.name, traineeId: trainingSession.traineeId, holderId: trainingSession.holderId },
    })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(and(trainingSession.shownToClub, notInArray(trainingSession.traineeId, own)))
    .orderBy(desc(trainingSession.heldOn), desc(trainingSession.id))
    .limit(sessionsShown);
  return (await seenByClub(db, rows)).map(({ traineeId: _, holderId: _holder, ...row }) => row);
}

interface Said {
  checkpointId: string;
  verdict: string | null;
}
/** What counts of what was said of the strikes of some films, about the trainee and not about who holds; by strike. */
async function saidIn(db: Database, filmIds: readonly string[]): Promise<Map<string, Said[]>> {
  const rows = await db
    .select({ strikeId: observation.strikeId, checkpointId: observation.checkpointId, verdict: observation.verdict })
    .from(observation)
    .innerJoin(strike, and(eq(strike.id, observation.strikeId), standing))
    .where(
      and(
        inArray(strike.filmId, [...filmIds]),
        eq(observation.superseded, false),
        eq(observation.subject, 'trainee'),
        inArray(observation.verdict, ['fault', 'clean']),
      ),
    );
  const said = new Map<string, Said[]>();
  for (const { strikeId, ...one } of rows) said.set(strikeId, [...(said.get(strikeId) ?? []), one]);
  return said;
}

function inWords(catalogue: Catalogue, said: readonly Said[]): Pick<OwnStrike, 'faults' | 'clean'> {
  const of = (verdict: string): Said[] => said.filter((one) => one.verdict === verdict);
  const faults = of('fault').map(({ checkpointId }) => ({
    name: checkpointName(catalogue, checkpointId),
    cue: catalogue.checkpoints.get(checkpointId)?.cues[0] ?? '',
  }));
  return { faults, clean: of('clean').length };
}

/** The review of a session strike by strike, as an account sees it. @throws Refusal when there is no such session */
export async function ownReviewOf(db: Database, accountId: string, sessionId: string): Promise<OwnReview> {
  const rows = await db
    .select({ session: trainingSession, traineeName: trainee.name })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(eq(trainingSession.id, sessionId));
  const { session, traineeName } = found(rows, 'session');
  const films = await db
    .select({ id: film.id, view: film.view, timeline: film.timeline, firstFrameAt: film.firstFrameAt })
    .from(film)
    .where(and(eq(film.sessionId, sessionId), eq(film.state, 'ready'), isNotNull(film.timeline)))
    .orderBy(asc(film.addedAt), asc(film.id));
  const ids = films.map(({ id }) => id);
  const [own, strikes, said, catalogue = shippedCatalogue] = await Promise.all([
    signsInFor(db, accountId, session.traineeId),
    db
      .select({ id: strike.id, filmId: strike.filmId, technique: strike.technique, contactFrame: strike.contactFrame })
      .from(strike)
      .where(and(inArray(strike.filmId, ids), standing))
      .orderBy(asc(strike.contactFrame), asc(strike.id)),
    saidIn(db, ids),
    catalogueAt(db, session.checklistVersion),
  ]);
  return {
    ...{ id: sessionId, traineeId: session.traineeId, traineeName, heldOn: session.heldOn, roundKind: session.roundKind },
    own,
    films: films.map(({ id, view, timeline, firstFrameAt }) => {
      const frames = unpackTimeline(timeline!);
      return {
        ...{ id, view },
        strikes: strikes
          .filter(({ filmId }) => filmId === id)
          .map((one) => ({
            ...{ id: one.id, technique: techniqueName(catalogue, one.technique) },
            at: timeOf(frames, one.contactFrame) + (firstFrameAt ?? 0),
            ...inWords(catalogue, said.get(one.id) ?? []),
          })),
      };
    }),
  };
}
