import type { Clip, ClipDraft } from '@wax-fist/contract/footage';
import { eq } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { clip, trainingSession } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { addSteps } from '../../jobs/work-on-clip.ts';
import type { Surroundings } from '../../surroundings.ts';
import { clipsOf } from './queries.ts';
import type { Uploads } from './uploads.ts';

/**
 * Takes a finished upload over as the original of a clip and has it imported. Bytes first, then the row, then the job, each
 * step safe to do again: whoever asks twice, or after a crash in between, gets the same clip.
 */
export async function addClip(
  { db, storage, queue }: Surroundings,
  uploads: Uploads,
  draft: ClipDraft,
  addedBy: string,
): Promise<Clip> {
  const [already] = await clipsOf(db, eq(clip.id, draft.id));
  if (already) {
    if (already.state === 'waiting') await queue.importClip(draft.id);
    return already;
  }
  const [session] = await db
    .select({ id: trainingSession.id })
    .from(trainingSession)
    .where(eq(trainingSession.id, draft.sessionId));
  if (!session) throw notFound('session');
  let bytes = await storage.bytes(draft.id, 'original');
  if (bytes === undefined) {
    const upload = await uploads.finished(draft.uploadId);
    if (upload.bytes === 0) throw new Refusal(422, 'The file is empty (0 bytes). Copy it from the phone again.');
    bytes = upload.bytes;
    await storage.keep(upload.path, draft.id, 'original');
    await rm(`${upload.path}.json`, { force: true });
    await storage.letGo(draft.id);
  }
  const { id, sessionId, fileName, view } = draft;
  await db.transaction(async (tx) => {
    await tx.insert(clip).values({ id, sessionId, fileName, view, bytes, addedBy }).onConflictDoNothing();
    await addSteps(tx, id);
  });
  await queue.importClip(id);
  return found(await clipsOf(db, eq(clip.id, id)), 'film');
}
