import type { Film, FilmDraft } from '@wax-fist/contract/footage';
import { eq } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { film, trainingSession } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { addSteps } from '../../jobs/work-on-film.ts';
import type { Services } from '../../services.ts';
import { filmsOf } from './queries.ts';
import type { Uploads } from './uploads.ts';

/**
 * Takes a finished upload over as the original of a film and has it imported. Bytes first, then the row, then the job, each
 * step safe to do again: whoever asks twice, or after a crash in between, gets the same film.
 */
export async function addFilm(
  { db, storage, queue }: Services,
  uploads: Uploads,
  draft: FilmDraft,
  addedBy: string,
): Promise<Film> {
  const [already] = await filmsOf(db, eq(film.id, draft.id));
  if (already) {
    if (already.state === 'waiting') await queue.importFilm(draft.id);
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
    await tx.insert(film).values({ id, sessionId, fileName, view, bytes, addedBy }).onConflictDoNothing();
    await addSteps(tx, id);
  });
  await queue.importFilm(id);
  return found(await filmsOf(db, eq(film.id, id)), 'film');
}
