import type { HitsAndRounds, Round, SavedHitEdits } from '@wax-fist/contract/rounds';
import { noHitEdits } from '@wax-fist/core/sound';
import { isHeard, usualGap, type RoundKind } from '@wax-fist/core/rounds';
import { isAnySeen, wholePicture } from '@wax-fist/core/strikes';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { film, filmHits, round, trainingSession } from '../../db/schema/index.ts';

/** Ear and eye as one tell most; a film in which nobody was followed is listened to where anything is hit, and else watched for movement. */
const usualEdits = ({
  hasSound,
  roundKind,
  isFollowed,
}: {
  hasSound: boolean;
  roundKind: RoundKind;
  isFollowed: boolean;
}): SavedHitEdits => ({
  source: isFollowed ? 'both' : hasSound && isHeard(roundKind) ? 'sound' : 'motion',
  sensitivity: noHitEdits.sensitivity,
  leastLevel: noHitEdits.leastLevel,
  gap: usualGap,
  added: [],
  removed: [],
  region: wholePicture,
});

/** What was found in a film and what a coach changed about it; undefined when there is no such film. */
export async function hitsAndRoundsOf(db: Database, filmId: string): Promise<HitsAndRounds | undefined> {
  const [row] = await db
    .select({
      hasSound: film.hasSound,
      roundKind: trainingSession.roundKind,
      sound: filmHits.sound,
      motion: filmHits.motion,
      both: filmHits.both,
      rings: filmHits.rings,
      talk: filmHits.talk,
      away: filmHits.away,
      edits: filmHits.edits,
      version: filmHits.version,
    })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .leftJoin(filmHits, eq(filmHits.filmId, film.id))
    .where(eq(film.id, filmId));
  if (!row) return undefined;
  const rounds = await db.select().from(round).where(eq(round.filmId, filmId)).orderBy(asc(round.startsAt));
  return {
    sound: row.sound,
    motion: row.motion,
    both: row.both,
    rings: row.rings ?? [],
    talk: row.talk ?? [],
    away: row.away ?? [],
    // What an older version kept does not know everything that can be said now.
    edits: { ...usualEdits({ ...row, isFollowed: isAnySeen(row.both ?? []) }), ...row.edits },
    rounds: rounds.map(asRound),
    version: row.version ?? 0,
  };
}

const asRound = ({ id, name, startsAt, endsAt, kind, manner, planned, proposed }: typeof round.$inferSelect): Round => ({
  id,
  name,
  from: startsAt,
  to: endsAt,
  kind,
  manner,
  planned,
  proposed,
});
