import { frameAt, timelineOf } from '@wax-fist/core/film';
import { eq } from 'drizzle-orm';
import { film } from '../server/db/schema/index.ts';
import { truthOfFilm } from '../server/demo/footage.ts';
import { runningClub } from './running-club.ts';

export { filmPath } from '../server/demo/footage.ts';

export interface TrueStrike {
  technique: string;
  launch: number;
  contact: number;
  home: number;
  /** Checkpoints at fault. */
  faults: string[];
}

/** The strikes of a demo film, at frames. */
export function trueStrikes(film: string): TrueStrike[] {
  const { frameTimes, strikes } = truthOfFilm(film);
  const timeline = timelineOf(frameTimes);
  return strikes.map(({ technique, launch, contact, home, faults }) => ({
    technique,
    launch: frameAt(timeline, launch),
    contact: frameAt(timeline, contact),
    home: frameAt(timeline, home),
    faults: faults.map(({ checkpoint }) => checkpoint),
  }));
}

/** Where a film of the demo club is reviewed. */
export async function demoFilmId(name: string): Promise<string> {
  const { db } = await runningClub();
  const [row] = await db
    .select({ id: film.id })
    .from(film)
    .where(eq(film.fileName, `${name}.mp4`));
  return row!.id;
}
