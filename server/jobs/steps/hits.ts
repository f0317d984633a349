import { hitsOf, noHitEdits } from '@wax-fist/core/sound';
import { isHeard, proposedRounds } from '@wax-fist/core/rounds';
import { eq } from 'drizzle-orm';
import { MessageChannel } from 'node:worker_threads';
import { filmHits, round, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { heavily } from '../heavy.ts';
import type { StepWork } from '../import-step.ts';
import { proposeRounds } from '../propose-rounds.ts';

/** Finds hits and bells in the sound, and cuts rounds where no coach has cut any. */
export async function hitsStep({ db, storage, film, progress, signal }: StepWork): Promise<void> {
  const wave = await storage.bring(film.id, 'sound.wav');
  const { port1: told, port2: heard } = new MessageChannel();
  heard.on('message', progress);
  const listening = heavily('listen', { wave, told }, { signal, transferList: [told] });
  const { hits: sound, rings, talk } = await listening.finally(() => heard.close());
  const { kind } = found(
    await db.select({ kind: trainingSession.roundKind }).from(trainingSession).where(eq(trainingSession.id, film.sessionId)),
    'session',
  );
  const hits = isHeard(kind) ? hitsOf({ sound }, noHitEdits).map(({ time }) => time) : [];
  const rounds = proposedRounds(hits, rings, film.duration!);
  await db.transaction(async (tx) => {
    await tx
      .insert(filmHits)
      .values({ filmId: film.id, sound, rings, talk })
      .onConflictDoUpdate({ target: filmHits.filmId, set: { sound, rings, talk } });
    if ((await tx.$count(round, eq(round.filmId, film.id))) === 0) await proposeRounds(tx, film.id, kind, rounds);
  });
}
