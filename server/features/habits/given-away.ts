import { fallHabits, fallingHand, moveHabits, type Habit } from '@wax-fist/core/habits';
import type { Catalogue } from '@wax-fist/core/technique';
import { group } from 'd3-array';
import { and, eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, strikeMeasure } from '../../db/schema/index.ts';
import { measureStrikes } from '../measures/measure-films.ts';
import { measuredRows, ratesByMeasures } from '../measures/session-measures.ts';
import type { taggedStrikes } from '../measures/tagged-strikes.ts';
import { movesBeforeStrikes } from './moves-before.ts';

/** What moves before strikes and falls with them, by session. Called or not: what gives a strike away was not asked for. */
export async function givenAway(
  db: Database,
  bySession: ReadonlyMap<string, Awaited<ReturnType<typeof taggedStrikes>>>,
  catalogue: Catalogue,
): Promise<ReadonlyMap<string, Habit[]>> {
  const inSessions = inArray(film.sessionId, [...bySession.keys()]);
  await measureStrikes(db, inSessions);
  const rows = await measuredRows(db, and(inSessions, eq(strikeMeasure.checkpointId, fallingHand)));
  const [rates, values] = [group(await ratesByMeasures(db, rows), sessionOf), group(rows, sessionOf)];
  const kindOf = (technique: string) => catalogue.techniques.get(technique)?.kind;
  const given = new Map<string, Habit[]>();
  for (const [sessionId, tagged] of bySession)
    given.set(sessionId, [
      ...moveHabits(await movesBeforeStrikes(db, tagged, catalogue)),
      ...fallHabits(rates.get(sessionId) ?? [], values.get(sessionId) ?? [], kindOf),
    ]);
  return given;
}
const sessionOf = ({ sessionId }: { sessionId: string }): string => sessionId;
