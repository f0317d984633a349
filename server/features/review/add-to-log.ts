import type { LogEntry, ObservationEntry, StrikeEntry } from '@wax-fist/contract/review';
import { saidLater } from '@wax-fist/core/review';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { clip, observation, strike, strikeRevision, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { catalogueAt } from '../technique/versions.ts';

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

interface Desk {
  transaction: Transaction;
  clipId: string;
  saidBy: string;
}

/**
 * Writes marks into a clip's log, all or none. A mark that is there already is left alone, so sending twice is harmless.
 * Of two marks about the same thing the later said one counts, in whatever order they arrive; the other stays in the log.
 */
export async function addToLog(db: Database, clipId: string, entries: readonly LogEntry[], saidBy: string): Promise<string[]> {
  await db.transaction(async (transaction) => {
    const rows = await transaction
      .select({ frames: clip.frames, version: trainingSession.checklistVersion })
      .from(clip)
      .innerJoin(trainingSession, eq(trainingSession.id, clip.sessionId))
      .where(eq(clip.id, clipId));
    const { frames, version } = found(rows, 'film');
    const now = new Date();
    const desk = { transaction, clipId, saidBy };
    for (const entry of entries) {
      // A browser whose clock is ahead must not win for ever.
      const saidAt = new Date(Math.min(now.getTime(), Date.parse(entry.saidAt)));
      if (entry.kind === 'strike') {
        if (frames === null || entry.homeFrame >= frames) throw new Refusal(422, 'This strike lies outside of the film.');
        const catalogue = await catalogueAt(db, version, transaction);
        if (!catalogue?.techniques.has(entry.technique))
          throw new Refusal(422, 'This technique is not in the catalogue of this session.');
        await addRevision(desk, entry, saidAt);
      } else {
        const catalogue = await catalogueAt(db, entry.checklistVersion, transaction);
        if (!catalogue?.checkpoints.has(entry.checkpointId)) throw new Refusal(422, 'This checkpoint is not in the checklist.');
        await addObservation(desk, entry, saidAt);
      }
    }
  });
  return entries.map(({ id }) => id);
}

/** The strike, locked until the transaction ends so that two tabs take turns. */
async function lockedStrike({ transaction, clipId }: Desk, strikeId: string): Promise<typeof strike.$inferSelect> {
  const rows = await transaction
    .select()
    .from(strike)
    .where(and(eq(strike.id, strikeId), eq(strike.clipId, clipId)))
    .for('update');
  return found(rows, 'strike');
}

async function addRevision(desk: Desk, entry: StrikeEntry, saidAt: Date): Promise<void> {
  const { transaction, clipId, saidBy } = desk;
  const { id: revisionId, strikeId, technique, launchFrame, contactFrame, homeFrame, removed } = entry;
  const told = { technique, launchFrame, contactFrame, homeFrame, removed, saidAt, saidBy };
  await transaction
    .insert(strike)
    .values({ id: strikeId, clipId, revisionId, ...told })
    .onConflictDoNothing();
  const standing = await lockedStrike(desk, strikeId);
  await transaction
    .insert(strikeRevision)
    .values({ id: revisionId, strikeId, ...told })
    .onConflictDoNothing();
  const later = saidLater(
    { id: revisionId, saidAt: saidAt.toISOString() },
    { id: standing.revisionId, saidAt: standing.saidAt.toISOString() },
  );
  if (later)
    await transaction
      .update(strike)
      .set({ revisionId, ...told })
      .where(eq(strike.id, strikeId));
}

async function addObservation(desk: Desk, entry: ObservationEntry, saidAt: Date): Promise<void> {
  const { transaction, saidBy } = desk;
  const { id, strikeId, checkpointId, verdict, note, view, anyway, checklistVersion } = entry;
  await lockedStrike(desk, strikeId);
  const [known] = await transaction.select({ id: observation.id }).from(observation).where(eq(observation.id, id));
  if (known) return;
  const [counting] = await transaction
    .select({ id: observation.id, saidAt: observation.saidAt })
    .from(observation)
    .where(
      and(eq(observation.strikeId, strikeId), eq(observation.checkpointId, checkpointId), eq(observation.superseded, false)),
    );
  const superseded =
    counting !== undefined &&
    !saidLater({ id, saidAt: saidAt.toISOString() }, { id: counting.id, saidAt: counting.saidAt.toISOString() });
  if (counting && !superseded) {
    await transaction.update(observation).set({ superseded: true }).where(eq(observation.id, counting.id));
  }
  await transaction
    .insert(observation)
    .values({ id, strikeId, checkpointId, verdict, note, view, anyway, checklistVersion, saidBy, saidAt, superseded });
}
