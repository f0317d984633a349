import { hitsOf, listenTo, noEdits, proposedRounds, soundOfWave } from '@wax-fist/core/moments';
import { eq } from 'drizzle-orm';
import { readFile } from 'node:fs/promises';
import { v7 as uuid } from 'uuid';
import { clipMoments, round, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import type { StepWork } from '../step.ts';

/** Finds hits and bells in the sound, and cuts rounds where no coach has cut any. */
export async function hitsStep({ db, storage, clip, progress }: StepWork): Promise<void> {
  const { samples, sampleRate } = soundOfWave(await readFile(await storage.bring(clip.id, 'sound.wav')));
  const { hits: sound, rings } = listenTo(samples, sampleRate, progress);
  const hits = hitsOf({ sound }, noEdits).map(({ time }) => time);
  const rounds = proposedRounds(hits, rings, clip.duration!);
  const { kind } = found(
    await db.select({ kind: trainingSession.roundKind }).from(trainingSession).where(eq(trainingSession.id, clip.sessionId)),
    'session',
  );
  await db.transaction(async (tx) => {
    await tx.insert(clipMoments).values({ clipId: clip.id, sound, rings }).onConflictDoUpdate({ target: clipMoments.clipId, set: { sound, rings } }); // prettier-ignore
    if ((await tx.$count(round, eq(round.clipId, clip.id))) > 0) return;
    await tx.insert(round).values(
      rounds.map(({ from, to, manner }, place) => ({ id: uuid(), clipId: clip.id, name: `Round ${place + 1}`, startsAt: from, endsAt: to, kind, manner, proposed: true })),
    ); // prettier-ignore
  });
}
