import type { CardStillOfFilm } from '@wax-fist/contract/cards';
import { unpackTimeline } from '@wax-fist/core/film';
import { eq } from 'drizzle-orm';
import { film } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { justBefore } from '../../media/just-before.ts';
import { frameJpeg } from '../../media/still.ts';
import type { Services } from '../../services.ts';
import { borrowed } from '../../storage/borrowed.ts';

/** High enough for paper: 480 by 360 pixels. */
const stillHeight = 480;

/** The picture of a still: a part of one frame, as a JPEG. */
export async function stillPicture(
  { db, storage }: Pick<Services, 'db' | 'storage'>,
  { filmId, frame, part }: Pick<CardStillOfFilm, 'filmId' | 'frame' | 'part'>,
): Promise<Buffer> {
  const rows = await db
    .select({ timeline: film.timeline, firstFrameAt: film.firstFrameAt })
    .from(film)
    .where(eq(film.id, filmId));
  const { timeline, firstFrameAt } = found(rows, 'film');
  const at = justBefore({ timeline: unpackTimeline(timeline!), firstFrameAt: firstFrameAt ?? 0 }, frame);
  return borrowed(storage, filmId, 'film.mp4', (path) => frameJpeg(path, Math.max(0, at), part, stillHeight));
}
