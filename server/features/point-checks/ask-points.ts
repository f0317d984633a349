import type { AskedPoint } from '@wax-fist/contract/point-checks';
import type { Film } from '@wax-fist/contract/footage';
import { bodyBox, partOf, pointAt, pointIn, pointNames, type PointName } from '@wax-fist/core/body';
import { kindKey, pointSeen, type PointKind } from '@wax-fist/core/measure';
import type { Stance } from '@wax-fist/core/technique';
import { least, shuffle } from 'd3-array';
import { and, eq, exists, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { pieceWith } from '../../db/film-pieces.ts';
import { leads } from '../../db/of-film.ts';
import { film, filmPoints, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { asFilm, filmColumns } from '../footage/queries.ts';
import { learnedWidenings } from './learned-widenings.ts';

/** So many points are asked for at once: two minutes of a coach. */
const atOnce = 20;
/** So often one looks for a frame with a body in it before one gives up. */
const mostTries = 3 * atOnce;

const isFollowed = (db: Database) =>
  and(
    eq(film.state, 'ready'),
    exists(db.select({ id: filmPoints.filmId }).from(filmPoints).where(eq(filmPoints.filmId, film.id))),
  );

/** Films in which points can be asked for. */
export const followedFilms = (db: Database): Promise<number> => db.$count(film, isFollowed(db));

/** Some of them, chosen at random. */
async function someFilms(db: Database): Promise<{ film: Film; stance: Stance }[]> {
  const rows = await db
    .select({ film: filmColumns, stance: leads })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(isFollowed(db))
    .orderBy(sql`random()`)
    .limit(atOnce);
  return rows.map((row) => ({ film: asFilm(row.film), stance: row.stance }));
}

/** A frame of a strike of a film, where measures look; any frame where none is tagged. */
async function someFrame(db: Database, { id, frames }: Film): Promise<number> {
  const [one] = await db
    .select({ from: strike.launchFrame, to: strike.homeFrame })
    .from(strike)
    .where(and(eq(strike.filmId, id), eq(strike.removed, false)))
    .orderBy(sql`random()`)
    .limit(1);
  const { from, to } = one ?? { from: 0, to: (frames ?? 1) - 1 };
  return from + Math.floor(Math.random() * (to - from + 1));
}

/**
 * Points to be pointed out by a coach. Films, strikes and frames are chosen at random, so that what comes of it holds for all of them;
 * of the points of a frame it is one of a kind that was checked least.
 */
export async function askPoints(db: Database): Promise<AskedPoint[]> {
  const films = await someFilms(db);
  if (films.length === 0) return [];
  /** How often each kind of point was checked, and asked for since. */
  const counts = new Map((await learnedWidenings(db)).kinds.map((kind) => [kindKey(kind), kind.checks + kind.hidden] as const));
  const countOf = (kind: PointKind): number => counts.get(kindKey(kind)) ?? 0;
  const asked: AskedPoint[] = [];
  for (let attempt = 0; attempt < mostTries && asked.length < atOnce; attempt++) {
    const { film: of, stance } = films[attempt % films.length]!;
    const frame = await someFrame(db, of);
    const track = await pieceWith(db, of.id, frame);
    const picture = { width: of.width!, height: of.height! };
    const box = track && bodyBox(track, frame, picture);
    if (!box || asked.some((one) => one.film.id === of.id && one.frame === frame)) continue;
    const kindOf = (point: PointName): PointKind => ({ part: partOf(point)!, seen: pointSeen({ view: of.view, stance }, point) });
    const isIn = (point: PointName): boolean => {
      const found = pointIn(track, frame, pointAt[point]);
      return found !== undefined && found.x >= 0 && found.y >= 0 && found.x <= picture.width && found.y <= picture.height;
    };
    const point = least(shuffle(pointNames.filter((name) => partOf(name) && isIn(name))), (name) => countOf(kindOf(name)));
    if (!point) continue;
    const kind = kindOf(point);
    counts.set(kindKey(kind), countOf(kind) + 1);
    asked.push({ film: of, frame, point, seen: kind.seen, box });
  }
  return asked;
}
