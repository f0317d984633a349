import type { Correction, Evidence } from '@wax-fist/contract/corrections';
import { stillRoles, type StillRole } from '@wax-fist/core/card';
import type { StrikeMoments } from '@wax-fist/core/strikes';
import { momentsOf } from '@wax-fist/core/strikes';
import type { Stance, View } from '@wax-fist/core/technique';
import { and, eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { momentColumns } from '../../db/moment-columns.ts';
import { leads } from '../../db/of-film.ts';
import { cardStill, film, referenceStill, strike, trainee, trainingSession } from '../../db/schema/index.ts';

/** A strike of a film, with what a still of it needs to know. */
export interface StrikeOfCard {
  strikeId: string;
  filmId: string;
  heldOn: string;
  view: View;
  stance: Stance;
  frames: number;
  moments: StrikeMoments;
}
/** From which strike each still is taken, and at which frame where the coach has set one. */
export type ChosenStrikes = Partial<Record<StillRole, { strike: StrikeOfCard; frame: number | null }>>;

const strikesBy = async (db: Database, ids: readonly string[]): Promise<Map<string, StrikeOfCard>> => {
  const rows = await db
    .select({
      strikeId: strike.id,
      filmId: film.id,
      heldOn: trainingSession.heldOn,
      view: film.view,
      stance: leads,
      frames: film.frames,
      ...momentColumns,
    })
    .from(strike)
    .innerJoin(film, and(eq(film.id, strike.filmId), eq(film.state, 'ready')))
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(and(inArray(strike.id, [...ids]), eq(strike.removed, false)));
  return new Map(
    rows.map(({ strikeId, filmId, heldOn, view, stance, frames, ...moments }) => [
      strikeId,
      { strikeId, filmId, heldOn, view, stance, frames: frames ?? 0, moments: momentsOf(moments) },
    ]),
  );
};

/** A strike of the club that shows it well, in a film from the same view where there is one. */
async function clubReference(db: Database, { technique, checkpointId }: Correction): Promise<string | undefined> {
  const [known] = await db
    .select({ strikeId: strike.id })
    .from(referenceStill)
    .innerJoin(
      strike,
      and(eq(strike.filmId, referenceStill.filmId), eq(strike.launchFrame, referenceStill.fromFrame), eq(strike.removed, false)),
    )
    .where(
      and(eq(referenceStill.technique, technique), eq(referenceStill.checkpoint, checkpointId), eq(referenceStill.kind, 'clean')),
    )
    .limit(1);
  return known?.strikeId;
}

/**
 * From which strikes the stills of a card are taken: those that the coach has chosen; else the newest fault, and the newest clean one
 * from the same view. Without any of the trainee’s own, one of the club’s shows how it should be.
 */
export async function strikesForCard(
  db: Database,
  correction: Correction,
  evidence: readonly Evidence[],
): Promise<ChosenStrikes> {
  const set = await db.select().from(cardStill).where(eq(cardStill.correctionId, correction.id));
  const fault = evidence.find(({ verdict }) => verdict === 'fault');
  const view = fault?.view ?? evidence[0]?.view;
  const clean = evidence.find((one) => one.verdict === 'clean' && one.view === view);
  const should = clean?.strikeId ?? (await clubReference(db, correction));
  const usual: Partial<Record<StillRole, string | undefined>> = { is: fault?.strikeId, should };
  const chosen = Object.fromEntries(set.map(({ role, strikeId, frame }) => [role, { strikeId, frame }]));
  const wanted = stillRoles.flatMap((role) => {
    // It turns wrong in the strike that is shown as wrong.
    const strikeId = chosen[role]?.strikeId ?? (role === 'turns' ? (chosen.is?.strikeId ?? usual.is) : usual[role]);
    return strikeId === undefined ? [] : [{ role, strikeId, frame: chosen[role]?.frame ?? null }];
  });
  const strikes = await strikesBy(
    db,
    wanted.map(({ strikeId }) => strikeId),
  );
  return Object.fromEntries(
    wanted.flatMap(({ role, strikeId, frame }) => {
      const found = strikes.get(strikeId);
      return found ? [[role, { strike: found, frame }]] : [];
    }),
  ) as ChosenStrikes;
}
