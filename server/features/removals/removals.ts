import type { Removal, RemovableKind } from '@wax-fist/contract/removals';
import { usualManner, wholeDay } from '@wax-fist/core/words';
import { desc, eq, lt, sql } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import type { Database } from '../../db/connection.ts';
import { saidByName } from '../../db/said-by-name.ts';
import { takingTurns } from '../../db/take-turns.ts';
import { account, archive, film, removal, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import type { Services } from '../../services.ts';
import { keepBelongings, putBelongingsBack } from './belongings.ts';

/** So long it can be put back. */
const keptFor = sql`interval '1 day'`;
const endsAt = sql<Date>`${removal.removedAt} + ${keptFor}`.mapWith(removal.removedAt);

const removals = (db: Database) =>
  db
    .select({ id: removal.id, kind: removal.kind, says: removal.says, removedAt: removal.removedAt, endsAt, by: saidByName })
    .from(removal)
    .leftJoin(account, eq(account.id, removal.removedBy))
    .$dynamic();
const asRemoval = ({ removedAt, endsAt: ends, ...row }: Awaited<ReturnType<typeof removals>>[number]): Removal => ({
  ...row,
  removedAt: removedAt.toISOString(),
  endsAt: ends.toISOString(),
});

/** What can still be put back, the newest first. */
export const listRemovals = async (db: Database): Promise<Removal[]> =>
  (await removals(db).orderBy(desc(removal.removedAt), desc(removal.id))).map(asRemoval);

/** How people call it, and whose it is. @throws Refusal when it is not there */
const called: Readonly<Record<RemovableKind, (db: Database, id: string) => Promise<{ says: string; traineeId: string }>>> = {
  trainee: async (db, id) => {
    const rows = await db
      .select({ says: trainee.name, traineeId: trainee.id })
      .from(trainee)
      .where(eq(trainee.id, id))
      .for('update');
    return found(rows, 'trainee');
  },
  training_session: async (db, id) => {
    const rows = await db
      .select({ name: trainee.name, traineeId: trainee.id, heldOn: trainingSession.heldOn })
      .from(trainingSession)
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(trainingSession.id, id))
      .for('update', { of: trainingSession });
    const { name, traineeId, heldOn } = found(rows, 'session');
    return { says: `${name}, ${wholeDay(heldOn, usualManner)}`, traineeId };
  },
  film: async (db, id) => {
    const rows = await db
      .select({ name: trainee.name, traineeId: trainee.id, heldOn: trainingSession.heldOn, fileName: film.fileName })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(film.id, id))
      .for('update', { of: film });
    const { name, traineeId, heldOn, fileName } = found(rows, 'film');
    return { says: `${name}, ${wholeDay(heldOn, usualManner)}: ${fileName}`, traineeId };
  },
};
const tables = { trainee, training_session: trainingSession, film } as const;

/** What goes along with it, or comes back, is no act of its own: that it is removed, or put back, is one line of the journal. */
async function asOneAct(tx: Database, doing: () => PromiseLike<unknown>): Promise<void> {
  await tx.execute(sql`select set_config('wax.goes_along', 'on', true)`);
  await doing();
  await tx.execute(sql`select set_config('wax.goes_along', '', true)`);
}

/** Removes something with all that belongs to it; it can be put back for a day. @throws Refusal when it is not there */
export async function remove(db: Database, kind: RemovableKind, thing: string, removedBy: string): Promise<Removal> {
  const id = uuid();
  // Steps of an import may still be under way.
  await takingTurns(db, async (tx) => {
    await tx.insert(removal).values({ id, kind, thing, removedBy, ...(await called[kind](tx, thing)) });
    await keepBelongings(tx, id, kind, thing);
    await asOneAct(tx, () => tx.delete(tables[kind]).where(eq(tables[kind].id, thing)));
  });
  return asRemoval(found(await removals(db).where(eq(removal.id, id)), 'removal'));
}

const uniqueViolation = '23505';
const foreignKeyViolation = '23503';
const exclusionViolation = '23P01';
const codeOf = (error: unknown): string | undefined =>
  error instanceof Error ? ((error as { code?: string }).code ?? codeOf(error.cause)) : undefined;

/** Puts it back with everything. @throws Refusal when it is gone for good, or something new stands in its place */
export async function putBack(db: Database, removalId: string): Promise<void> {
  try {
    await db.transaction(async (tx) => {
      found(await tx.select({ id: removal.id }).from(removal).where(eq(removal.id, removalId)).for('update'), 'removal');
      await asOneAct(tx, () => putBelongingsBack(tx, removalId));
      await tx.delete(removal).where(eq(removal.id, removalId));
    });
  } catch (error) {
    const code = codeOf(error);
    if (code === uniqueViolation || code === exclusionViolation)
      throw new Refusal(
        409,
        'It cannot be put back: something new stands in its place, such as the same correction opened again.',
      );
    if (code === foreignKeyViolation)
      throw new Refusal(409, 'It cannot be put back: what it belonged to is removed as well. Put that back first.');
    throw error;
  }
}

/** Whether a film lies among what can be put back: its bytes have to stay. */
export async function canComeBack(db: Database, filmId: string): Promise<boolean> {
  const { rows } = await db.execute(
    sql`select 1 from removed_row where of_table = 'film' and pointed is null and says ->> 'id' = ${filmId} limit 1`,
  );
  return rows.length > 0;
}

/** Takes something away for good, with its bytes. Said again it takes nothing more. */
export async function endRemoval(
  { db, storage, settings }: Pick<Services, 'db' | 'storage' | 'settings'>,
  removalId: string,
): Promise<void> {
  const { rows } = await db.execute<{ name: 'film' | 'montage' | 'archive'; id: string }>(sql`
    select of_table as name, says ->> 'id' as id from removed_row
    where removal_id = ${removalId}::uuid and of_table in ('film', 'montage', 'archive') and (pointed is null or of_table = 'archive')`);
  const bytesOf: Record<(typeof rows)[number]['name'], (id: string) => Promise<unknown>> = {
    film: storage.remove,
    montage: (id) => rm(join(settings.home, 'montages', `${id}.mp4`), { force: true }),
    // One that was made of this trainee alone: it is of nobody any more, and still holds everything.
    archive: (id) =>
      rm(join(settings.home, 'archives', `${id}.zip`), { force: true }).then(() => db.delete(archive).where(eq(archive.id, id))),
  };
  // Bytes first: what breaks off here is begun again, and nothing is left that nobody knows of.
  for (const { name, id } of rows) await bytesOf[name](id);
  await db.delete(removal).where(eq(removal.id, removalId));
}

/** Whatever shows somebody among what was removed up to then is gone for good: as they trained, or held. */
export async function endRemovalsShowing(
  services: Pick<Services, 'db' | 'storage' | 'settings'>,
  traineeId: string,
  until: Date,
): Promise<void> {
  const { rows } = await services.db.execute<{ id: string }>(sql`select distinct removal.id from removal
    left join removed_row on removed_row.removal_id = removal.id and of_table = 'training_session'
    where (removal.trainee_id = ${traineeId}::uuid or removed_row.says ->> 'holder_id' = ${traineeId}) and removed_at <= ${until.toISOString()}::timestamptz`);
  for (const { id } of rows) await endRemoval(services, id);
}

/** Takes away for good what was removed more than a day ago. */
export async function endOldRemovals(services: Pick<Services, 'db' | 'storage' | 'settings'>): Promise<void> {
  const old = await services.db
    .select({ id: removal.id })
    .from(removal)
    .where(lt(removal.removedAt, sql`now() - ${keptFor}`));
  for (const { id } of old) await endRemoval(services, id);
}
