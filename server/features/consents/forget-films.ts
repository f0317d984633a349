import { and, eq, gt, inArray, isNotNull, isNull, lte, ne, or, sql } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../../db/connection.ts';
import { takingTurns } from '../../db/take-turns.ts';
import {
  archive,
  cardLink,
  cardStill,
  consent,
  correction,
  film,
  filmAlignment,
  filmHits,
  filmPoints,
  filmStep,
  holderPoints,
  secondPassPoints,
  montage,
  pointedBody,
  pointPin,
  referenceStill,
  strike,
  trainingSession,
} from '../../db/schema/index.ts';
import type { Services } from '../../services.ts';
import { endRemovalsShowing } from '../removals/removals.ts';
import { sessionsOf } from '../review/tallies.ts';

/** What a worker was in the middle of may still come: so long it is looked for again. */
const looksAgainFor = sql`interval '2 days'`;

/** Sessions in which somebody is seen: as they train, or hold. */
const seenIn = (db: Database, traineeId: string) =>
  db.select({ id: trainingSession.id }).from(trainingSession).where(sessionsOf(traineeId));

/** Takes everything that shows somebody out of the database; strikes, verdicts and what was counted stay. @returns the films */
async function forgetInDatabase(db: Database, traineeId: string, until: Date): Promise<string[]> {
  return takingTurns(db, async (tx) => {
    const rows = await tx
      .select({ id: film.id })
      .from(film)
      .where(and(inArray(film.sessionId, seenIn(tx, traineeId)), lte(film.addedAt, until)));
    const films = rows.map(({ id }) => id);
    if (films.length === 0) return [];
    for (const { filmId } of [filmPoints, holderPoints, secondPassPoints, filmHits, pointPin, pointedBody, referenceStill]) {
      await tx.delete(filmId.table as typeof filmPoints).where(inArray(filmId, films));
    }
    await tx.delete(filmAlignment).where(or(inArray(filmAlignment.filmId, films), inArray(filmAlignment.otherId, films)));
    const strikes = tx.select({ id: strike.id }).from(strike).where(inArray(strike.filmId, films));
    await tx.delete(cardStill).where(inArray(cardStill.strikeId, strikes));
    const theirs = tx.select({ id: correction.id }).from(correction).where(eq(correction.traineeId, traineeId));
    await tx.delete(cardLink).where(inArray(cardLink.correctionId, theirs));
    await tx.update(filmStep).set({ state: 'skipped', worker: null }).where(inArray(filmStep.filmId, films));
    await tx
      .update(film)
      .set({
        ...{ state: 'withdrawn', done: true, fileName: '', sha256: null, remark: null, bytes: 0 },
        ...{ loudness: null, stripPictures: null, stripWidth: null, stripHeight: null, hasSound: false },
      })
      .where(inArray(film.id, films));
    return films;
  });
}

/** Everything that shows somebody, up to when they withdrew their consent, is gone from database and store. @returns how many films */
export async function forgetFilms(
  { db, storage, settings }: Pick<Services, 'db' | 'storage' | 'settings'>,
  traineeId: string,
  until: Date,
): Promise<number> {
  const films = await forgetInDatabase(db, traineeId, until);
  for (const id of films) await storage.remove(id);
  await endRemovalsShowing({ db, storage, settings }, traineeId, until);
  const montages = await db
    .delete(montage)
    .where(and(inArray(montage.sessionId, seenIn(db, traineeId)), lte(montage.askedAt, until), ne(montage.state, 'working')))
    .returning({ id: montage.id });
  for (const { id } of montages) await rm(join(settings.home, 'montages', `${id}.mp4`), { force: true });
  // An archive of the whole club shows them as well.
  const archives = await db
    .delete(archive)
    .where(
      and(
        or(eq(archive.traineeId, traineeId), isNull(archive.traineeId)),
        eq(archive.kind, 'write'),
        lte(archive.askedAt, until),
        ne(archive.state, 'working'),
      ),
    )
    .returning({ id: archive.id });
  for (const { id } of archives) await rm(join(settings.home, 'archives', `${id}.zip`), { force: true });
  return films.length;
}

/** Withdraws the word that counts, and forgets. @returns how many films are gone */
export async function withdrawConsent(
  services: Pick<Services, 'db' | 'storage' | 'settings'>,
  traineeId: string,
): Promise<number> {
  const { db } = services;
  const at = new Date();
  await db
    .update(consent)
    .set({ withdrawnAt: at })
    .where(and(eq(consent.traineeId, traineeId), isNull(consent.withdrawnAt)));
  return forgetFilms(services, traineeId, at);
}

/** Words that were taken back here. */
export type Withdrawals = readonly { id: string; traineeId: string; at: Date }[];
export const withdrawalsHere = async (db: Database): Promise<Withdrawals> =>
  (
    await db
      .select({ id: consent.id, traineeId: consent.traineeId, at: consent.withdrawnAt })
      .from(consent)
      .where(isNotNull(consent.withdrawnAt))
  ).flatMap(({ at, ...row }) => (at ? [{ ...row, at }] : []));

/**
 * Whatever is read in from elsewhere, a word that was taken back here stays so, and nothing comes back that shows whoever took it back.
 * @returns films of which only counts are left; nothing of them belongs in the store
 */
export async function keepWithdrawn(tx: Database, withdrawals: Withdrawals): Promise<string[]> {
  const films: string[] = [];
  for (const { id, traineeId, at } of withdrawals) {
    await tx
      .update(consent)
      .set({ withdrawnAt: at })
      .where(and(eq(consent.id, id), isNull(consent.withdrawnAt)));
    films.push(...(await forgetInDatabase(tx, traineeId, at)));
  }
  return films;
}

/** Looks again for what was withdrawn lately: a server that ended in the middle, a worker that wrote after it. */
export async function forgetAgain(services: Pick<Services, 'db' | 'storage' | 'settings'>): Promise<void> {
  const rows = await services.db
    .select({ traineeId: consent.traineeId, at: sql<Date>`max(${consent.withdrawnAt})`.mapWith(consent.withdrawnAt) })
    .from(consent)
    .where(gt(consent.withdrawnAt, sql`now() - ${looksAgainFor}`))
    .groupBy(consent.traineeId);
  for (const { traineeId, at } of rows) await forgetFilms(services, traineeId, at);
}
