import type { Turn } from '@wax-fist/contract/film-parts';
import { joinPacked, unpackTrack } from '@wax-fist/core/body';
import { unpackTimeline } from '@wax-fist/core/film';
import { turnsOf, type Worn } from '@wax-fist/core/rounds';
import { asc, eq } from 'drizzle-orm';
import { filmPieces } from '../../db/film-pieces.ts';
import { film, round } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { picturePixels } from '../../media/strip-pixels.ts';
import type { Services } from '../../services.ts';
import { wornIn } from './worn-in.ts';

type Row = typeof film.$inferSelect;

/** What is worn in a film; nothing where nobody was followed, or there is no strip of it. */
async function wornInFilm({ db, storage }: Pick<Services, 'db' | 'storage'>, row: Row): Promise<Worn[]> {
  const { id, frames, timeline, duration, height, stripPictures, stripWidth, stripHeight } = row;
  const pieces = await filmPieces(db, id);
  if (!frames || !timeline || !duration || !height || !stripPictures || !stripWidth || !stripHeight || pieces.length === 0)
    return [];
  const pixels = await picturePixels(await storage.bring(id, 'strip.jpg'));
  await storage.letGo(id);
  return wornIn(
    { pixels, pictures: stripPictures, width: pixels.length / 3 / stripHeight / stripPictures, height: stripHeight },
    { timeline: unpackTimeline(timeline), track: unpackTrack(0, joinPacked(pieces, frames)), duration, pictureHeight: height },
  );
}

/** Who seems to work in which rounds of a film; one person where that is all that can be told. */
export async function filmTurns(services: Pick<Services, 'db' | 'storage'>, filmId: string): Promise<Turn[]> {
  const { db } = services;
  const [row] = await db.select().from(film).where(eq(film.id, filmId));
  const known = found(row ? [row] : [], 'film');
  const rounds = await db
    .select({ id: round.id, from: round.startsAt, to: round.endsAt })
    .from(round)
    .where(eq(round.filmId, filmId))
    .orderBy(asc(round.startsAt));
  // A single round is one person's; nothing has to be looked at for that.
  return turnsOf(rounds, rounds.length > 1 ? await wornInFilm(services, known) : []);
}
