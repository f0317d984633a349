import { isReadOfHolder, measuresVersion, readOfHolder, type Widenings } from '@wax-fist/core/measure';
import { momentsOf } from '@wax-fist/core/strikes';
import { isMeasureId, isOneStrike, rowsOf, shippedCatalogue, thrownAs, type Catalogue } from '@wax-fist/core/technique';
import { group } from 'd3-array';
import { and, eq, inArray, isNotNull, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { isCountingPin } from '../../db/pins.ts';
import type { PieceTable } from '../../db/film-pieces.ts';
import { packedFilm } from '../../db/packed-film.ts';
import { leads } from '../../db/of-film.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import {
  film,
  filmPoints,
  holderPoints,
  measuredStrike,
  pointPin,
  secondPassPoints,
  strike,
  strikeMeasure,
  trainee,
  trainingSession,
} from '../../db/schema/index.ts';
import type { StrikeToMeasure } from '../../jobs/heavy-work.ts';
import { heavily } from '../../jobs/heavy.ts';
import { cataloguesAt } from '../checklists/versions.ts';
import { learnedWidenings } from '../point-checks/learned-widenings.ts';

/** By which points a film would be measured, of one table of pieces; nothing where nobody was followed in it. */
const piecesOf = (pieces: PieceTable) =>
  sql<string>`(select concat_ws('/', min(${pieces.model}), max(${pieces.version}), sum(${pieces.frames}), nullif(sum(${pieces.revision}), 0))
  from ${pieces} where ${pieces.filmId} = ${film.id})`;
const piecesOfFilm = sql.join([filmPoints, holderPoints, secondPassPoints].map(piecesOf), sql`, `);
/** A strike is looked at from half a second before it to nearly one after it: in so many frames of the quickest film. */
const [framesBefore, framesAfter] = [120, 200];
/** Which pins a strike would be measured with; nothing where nobody has pinned anything near it. */
const pinsOfStrike = sql<string>`(select md5(string_agg(${pointPin.id}::text, ' ' order by ${pointPin.id})) from ${pointPin}
  where ${pointPin.filmId} = ${film.id} and ${isCountingPin}
  and ${pointPin.frame} between ${strike.launchFrame} - ${framesBefore} and ${strike.homeFrame} + ${framesAfter})`;
/** Everything that a measure of a strike depends on. */
const madeOfWith = (widenings: Widenings) =>
  sql<string>`concat_ws(' ', ${measuresVersion(widenings)}::text, ${strike.revisionId}, ${film.view}, ${leads}, ${piecesOfFilm}, ${pinsOfStrike})`;

/** Strikes that were never measured, or of something else than they are now. */
const isToMeasure = (madeOf: SQL) =>
  and(eq(strike.removed, false), isNotNull(film.timeline), sql`${measuredStrike.madeOf} is distinct from ${madeOf}`);

const strikesToMeasure = (db: Database, madeOf: SQL<string>, which?: SQL) =>
  db
    .select({
      filmId: film.id,
      view: film.view,
      stance: leads,
      checklistVersion: trainingSession.checklistVersion,
      madeOf,
      id: strike.id,
      technique: strike.technique,
      part: strike.part,
      ...momentColumns,
    })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .leftJoin(measuredStrike, eq(measuredStrike.strikeId, strike.id))
    .where(and(which, isToMeasure(madeOf)));
type Row = Awaited<ReturnType<typeof strikesToMeasure>>[number];

/** Films with strikes that are to be measured. */
export async function filmsToMeasure(db: Database): Promise<string[]> {
  const rows = await db
    .selectDistinct({ filmId: film.id })
    .from(strike)
    .innerJoin(film, eq(film.id, strike.filmId))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .leftJoin(measuredStrike, eq(measuredStrike.strikeId, strike.id))
    .where(isToMeasure(madeOfWith((await learnedWidenings(db)).widenings)));
  return rows.map(({ filmId }) => filmId);
}

/** Measures the strikes of some films of which the database does not know yet what they measure. */
export async function measureStrikes(db: Database, which: SQL): Promise<void> {
  const { widenings } = await learnedWidenings(db);
  const rows = await strikesToMeasure(db, madeOfWith(widenings), which);
  if (rows.length === 0) return;
  const catalogues = await cataloguesAt(
    db,
    rows.map(({ checklistVersion }) => checklistVersion),
  );
  const byFilm = group(rows, ({ filmId }) => filmId);
  for (const [filmId, strikes] of byFilm) await measureFilm(db, filmId, strikes, { catalogues, widenings });
}

/** A strike as the thread that measures wants it. Where its moments are not those of one strike, only whoever holds is looked at, when it lands. */
function toMeasure(catalogue: Catalogue, row: Row): StrikeToMeasure | undefined {
  const technique = catalogue.techniques.get(thrownAs(catalogue, row));
  if (!technique) return undefined;
  const judgedBy = isOneStrike(catalogue, row) ? [row.technique, thrownAs(catalogue, row)] : [];
  const asked = new Set(judgedBy.flatMap((id) => rowsOf(catalogue, id)));
  const ofThemselves = [...new Set([...asked].map(({ checkpointId }) => checkpointId))].filter((id) => !isReadOfHolder(id));
  const besides = ofThemselves.flatMap((id) => catalogue.checkpoints.get(id)?.besides ?? []).filter((id) => !isReadOfHolder(id));
  const checkpoints = [...ofThemselves, ...besides, ...readOfHolder].flatMap((id) => {
    const measure = isMeasureId(id) ? id : catalogue.checkpoints.get(id)?.measure;
    return measure ? [{ id, measure }] : [];
  });
  return {
    id: row.id,
    moments: momentsOf(row),
    technique: { side: technique.side, kind: technique.kind, checkpoints: technique.checkpoints },
    checkpoints,
  };
}

async function measureFilm(
  db: Database,
  filmId: string,
  rows: readonly Row[],
  { catalogues, widenings }: { catalogues: ReadonlyMap<number, Catalogue>; widenings: Widenings },
): Promise<void> {
  const { view, stance } = rows[0]!;
  const packed = await packedFilm(db, filmId);
  const strikes = rows.flatMap((row) => toMeasure(catalogues.get(row.checklistVersion) ?? shippedCatalogue, row) ?? []);
  const values = await heavily('measureStrikes', { ...packed, view, stance, widenings, strikes });
  await db.transaction(async (transaction) => {
    const ids = rows.map(({ id }) => id);
    await transaction.delete(measuredStrike).where(inArray(measuredStrike.strikeId, ids));
    // Whoever asks at the same moment measures the same: the first one's stays.
    const mine = await transaction
      .insert(measuredStrike)
      .values(rows.map((row) => ({ strikeId: row.id, madeOf: row.madeOf })))
      .onConflictDoNothing()
      .returning({ strikeId: measuredStrike.strikeId });
    const written = new Set(mine.map(({ strikeId }) => strikeId));
    const fresh = values.filter(({ strikeId }) => written.has(strikeId));
    if (fresh.length > 0) await transaction.insert(strikeMeasure).values(fresh);
  });
}
