import { importSteps, type Film, type FilmStep, type KnownFilm } from '@wax-fist/contract/footage';
import type { WaitingFilm } from '@wax-fist/contract/today';
import { asc, desc, eq, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { account, film, filmStep, observation, secondMarking, strike, trainee, trainingSession } from '../../db/schema/index.ts';

const standing = sql`from ${strike} where ${strike.filmId} = ${film.id} and not ${strike.removed}`;
const hasVerdict = sql`exists (select 1 from ${observation}
  where ${observation.strikeId} = ${strike.id} and not ${observation.superseded} and ${observation.verdict} is not null)`;

/** A step's state, and how long it is likely to take still, once a fiftieth of it is done. */
const steps = sql<FilmStep[]>`coalesce((select json_agg(json_build_object(
    'step', ${filmStep.step}, 'state', ${filmStep.state}, 'progress', ${filmStep.progress}, 'reason', ${filmStep.reason},
    'left', case when ${filmStep.state} = 'working' and ${filmStep.progress} > 0.02 then
      extract(epoch from ${filmStep.touchedAt} - ${filmStep.startedAt}) * 1000 * (1 - ${filmStep.progress}) / ${filmStep.progress} end))
  from ${filmStep} where ${filmStep.filmId} = ${film.id}), '[]')`;

/** Who marks it a second time; see `secondMarking`. */
const secondCoach = sql<
  Film['secondCoach']
>`(select json_build_object('id', coach.id, 'name', coach.name, 'done', marking.done_at is not null)
  from ${secondMarking} as marking join ${account} as coach on coach.id = marking.coach_id where marking.film_id = ${film}.id)`;

/** A film without its packed columns, and how far its review is. */
export const filmColumns = {
  id: film.id,
  sessionId: film.sessionId,
  addedBy: film.addedBy,
  view: film.view,
  stance: film.stance,
  secondCoach,
  fileName: film.fileName,
  bytes: film.bytes,
  state: film.state,
  steps,
  remark: film.remark,
  duration: film.duration,
  frames: film.frames,
  firstFrameAt: film.firstFrameAt,
  width: film.width,
  height: film.height,
  hasSound: film.hasSound,
  stripPictures: film.stripPictures,
  stripWidth: film.stripWidth,
  stripHeight: film.stripHeight,
  strikes: sql<number>`(select count(*)::int ${standing})`,
  marked: sql<number>`(select count(*)::int ${standing} and ${hasVerdict})`,
  done: film.done,
};

type Row = Omit<Film, 'strip'> & Record<'stripPictures' | 'stripWidth' | 'stripHeight', number | null>;

const inOrder = (one: FilmStep, other: FilmStep): number => importSteps.indexOf(one.step) - importSteps.indexOf(other.step);

export const asFilm = ({ stripPictures, stripWidth, stripHeight, ...row }: Row): Film => ({
  ...row,
  steps: row.steps.sort(inOrder),
  strip: stripPictures ? { pictures: stripPictures, width: stripWidth!, height: stripHeight! } : null,
});

export async function filmsOf(db: Database, condition: SQL): Promise<Film[]> {
  const rows = await db.select(filmColumns).from(film).where(condition).orderBy(asc(film.addedAt), asc(film.id));
  return rows.map(asFilm);
}

/** Films with whose they are, for lists of those that wait; who asks says which, and in what order. */
export const filmsThatWait = (db: Database) =>
  db
    .select({ film: filmColumns, traineeId: trainee.id, traineeName: trainee.name, heldOn: trainingSession.heldOn })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .$dynamic();
/** A row of such a list as it is told. */
export const asWaiting = (row: Omit<WaitingFilm, 'film'> & { film: Row }): WaitingFilm => ({ ...row, film: asFilm(row.film) });

/** Films with exactly these bytes, the newest first. */
export const filmsKnownBy = (db: Database, sha256: string): Promise<KnownFilm[]> =>
  db
    .select({
      filmId: film.id,
      sessionId: film.sessionId,
      fileName: film.fileName,
      view: film.view,
      traineeName: trainee.name,
      heldOn: trainingSession.heldOn,
    })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(eq(film.sha256, sha256))
    .orderBy(desc(film.addedAt))
    .limit(20);
