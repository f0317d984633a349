import type { FirstMoveOfSession } from '@wax-fist/contract/habits';
import { firstMoves, isReadable } from '@wax-fist/core/habits';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film } from '../../db/schema/index.ts';
import { cataloguesAt } from '../checklists/versions.ts';
import { taggedStrikes } from '../measures/tagged-strikes.ts';
import { movesBeforeStrikes } from './moves-before.ts';

/** What moves before the strikes of a session set out, the commonest first. */
export async function firstMovesOf(db: Database, sessionId: string): Promise<FirstMoveOfSession[]> {
  const tagged = await taggedStrikes(db, eq(film.sessionId, sessionId));
  if (tagged.length === 0) return [];
  const { checklistVersion } = tagged[0]!;
  const catalogue = (await cataloguesAt(db, [checklistVersion])).get(checklistVersion) ?? shippedCatalogue;
  const filmOf = new Map(tagged.map(({ strikeId, filmId }) => [strikeId, filmId]));
  return firstMoves(await movesBeforeStrikes(db, tagged, catalogue)).map(({ technique, part, lead, share }) => {
    const { times, of, low, high, proof } = share;
    const [strikeId = ''] = proof;
    return {
      ...{ technique, part, lead, times, of, low, high, readable: isReadable({ kind: 'move', share }) },
      proof: { filmId: filmOf.get(strikeId)!, strikeId },
    };
  });
}
