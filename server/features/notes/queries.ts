import type { Note, NoteDraft } from '@wax-fist/contract/notes';
import { and, asc, eq, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { saidByName } from '../../db/said-by-name.ts';
import { account, film, note, strike, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';

/** Notes that meet a condition, oldest first, without what was spoken. @param asking who may change their own */
export async function notesOf(db: Database, condition: SQL, asking: string): Promise<Note[]> {
  const rows = await db
    .select({
      id: note.id,
      sessionId: note.sessionId,
      strikeId: note.strikeId,
      text: note.text,
      voiceLasts: note.voiceLasts,
      saidBy: saidByName,
      own: sql<boolean>`${note.saidBy} is not distinct from ${asking}::uuid`,
      saidAt: note.saidAt,
      filmId: strike.filmId,
      technique: strike.technique,
      contactFrame: strike.contactFrame,
    })
    .from(note)
    .leftJoin(account, eq(account.id, note.saidBy))
    .leftJoin(strike, and(eq(strike.id, note.strikeId), eq(strike.removed, false)))
    .where(condition)
    .orderBy(asc(note.saidAt), asc(note.id));
  return rows.map(({ voiceLasts, filmId, technique, contactFrame, saidAt, ...row }) => ({
    ...row,
    voice: voiceLasts === null ? null : { lasts: voiceLasts },
    strike: filmId === null ? null : { filmId, technique: technique!, contactFrame: contactFrame! },
    saidAt: saidAt.toISOString(),
  }));
}

/** Writes a note, or another text of one's own. @throws Refusal when it says nothing, is somebody else’s, or of what there is not */
export async function saveNote(db: Database, { id, sessionId, strikeId, text, voice }: NoteDraft, saidBy: string): Promise<Note> {
  if (strikeId === null)
    found(await db.select({ id: trainingSession.id }).from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
  else
    found(
      await db
        .select({ id: strike.id })
        .from(strike)
        .innerJoin(film, eq(film.id, strike.filmId))
        .where(and(eq(strike.id, strikeId), eq(film.sessionId, sessionId))),
      'strike',
    );
  const [known] = await db
    .select({ saidBy: note.saidBy, hasVoice: sql<boolean>`${note.voice} is not null` })
    .from(note)
    .where(eq(note.id, id));
  if (known && known.saidBy !== saidBy) throw new Refusal(403, 'Somebody else said this.');
  if (text === '' && !voice && !known?.hasVoice)
    throw new Refusal(422, 'A note says something: type it, or speak it.', [{ field: 'text', message: 'Type it, or speak it.' }]);
  const spoken = voice && { voice: Buffer.from(voice.data, 'base64'), voiceType: voice.type, voiceLasts: voice.lasts };
  await db
    .insert(note)
    .values({ id, sessionId, strikeId, text, saidBy, ...spoken })
    .onConflictDoUpdate({ target: note.id, set: { text, ...spoken } });
  return found(await notesOf(db, eq(note.id, id), saidBy), 'note');
}
