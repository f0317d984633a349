import type { AgeGroup } from '@wax-fist/core/trainee';
import { blockReport, sessionReport, type JudgedInReport, type Report } from '@wax-fist/core/report';
import { isAbout } from '@wax-fist/core/correction';
import { oneViewEach, tallySum } from '@wax-fist/core/review';
import { holdingTechnique, shippedCatalogue } from '@wax-fist/core/technique';
import { and, asc, eq, gte, lte, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { account, correction, film, note, observation, round, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { sessionAnswers, traineeAnswers } from '../answers/of-corrections.ts';
import { orderOf } from '../answers/own-order.ts';
import { faultsTogether } from '../answers/together.ts';
import { catalogueAt, newestCatalogue } from '../checklists/versions.ts';
import { correctionsOf } from '../corrections/queries.ts';
import { talliesOfTrainee } from '../measures/counted-tallies.ts';
import { notesOf } from '../notes/queries.ts';
import { clubDay } from '../sessions/club-day.ts';

const holder = alias(trainee, 'holder');
const isChild = (ageGroup: AgeGroup | null): boolean => ageGroup === 'child';
const standing = sql`not ${strike.removed}`;

const filmsIn = (db: Database, sessionId: string) =>
  db
    .select({
      view: film.view,
      duration: film.duration,
      done: film.done,
      rounds: sql<number>`(select count(*)::int from ${round} where ${round.filmId} = ${film}.id)`,
      strikes: sql<number>`(select count(*)::int from ${strike} where ${strike.filmId} = ${film}.id and ${standing})`,
    })
    .from(film)
    .where(eq(film.sessionId, sessionId))
    .orderBy(asc(film.addedAt), asc(film.id));

/** Who has judged in a session, and how often. */
const judgesIn = (db: Database, sessionId: string) =>
  db
    .select({ name: sql<string>`coalesce(${account.name}, 'somebody who has left')`, verdicts: sql<number>`count(*)::int` })
    .from(observation)
    .innerJoin(strike, and(eq(strike.id, observation.strikeId), standing))
    .innerJoin(film, eq(film.id, strike.filmId))
    .leftJoin(account, eq(account.id, observation.saidBy))
    .where(and(eq(film.sessionId, sessionId), eq(observation.superseded, false), sql`${observation.verdict} is not null`))
    .groupBy(account.name)
    .orderBy(sql`count(*) desc`);

/** What one session says. @throws Refusal when there is none */
export async function reportOfSession(db: Database, sessionId: string): Promise<Report> {
  const rows = await db
    .select({ session: trainingSession, person: trainee, holderName: holder.name })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .leftJoin(holder, eq(holder.id, trainingSession.holderId))
    .where(eq(trainingSession.id, sessionId));
  const { session, person, holderName } = found(rows, 'session');
  const [films, judges, tallies, corrections, answers, together, order, catalogue, notes] = await Promise.all([
    filmsIn(db, sessionId),
    judgesIn(db, sessionId),
    talliesOfTrainee(db, person.id, { sessionId }),
    correctionsOf(db, eq(correction.traineeId, person.id)),
    sessionAnswers(db, sessionId),
    faultsTogether(db, sessionId),
    orderOf(db, sessionId),
    catalogueAt(db, session.checklistVersion),
    notesOf(db, and(eq(note.sessionId, sessionId), ne(note.text, ''))!, person.id),
  ]);
  const strikes = ({ technique }: { technique: string }): boolean => technique !== holdingTechnique;
  return sessionReport({
    ...{ id: sessionId, heldOn: session.heldOn, madeOn: clubDay(), traineeName: person.name, grade: person.grade },
    ...{ roundKind: session.roundKind, rung: session.rung, place: session.place, kit: session.kit, holderName },
    ...{ schoolName: session.judgedBy.name, schoolNote: session.schoolNote, checklistVersion: session.checklistVersion },
    ...{ films, answers, corrections: corrections.filter(strikes), together, order },
    child: isChild(person.ageGroup),
    catalogue: catalogue ?? shippedCatalogue,
    notes: notes.map(({ text, strike: of, saidBy }) => ({ text, technique: of?.technique ?? null, saidBy })),
    judges: judges.map(({ name }) => name),
    verdicts: judges.reduce((sum, one) => sum + one.verdicts, 0),
    judged: oneViewEach(tallies).filter(strikes),
  });
}

/** What was judged in several sessions, counted together. */
function together(tallies: readonly JudgedInReport[]): JudgedInReport[] {
  const all: JudgedInReport[] = [];
  for (const { technique, checkpointId, tally } of tallies) {
    const held = all.find(isAbout({ technique, checkpointId }));
    if (held) held.tally = tallySum(held.tally, tally);
    else all.push({ technique, checkpointId, tally });
  }
  return all;
}

/** What some weeks say of a trainee. @throws Refusal when there is nobody */
export async function reportOfBlock(
  db: Database,
  traineeId: string,
  { from, to }: { from: string; to: string },
): Promise<Report> {
  const person = found(await db.select().from(trainee).where(eq(trainee.id, traineeId)), 'trainee');
  const within = and(
    eq(trainingSession.traineeId, traineeId),
    gte(trainingSession.heldOn, from),
    lte(trainingSession.heldOn, to),
  );
  const thrown = sql`from ${film} join ${strike} on ${strike}.film_id = ${film}.id and not ${strike}.removed`;
  const here = sql`where ${film}.session_id = ${trainingSession}.id`;
  const [sessions, tallies, corrections, answers, catalogue] = await Promise.all([
    db
      .select({
        id: trainingSession.id,
        heldOn: trainingSession.heldOn,
        roundKind: trainingSession.roundKind,
        rung: trainingSession.rung,
        schoolName: sql<string>`${trainingSession.judgedBy} ->> 'name'`,
        films: sql<number>`(select count(*)::int from ${film} ${here})`,
        strikes: sql<number>`(select count(*)::int ${thrown} ${here})`,
        verdicts: sql<number>`(select count(*)::int ${thrown} join ${observation} as said on said.strike_id = ${strike}.id
          and not said.superseded and said.verdict is not null ${here})`,
      })
      .from(trainingSession)
      .where(within)
      .orderBy(asc(trainingSession.heldOn), asc(trainingSession.id)),
    talliesOfTrainee(db, traineeId, { since: from }),
    correctionsOf(db, eq(correction.traineeId, traineeId)),
    traineeAnswers(db, traineeId),
    newestCatalogue(db),
  ]);
  const newest = sessions.at(-1)?.id;
  const [faults, order] = newest ? await Promise.all([faultsTogether(db, newest), orderOf(db, newest)]) : [[], null];
  return blockReport({
    ...{ from, to, madeOn: clubDay(), traineeName: person.name, grade: person.grade, child: isChild(person.ageGroup) },
    ...{ catalogue, sessions, answers, corrections, order, together: faults },
    judged: together(oneViewEach(tallies).filter(({ heldOn, technique }) => heldOn <= to && technique !== holdingTechnique)),
  });
}
