import type { Film, FilmDraft } from '@wax-fist/contract/footage';
import { eq } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import { film, trainingSession } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { addSteps } from '../../jobs/work-on-film.ts';
import type { Services } from '../../services.ts';
import { filmsOf } from './queries.ts';
import { mayBeFilmed } from '../consents/queries.ts';
import type { Uploads } from './uploads.ts';

/**
 * Takes a finished upload over as the original of a film and has it imported. The bytes are moved while the row is being
 * written and not yet final: when either fails, the upload lies where it was. Whoever asks twice, or after a crash in between,
 * gets the same film.
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
  await mayBeFilmed(db, session.id);
  const { id, sessionId, fileName, view, sha256 } = draft;
  const movedBefore = await storage.bytes(id, 'original');
  const upload = movedBefore === undefined ? await uploads.finished(draft.uploadId) : undefined;
  const bytes = upload?.bytes ?? movedBefore!;
  if (bytes === 0) throw new Refusal(422, 'The file is empty (0 bytes). Copy it from the phone again.');
  await db.transaction(async (tx) => {
    const added = await tx
      .insert(film)
      .values({ id, sessionId, fileName, view, bytes, addedBy, sha256 })
      .onConflictDoNothing()
      .returning({ id: film.id });
    if (added.length === 0) return;
    await addSteps(tx, id);
    if (upload) await storage.keep(upload.path, id, 'original');
  });
  if (upload) {
    await rm(`${upload.path}.json`, { force: true });
    await storage.letGo(id);
  }
  await queue.importFilm(id);
  return found(await filmsOf(db, eq(film.id, id)), 'film');
}
