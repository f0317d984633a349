import { getTableName, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, type PgColumn, type PgTable } from 'drizzle-orm/pg-core';
import * as schema from '../../db/schema/index.ts';

/** A kind of record of an archive. In their order each refers only to those before it. */
export interface RecordKind {
  name: string;
  table: PgTable;
  /** Which rows belong to some trainees; all of them where it is not told. @param trainees ids, as a query */
  of?: (trainees: SQL) => SQL;
  /** Statements that were made once and never change. */
  grows: boolean;
  /** What is worked out anew, and is neither compared nor taken over. */
  anew: readonly string[];
  /** So many rows at a time. */
  atOnce: number;
}

const { film, strike, trainingSession, correction } = schema;
const sessionsOf = (trainees: SQL): SQL =>
  sql`(select ${trainingSession.id} from ${trainingSession} where ${trainingSession.traineeId} in ${trainees})`;
const filmsOf = (trainees: SQL): SQL => sql`(select ${film.id} from ${film} where ${film.sessionId} in ${sessionsOf(trainees)})`;
const strikesOf = (trainees: SQL): SQL =>
  sql`(select ${strike.id} from ${strike} where ${strike.filmId} in ${filmsOf(trainees)})`;
const correctionsOf = (trainees: SQL): SQL =>
  sql`(select ${correction.id} from ${correction} where ${correction.traineeId} in ${trainees})`;

const inFilms = (column: PgColumn) => (trainees: SQL) => sql`${column} in ${filmsOf(trainees)}`;
const inStrikes = (column: PgColumn) => (trainees: SQL) => sql`${column} in ${strikesOf(trainees)}`;
const inCorrections = (column: PgColumn) => (trainees: SQL) => sql`${column} in ${correctionsOf(trainees)}`;
const inSessions = (column: PgColumn) => (trainees: SQL) => sql`${column} in ${sessionsOf(trainees)}`;

type About = Partial<Omit<RecordKind, 'name' | 'table'>>;
const kind = (table: PgTable, of?: RecordKind['of'], about: About = {}): RecordKind => ({
  ...{ name: getTableName(table), table, grows: false, anew: [], atOnce: 500 },
  ...(of && { of }),
  ...about,
});
const log = { grows: true };

/** Everything that an archive holds, but for what is worked out from it, and for passwords and who is signed in. */
export const recordKinds: readonly RecordKind[] = [
  kind(schema.checklistVersion, undefined, { grows: true }),
  kind(schema.callBook),
  kind(schema.callSet),
  kind(schema.school, undefined, { anew: ['clubDefault'] }),
  kind(schema.trainee, (trainees) => sql`${schema.trainee.id} in ${trainees}`),
  kind(trainingSession, (trainees) => sql`${trainingSession.traineeId} in ${trainees}`),
  kind(film, (trainees) => sql`${film.sessionId} in ${sessionsOf(trainees)}`, { anew: ['tallied'], atOnce: 50 }),
  kind(schema.filmStep, inFilms(schema.filmStep.filmId), { anew: ['worker', 'startedAt', 'touchedAt', 'attempts'] }),
  kind(schema.filmPoints, inFilms(schema.filmPoints.filmId), { atOnce: 20 }),
  kind(schema.holderPoints, inFilms(schema.holderPoints.filmId), { atOnce: 20 }),
  kind(schema.secondPassPoints, inFilms(schema.secondPassPoints.filmId), { atOnce: 20 }),
  kind(schema.filmHits, inFilms(schema.filmHits.filmId), { atOnce: 20 }),
  kind(schema.round, inFilms(schema.round.filmId)),
  kind(
    schema.filmAlignment,
    (trainees) =>
      sql`${schema.filmAlignment.filmId} in ${filmsOf(trainees)} and ${schema.filmAlignment.otherId} in ${filmsOf(trainees)}`,
  ),
  kind(strike, inFilms(strike.filmId)),
  kind(schema.strikeRevision, inStrikes(schema.strikeRevision.strikeId), log),
  kind(schema.observation, inStrikes(schema.observation.strikeId), log),
  kind(schema.pointPin, inFilms(schema.pointPin.filmId), log),
  kind(schema.pointedBody, inFilms(schema.pointedBody.filmId), log),
  kind(schema.pointCheck, inFilms(schema.pointCheck.filmId)),
  kind(schema.note, inSessions(schema.note.sessionId), { atOnce: 20 }),
  kind(schema.secondMarking, inFilms(schema.secondMarking.filmId)),
  kind(schema.secondWord, inStrikes(schema.secondWord.strikeId), log),
  kind(schema.reviewEffort, inFilms(schema.reviewEffort.filmId), log),
  kind(correction, (trainees) => sql`${correction.traineeId} in ${trainees}`),
  kind(schema.correctionEvent, inCorrections(schema.correctionEvent.correctionId), log),
  kind(schema.ownOrder, inSessions(schema.ownOrder.sessionId), log),
  kind(schema.cardStill, inCorrections(schema.cardStill.correctionId)),
  kind(schema.referenceStill, inFilms(schema.referenceStill.filmId)),
  kind(schema.drill),
  kind(schema.bodyLimit, (trainees) => sql`${schema.bodyLimit.traineeId} in ${trainees}`),
  kind(schema.consent, (trainees) => sql`${schema.consent.traineeId} in ${trainees}`),
  kind(schema.plan, (trainees) => sql`${schema.plan.traineeId} in ${trainees}`),
  kind(schema.course),
  kind(schema.closure),
  kind(schema.onCourse, (trainees) => sql`${schema.onCourse.traineeId} in ${trainees}`),
  kind(schema.gradeTest, (trainees) => sql`${schema.gradeTest.traineeId} in ${trainees}`),
  kind(schema.planSession, inSessions(schema.planSession.sessionId)),
];

/** A column with the name that it has in rows. */
export interface NamedColumn {
  name: string;
  column: PgColumn;
}

/** The columns of a table. */
export const columnsOf = (table: PgTable): NamedColumn[] => {
  const { columns } = getTableConfig(table);
  const names = new Map(Object.entries(table as unknown as Record<string, unknown>).map(([name, column]) => [column, name]));
  return columns.map((column) => ({ name: names.get(column)!, column }));
};

/** The columns by which a row is known. */
export function keyOf(table: PgTable): NamedColumn[] {
  const { primaryKeys } = getTableConfig(table);
  const keys = new Set<unknown>(primaryKeys.flatMap(({ columns }) => columns.map(({ name }) => name)));
  return columnsOf(table).filter(({ column }) => column.primary || keys.has(column.name));
}

/** A column whose values stand for rows of another table. */
export interface Reference {
  column: NamedColumn;
  to: PgTable;
  key: PgColumn;
}
/** What a row refers to. */
export function referencesOf(table: PgTable): Reference[] {
  const columns = columnsOf(table);
  return getTableConfig(table).foreignKeys.map((foreign) => {
    const { columns: from, foreignTable: to, foreignColumns } = foreign.reference();
    return { column: columns.find(({ column }) => column.name === from[0]!.name)!, to, key: foreignColumns[0]! };
  });
}
