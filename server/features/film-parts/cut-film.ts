import type { FilmPart } from '@wax-fist/contract/film-parts';
import { max, min } from 'd3-array';
import { and, asc, eq } from 'drizzle-orm';
import { mkdir, mkdtemp, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import type { Database } from '../../db/connection.ts';
import { film, round, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { addSteps } from '../../jobs/work-on-film.ts';
import { cutPart } from '../../media/cut.ts';
import type { Services } from '../../services.ts';
import { mayBeFilmed } from '../consents/queries.ts';
import { remove } from '../removals/removals.ts';
import { standardFor } from '../sessions/standard.ts';

type Session = typeof trainingSession.$inferSelect;
type Round = typeof round.$inferSelect;

/** The session of a trainee on the day of another one, on the same things; added where there is none. */
async function sessionLike(tx: Database, like: Session, traineeId: string): Promise<string> {
  if (traineeId === like.traineeId) return like.id;
  const { heldOn, roundKind, place, kit, rung, holderId, holderStance } = like;
  const isThat = and(
    eq(trainingSession.traineeId, traineeId),
    eq(trainingSession.heldOn, heldOn),
    eq(trainingSession.roundKind, roundKind),
  );
  const [there] = await tx.select({ id: trainingSession.id }).from(trainingSession).where(isThat);
  if (there) return there.id;
  const { schoolId } = found(
    await tx.select({ schoolId: trainee.schoolId }).from(trainee).where(eq(trainee.id, traineeId)),
    'trainee',
  );
  const id = uuid();
  const holder = holderId === traineeId ? {} : { holderId, holderStance };
  await tx
    .insert(trainingSession)
    .values({ ...{ id, traineeId, heldOn, roundKind, place, kit, rung }, ...holder, ...(await standardFor(tx, schoolId)) });
  return id;
}

/** The rounds of each part, which may not lie between those of another. @throws Refusal */
function roundsOfParts(parts: readonly FilmPart[], rounds: readonly Round[]): Round[][] {
  const lists = parts.map(({ roundIds }) => rounds.filter(({ id }) => roundIds.includes(id)));
  if (lists.some((list, place) => list.length !== parts[place]!.roundIds.length))
    throw new Refusal(409, 'These rounds are not in this film any more. Look at it again.');
  for (const [place, list] of lists.entries()) {
    const [from, to] = [min(list, ({ startsAt }) => startsAt)!, max(list, ({ endsAt }) => endsAt)!];
    const others = lists.filter((_, other) => other !== place).flat();
    if (others.some(({ startsAt, endsAt }) => endsAt > from && startsAt < to))
      throw new Refusal(422, 'A part is made of rounds in a row: somebody else’s lies between these.');
  }
  return lists;
}

/**
 * Cuts a film into a film for each turn, and removes the whole: what shows several people can belong to none of them. The parts are
 * copied out before anything is written; they are imported as any film is.
 * @throws Refusal in words for the person
 */
export async function cutFilm(
  { db, storage, queue, settings }: Services,
  filmId: string,
  parts: readonly FilmPart[],
  by: string,
): Promise<{ filmId: string; sessionId: string }[]> {
  const { film: whole, session } = found(
    await db
      .select({ film, session: trainingSession })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .where(eq(film.id, filmId)),
    'film',
  );
  if (whole.state !== 'ready') throw new Refusal(409, 'This film is still being worked in. It is cut when it can be reviewed.');
  if ((await db.$count(strike, and(eq(strike.filmId, filmId), eq(strike.removed, false)))) > 0)
    throw new Refusal(409, 'Strikes are tagged in this film already; cut, they would be lost. Take the tags out first.');
  const rounds = await db.select().from(round).where(eq(round.filmId, filmId)).orderBy(asc(round.startsAt));
  const lists = roundsOfParts(parts, rounds);
  const drafts = join(settings.home, 'drafts');
  await mkdir(drafts, { recursive: true });
  const folder = await mkdtemp(join(drafts, 'cut-'));
  try {
    const original = await storage.bring(filmId, 'original');
    for (const [place, list] of lists.entries())
      await cutPart(original, join(folder, String(place)), { from: list[0]!.startsAt, to: max(list, ({ endsAt }) => endsAt)! });
    const kept: string[] = [];
    const made = await db
      .transaction(async (tx) => {
        const made: { filmId: string; sessionId: string }[] = [];
        for (const [place, { filmId: id, traineeId }] of parts.entries()) {
          const draft = join(folder, String(place));
          const sessionId = await sessionLike(tx, session, traineeId);
          await mayBeFilmed(tx, sessionId);
          const { size: bytes } = await stat(draft);
          const fileName = `${whole.fileName.replace(/\.\w+$/, '')}, part ${place + 1}.mkv`;
          await tx.insert(film).values({ id, sessionId, fileName, view: whole.view, bytes, addedBy: by });
          await addSteps(tx, id);
          kept.push(id);
          await storage.keep(draft, id, 'original');
          made.push({ filmId: id, sessionId });
        }
        await remove(tx, 'film', filmId, by);
        return made;
      })
      .catch(async (error: unknown) => {
        for (const id of kept) await storage.remove(id).catch(() => undefined);
        throw error;
      });
    for (const one of made) await queue.importFilm(one.filmId);
    return made;
  } finally {
    await storage.letGo(filmId);
    await rm(folder, { recursive: true, force: true });
  }
}
