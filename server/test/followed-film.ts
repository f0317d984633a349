import type { Mark } from '@wax-fist/contract/review';
import { frameNearest, packTimeline, timelineOf } from '@wax-fist/core/film';
import type { Ms } from '@wax-fist/core/units';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import type { Database } from '../db/connection.ts';
import { film, filmPoints, holderPoints, secondPassPoints, trainee } from '../db/schema/index.ts';
import { pointsOfFilm, truthOfFilm } from '../demo/footage.ts';
import { thrown } from './marks.ts';
import type { ClubScene } from './server-under-test.ts';

/** Makes the film of a scene one of the demo club, and its trainee stand as whoever is in it. @param known of the film, besides its frames */
export async function becomes(
  db: Database,
  { filmId, traineeId }: ClubScene,
  name: string,
  known: Partial<typeof film.$inferInsert> = {},
): Promise<void> {
  const { frameTimes, scene } = truthOfFilm(name);
  const timeline = Buffer.from(packTimeline(timelineOf(frameTimes)));
  await db
    .update(film)
    .set({ frames: frameTimes.length, timeline, ...known })
    .where(eq(film.id, filmId));
  await db.update(trainee).set({ stance: scene.stance }).where(eq(trainee.id, traineeId));
}

const tables = { points: filmPoints, holder: holderPoints, 'second-pass': secondPassPoints };
/** Tells where the body is in a film, as the pose model did. @param of whom, and by which pass */
export async function follow(db: Database, filmId: string, name: string, of: keyof typeof tables = 'points'): Promise<void> {
  const { frames, model, version, packed } = pointsOfFilm(name, of)!;
  await db.insert(tables[of]).values({ filmId, fromFrame: 0, frames, model, version, packed });
}

/** What is thrown in a film of the demo club, as tags. @param late how long after it truly sets out a strike is said to */
export function tagsOf(name: string, late: Ms = 0): Mark[] {
  const { frameTimes, strikes } = truthOfFilm(name);
  const timeline = timelineOf(frameTimes);
  return strikes.map(({ technique, launch, contact, home }) =>
    thrown(uuid(), {
      technique,
      launchFrame: frameNearest(timeline, Math.min(launch + late, contact)),
      contactFrame: frameNearest(timeline, contact),
      homeFrame: frameNearest(timeline, home),
    }),
  );
}
