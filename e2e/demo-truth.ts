import { frameAt, timelineOf } from '@wax-fist/core/moments';
import { eq } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { clip } from '../server/db/schema/index.ts';
import { runningClub } from './running-club.ts';

const footage = join(import.meta.dirname, '../simulator/footage');

export interface TrueStrike {
  technique: string;
  launch: number;
  contact: number;
  home: number;
  /** Checkpoints at fault. */
  faults: string[];
}

export const filmPath = (film: string): string => join(footage, `${film}.mp4`);

/** The strikes of a demo film, at frames. */
export function trueStrikes(film: string): TrueStrike[] {
  const truth = JSON.parse(gunzipSync(readFileSync(join(footage, `${film}.truth.json.gz`))).toString()) as {
    frameTimes: number[];
    strikes: { technique: string; launch: number; contact: number; home: number; faults: { checkpoint: string }[] }[];
  };
  const timeline = timelineOf(truth.frameTimes);
  return truth.strikes.map(({ technique, launch, contact, home, faults }) => ({
    technique,
    launch: frameAt(timeline, launch),
    contact: frameAt(timeline, contact),
    home: frameAt(timeline, home),
    faults: faults.map(({ checkpoint }) => checkpoint),
  }));
}

/** Where a film of the demo club is reviewed. */
export async function demoClipId(film: string): Promise<string> {
  const { db } = await runningClub();
  const [row] = await db
    .select({ id: clip.id })
    .from(clip)
    .where(eq(clip.fileName, `${film}.mp4`));
  return row!.id;
}
