import { alignSounds, soundOfWave, type Sound } from '@wax-fist/core/moments';
import { and, eq, gt, ne, sql } from 'drizzle-orm';
import { readFile } from 'node:fs/promises';
import { clip, clipAlignment, clipStep } from '../../db/schema/index.ts';
import type { StepWork } from '../step.ts';

/** Longer films are tied by hand: what they have in common would take too long to find. Milliseconds. */
const longest = 30 * 60_000;

/** Puts the film on one clock with the others of its session that can be heard. */
export async function viewsStep({ db, storage, clip: one, progress }: StepWork): Promise<void> {
  if (one.duration! > longest) return;
  const heard = async (clipId: string): Promise<Sound> => soundOfWave(await readFile(await storage.bring(clipId, 'sound.wav')));
  const others = await db
    .select({ id: clip.id, duration: clip.duration })
    .from(clip)
    .innerJoin(clipStep, and(eq(clipStep.clipId, clip.id), eq(clipStep.step, 'sound'), eq(clipStep.state, 'done')))
    .where(and(eq(clip.sessionId, one.sessionId), ne(clip.id, one.id), gt(clip.duration, 0)));
  const own = others.length > 0 ? await heard(one.id) : undefined;
  for (const [place, other] of others.entries()) {
    progress(place / others.length);
    if (!own || other.duration! > longest) continue;
    const theirs = await heard(other.id);
    const [clipId, otherId] = [one.id, other.id].sort() as [string, string];
    const [first, second] = clipId === one.id ? [own, theirs] : [theirs, own];
    const found = alignSounds(first.samples, second.samples, first.sampleRate);
    if (!found) continue;
    await db
      .insert(clipAlignment)
      .values({ clipId, otherId, ...found })
      // What a coach has tied by hand stays.
      .onConflictDoUpdate({
        target: [clipAlignment.clipId, clipAlignment.otherId],
        set: found,
        setWhere: sql`${clipAlignment.fit} is not null`,
      });
  }
}
