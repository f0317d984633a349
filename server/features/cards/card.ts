import type { Card, CardStillOfFilm } from '@wax-fist/contract/cards';
import type { Correction } from '@wax-fist/contract/corrections';
import type { CardStill, StillRole } from '@wax-fist/core/card';
import { faultRate } from '@wax-fist/core/correction';
import {
  checklistFor,
  checkpointName,
  shippedCatalogue,
  techniqueName,
  termOf,
  type Catalogue,
  type Checkpoint,
} from '@wax-fist/core/technique';
import { drillOf, oftenOf, faultsOfSeen, rateInWords } from '@wax-fist/core/words';
import { eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { packedFilm } from '../../db/packed-film.ts';
import { cardLink, correction, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { heavily } from '../../jobs/heavy.ts';
import { catalogueAt } from '../checklists/versions.ts';
import { correctionsOf, evidenceFor } from '../corrections/queries.ts';
import { clubDay } from '../sessions/club-day.ts';
import { strikesForCard, type ChosenStrikes } from './strikes-for-card.ts';

const entriesOf = (chosen: ChosenStrikes) => Object.entries(chosen) as [StillRole, NonNullable<ChosenStrikes[StillRole]>][];

/** Frames, parts and lines of the stills. Nothing where the checklists no longer have what the card is about. */
async function stillsOf(
  db: Database,
  chosen: ChosenStrikes,
  catalogue: Catalogue,
  { technique: id, checkpointId }: Correction,
): Promise<CardStillOfFilm[]> {
  const checkpoint = catalogue.checkpoints.get(checkpointId);
  const technique = catalogue.techniques.get(id);
  if (!checkpoint || !technique) return [];
  const all = entriesOf(chosen);
  const ids = [...new Set(all.map(([, { strike }]) => strike.filmId))];
  const films = await Promise.all(
    ids.map(async (filmId) => {
      const { view, stance } = all.find(([, { strike }]) => strike.filmId === filmId)![1].strike;
      return { ...(await packedFilm(db, filmId)), view, stance };
    }),
  );
  const stills: CardStill[] = await heavily('stillsOfCard', {
    about: {
      checkpoint: { id: checkpoint.id, phase: checkpoint.phase, stop: checkpoint.stop },
      technique: { side: technique.side, kind: technique.kind, checkpoints: technique.checkpoints },
    },
    films,
    strikes: Object.fromEntries(
      all.map(([role, { strike }]) => [role, { film: ids.indexOf(strike.filmId), moments: strike.moments }]),
    ),
    set: Object.fromEntries(all.flatMap(([role, { frame }]) => (frame === null ? [] : [[role, frame]]))),
  });
  return stills.map((still) => {
    const { strikeId, filmId, heldOn, view, moments, frames } = chosen[still.role]!.strike;
    const [before, after] = [0.4, 0.6].map((share) => Math.ceil(share * (moments.homeFrame - moments.launchFrame + 1)));
    return {
      ...still,
      ...{ strikeId, filmId, heldOn, view },
      shapes: still.shapes.map((one) => (one.kind === 'line' ? { ...one, at: null, degrees: null } : { ...one, dashed: false })),
      fromFrame: Math.max(0, moments.launchFrame - before!),
      toFrame: Math.min(frames - 1, moments.homeFrame + after!),
    };
  });
}

/** How the row reads in the words of the school and the checklists by which it was judged last. */
async function wordsOf(db: Database, { newestSession, technique, checkpointId }: Correction) {
  const [session] = await db
    .select({ judgedBy: trainingSession.judgedBy, checklistVersion: trainingSession.checklistVersion })
    .from(trainingSession)
    .where(eq(trainingSession.id, newestSession));
  const catalogue = (session && (await catalogueAt(db, session.checklistVersion))) ?? shippedCatalogue;
  const rows =
    session && catalogue.techniques.has(technique)
      ? checklistFor(catalogue, technique, { school: session.judgedBy, view: 'quarter' })
      : [];
  const row: Checkpoint | undefined =
    rows.find(({ checkpoint }) => checkpoint.id === checkpointId)?.checkpoint ?? catalogue.checkpoints.get(checkpointId);
  return {
    catalogue,
    family: row?.family ?? null,
    name: row?.name ?? checkpointName(catalogue, checkpointId),
    technique: (session && termOf(session.judgedBy, technique)) ?? techniqueName(catalogue, technique),
    why: row ? `${row.clean} ${row.why}` : '',
  };
}

/** What a trainee takes home of a correction. @throws Refusal when there is none */
export async function cardOf(db: Database, correctionId: string): Promise<Card> {
  const one = found(await correctionsOf(db, eq(correction.id, correctionId)), 'correction');
  const evidence = await evidenceFor(db, correctionId);
  const [{ catalogue, ...words }, chosen, [link]] = await Promise.all([
    wordsOf(db, one),
    strikesForCard(db, one, evidence),
    db.select().from(cardLink).where(eq(cardLink.correctionId, correctionId)),
  ]);
  const tally = one.history.findLast((event) => event.tally !== null)?.tally;
  const rate = tally && faultRate(tally);
  return {
    ...words,
    ...{ correctionId, traineeId: one.traineeId, traineeName: one.traineeName, cue: one.cue, rung: one.rung },
    ...{ target: one.target, recheckOn: one.recheckOn, madeOn: clubDay() },
    drill: drillOf(one) ?? '',
    often: oftenOf(one) ?? null,
    counted: rate ? { of: faultsOfSeen(rate), says: rateInWords(rate) } : null,
    stills: await stillsOf(db, chosen, catalogue, one),
    link: link && link.endsAt > new Date() ? { code: link.code, endsOn: clubDay(link.endsAt) } : null,
  };
}
