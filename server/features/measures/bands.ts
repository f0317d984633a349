import type { JudgedBy } from '@wax-fist/contract/schools';
import { checklistFor, rowsOfPart, type Band, type Catalogue, type View } from '@wax-fist/core/technique';
import type { Ratio } from '@wax-fist/core/units';
import { sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Database } from '../../db/connection.ts';
import { film, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { cataloguesAt } from '../checklists/versions.ts';

/** By what a measured strike is judged. */
export interface JudgedStrike {
  technique: string;
  part: number | null;
  view: View;
  sessionId: string;
  judgedBy: JudgedBy;
  checklistVersion: number;
  /** How tall whoever holds is, of whoever strikes; null where that is not known of both. */
  opponent: Ratio | null;
}
const [striker, holder] = [alias(trainee, 'striker'), alias(trainee, 'holder')];

/** The same as columns, of a strike with its film and its session. */
export const judgedStrike = {
  technique: strike.technique,
  part: strike.part,
  view: film.view,
  sessionId: film.sessionId,
  judgedBy: trainingSession.judgedBy,
  checklistVersion: trainingSession.checklistVersion,
  opponent: sql<Ratio | null>`(select ${holder.stature}::float8 / ${striker.stature} from ${trainee} ${sql.identifier('striker')}, ${trainee} ${sql.identifier('holder')}
    where ${striker.id} = ${trainingSession.traineeId} and ${holder.id} = ${trainingSession.holderId})`,
};
/** Where a measure of a strike is clean; undefined where the checklist does not ask, the view cannot show it, or it is no fault. */
export type BandOf = (strike: JudgedStrike, checkpointId: string) => Band | undefined;

/** Bands of the checklists by which some strikes are judged: those of each session, technique and view are worked out once. */
export async function bandsFor(db: Database, strikes: readonly JudgedStrike[]): Promise<BandOf> {
  const catalogues = await cataloguesAt(
    db,
    strikes.map(({ checklistVersion }) => checklistVersion),
  );
  const known = new Map<string, Map<string, Band>>();
  return (strike, checkpointId) => {
    const { sessionId, technique, part, view } = strike;
    const key = [sessionId, technique, part, view].join(' ');
    if (!known.has(key)) known.set(key, bandsOf(catalogues.get(strike.checklistVersion), strike));
    return known.get(key)!.get(checkpointId);
  };
}

function bandsOf(
  catalogue: Catalogue | undefined,
  { technique, part, view, judgedBy, opponent }: JudgedStrike,
): Map<string, Band> {
  if (!catalogue?.techniques.has(technique)) return new Map();
  const judging = { school: judgedBy, view, opponent: opponent ?? undefined };
  const rows = rowsOfPart(checklistFor(catalogue, technique, judging), catalogue, { technique, part });
  return new Map(
    rows.flatMap(({ checkpoint, band, shown, reported }) => (band && shown && !reported ? [[checkpoint.id, band] as const] : [])),
  );
}
