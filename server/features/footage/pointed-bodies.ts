import type { PointedBody } from '@wax-fist/contract/footage';
import { asc, and, eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { account, film, filmStep, pointedBody } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { begunAnew } from '../../jobs/import-step.ts';
import { stepsFrom } from '../../jobs/import-steps.ts';
import type { Services } from '../../services.ts';

/** Bodies that were pointed out in a film, in the order in which that was said. */
export async function pointedBodiesOf(db: Database, filmId: string) {
  const rows = await db
    .select({
      ...{ id: pointedBody.id, frame: pointedBody.frame, x: pointedBody.x, y: pointedBody.y, side: pointedBody.side },
      ...{ saidBy: account.name, saidAt: pointedBody.saidAt, followed: pointedBody.followed },
    })
    .from(pointedBody)
    .leftJoin(account, eq(account.id, pointedBody.saidBy))
    .where(eq(pointedBody.filmId, filmId))
    .orderBy(asc(pointedBody.saidAt), asc(pointedBody.id));
  return rows.map((row) => ({ ...row, saidAt: row.saidAt.toISOString() }));
}

/** Notes whom a coach has pointed out, and has it followed. Said twice, it is one. @throws Refusal */
export async function pointOutBody(
  { db, queue }: Pick<Services, 'db' | 'queue'>,
  filmId: string,
  { id, frame, x, y, side }: PointedBody,
  saidBy: string,
): Promise<void> {
  const known = found(
    await db
      .select({ frames: film.frames, width: film.width, height: film.height, state: film.state })
      .from(film)
      .where(eq(film.id, filmId)),
    'film',
  );
  const { frames, width, height } = known;
  if (known.state !== 'ready' || !frames || !width || !height) throw new Refusal(409, 'This film is still being worked in.');
  if (frame >= frames) throw new Refusal(422, `The film has ${frames} frames; there is no frame ${frame}.`);
  if (x < 0 || y < 0 || x > width || y > height) throw new Refusal(422, 'The middle of the square lies outside of the picture.');
  await db.transaction(async (tx) => {
    const isPose = and(eq(filmStep.filmId, filmId), eq(filmStep.step, 'pose'));
    const [step] = await tx.select({ state: filmStep.state }).from(filmStep).where(isPose).for('update');
    if (!step || step.state === 'skipped')
      throw new Refusal(409, 'Bodies are not followed here, so there is nothing to put right.');
    const added = await tx
      .insert(pointedBody)
      .values({ id, filmId, frame, x, y, side, saidBy })
      .onConflictDoNothing()
      .returning({ id: pointedBody.id });
    if (added.length === 0) return;
    // Whoever works on it meanwhile stops: it begins again with what is known now, and keeps what it has found.
    await tx
      .update(filmStep)
      .set(begunAnew)
      .where(and(eq(filmStep.filmId, filmId), inArray(filmStep.step, stepsFrom('pose'))));
  });
  await queue.importFilm(filmId);
}
