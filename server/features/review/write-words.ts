import type { ObservationMark } from '@wax-fist/contract/review';
import { latestBy } from '@wax-fist/core/review';
import type { Catalogue } from '@wax-fist/core/technique';
import { sql, type SQL } from 'drizzle-orm';
import { film, observation, secondWord } from '../../db/schema/index.ts';
import { append, asSaid, byId, type Desk } from './log.ts';
import type { Told } from './sift-marks.ts';

/** By what words about checkpoints are written. */
interface Written {
  /** Whether they are those of a second coach, which stay apart from what counts. */
  blind: boolean;
  catalogues: ReadonlyMap<number, Catalogue>;
}

/** Adds words about checkpoints of strikes that are locked; of those about the same thing, the one that was said last counts. */
export async function writeWords(
  desk: Desk,
  told: readonly Told<ObservationMark>[],
  { blind, catalogues }: Written,
): Promise<void> {
  if (told.length === 0) return;
  const { saidBy } = desk;
  const counts = await (blind
    ? overrule(desk, secondWord, told, sql`log.said_by = ${saidBy}`)
    : overrule(desk, observation, told));
  const rows = told
    .map(({ mark: { kind: _, blind: __, ...mark }, saidAt }) => ({ ...mark, saidAt, saidBy, superseded: !counts.has(mark.id) }))
    .sort(byId);
  if (blind) {
    const words = rows.map(({ proposed: _, ...row }) => row);
    return append(desk, secondWord, words);
  }
  const subjectOf = ({ checklistVersion, checkpointId }: ObservationMark | (typeof rows)[number]) =>
    catalogues.get(checklistVersion)!.checkpoints.get(checkpointId)!.subject;
  return append(
    desk,
    observation,
    rows.map((row) => ({ ...row, subject: subjectOf(row) })),
  );
}

/**
 * Overrules what was said earlier of the same checkpoints, in one of the two logs. What counts is counted anew, so the film’s
 * tallies are void with it.
 * @param which of the words in the log
 * @returns the words of this batch that count: no later one has come before them
 */
async function overrule(
  { transaction, filmId }: Desk,
  log: typeof observation | typeof secondWord,
  told: readonly Told<ObservationMark>[],
  which: SQL = sql`true`,
): Promise<Set<string>> {
  const words = [...latestBy(told.map(asSaid), ({ strikeId, checkpointId }) => `${strikeId} ${checkpointId}`).values()];
  const all = (name: keyof ObservationMark): SQL => sql`${sql.param(words.map((word) => word[name]))}`;
  const isSame = sql`log.strike_id = word.strike_id and log.checkpoint_id = word.checkpoint_id and not log.superseded and ${which}`;
  const { rows: beaten } = await transaction.execute<{ id: string }>(sql`
    with word as (
      select * from unnest(${all('id')}::uuid[], ${all('strikeId')}::uuid[], ${all('checkpointId')}::text[], ${all('saidAt')}::timestamptz[])
        as word (id, strike_id, checkpoint_id, said_at)
    ), overruled as (
      update ${log} as log set superseded = true from word where ${isSame} and (log.said_at, log.id) < (word.said_at, word.id)
    ), uncounted as (
      update ${film} set tallied = false where id = ${filmId} and tallied and ${log === observation}
    )
    select word.id from word join ${log} as log on ${isSame} and (log.said_at, log.id) > (word.said_at, word.id)`);
  for (const { id } of beaten)
    words.splice(
      words.findIndex((word) => word.id === id),
      1,
    );
  return new Set(words.map(({ id }) => id));
}
