import { isOfStrike } from '@wax-fist/contract/review';
import type { Statement } from '@wax-fist/core/review';
import { sql } from 'drizzle-orm';
import { film, observation, secondWord, strike, strikeRevision, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { marksBlind } from '../reviewing/second-marking.ts';
import type { Desk } from './log.ts';
import type { Sieve } from './sift-marks.ts';
import { whileSaying } from './tallies.ts';

/** What the log holds of what a batch of marks speaks of. */
export interface HeldByLog {
  frames: number | null;
  checklistVersion: number;
  /** Whether whoever says it marks the film a second time, without seeing what was said of it. */
  blind: boolean;
  /** Of marks that are there already, which strike each is about. */
  known: ReadonlyMap<string, string>;
  /** The strikes that are there, with what stands of each; locked until the transaction ends. */
  standing: Map<string, Statement>;
}

/** The strikes that marks of a batch are about, each once. */
export const strikesOf = (sieve: Sieve): string[] => [...new Set(sieve.that(isOfStrike).map(({ mark }) => mark.strikeId))];

interface Row extends Record<string, unknown> {
  film: Pick<HeldByLog, 'frames' | 'checklistVersion' | 'blind'> | null;
  known: Record<string, string> | null;
  standing: { id: string; revision: string; said: string }[] | null;
}

/**
 * Looks all of it up in one statement, since most batches are a single mark and each statement is a way to the database and back.
 * The film is held fast first, so that removing it waits until its marks are written; then its strikes, in one order, so that nobody
 * waits in a ring.
 * @throws Refusal when there is no such film
 */
export async function heldByLog({ transaction, filmId, saidBy }: Desk, sieve: Sieve): Promise<HeldByLog> {
  const marks = sql.param(sieve.that(isOfStrike).map(({ mark }) => mark.id));
  const strikes = sql.param(strikesOf(sieve));
  const { rows } = await transaction.execute<Row>(sql`
    with held as materialized (
      select ${film.id}, ${film.frames}, ${trainingSession.checklistVersion} as "checklistVersion", ${marksBlind(saidBy)} as blind, ${whileSaying}
      from ${film} join ${trainingSession} on ${trainingSession.id} = ${film.sessionId}
      where ${film.id} = ${filmId} for key share of ${film}
    ), standing as (
      select ${strike.id}, ${strike.revisionId} as revision, ${strike.saidAt} as said from ${strike}
      where ${strike.filmId} = (select id from held) and ${strike.id} = any(${strikes}::uuid[]) order by 1 for update
    ), known as (
      select id, strike_id from ${strikeRevision} where id = any(${marks}::uuid[])
      union all select id, strike_id from ${observation} where id = any(${marks}::uuid[])
      union all select id, strike_id from ${secondWord} where id = any(${marks}::uuid[])
    )
    select (select row_to_json(held) from held) as film, (select json_agg(standing) from standing) as standing,
      (select json_object_agg(id, strike_id) from known) as known`);
  const [row] = rows;
  return {
    ...found(row?.film ? [row.film] : [], 'film'),
    known: new Map(Object.entries(row?.known ?? {})),
    standing: new Map(
      row?.standing?.map(({ id, revision, said }) => [id, { id: revision, saidAt: new Date(said).toISOString() }]),
    ),
  };
}
