import { noteEndpoints } from '@wax-fist/contract/notes';
import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import { note } from '../../db/schema/index.ts';
import { found, notFound, Refusal } from '../../http/refusal.ts';
import { sameId, serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { notesOf, saveNote } from './queries.ts';

export function noteRoutes(router: Router, { db }: Services): void {
  serve(router, noteEndpoints.sessionNotes, ({ params, account }) =>
    notesOf(db, eq(note.sessionId, params.sessionId), account.id),
  );
  serve(router, noteEndpoints.saveNote, ({ params, body, account }) => {
    sameId(params.noteId, body.id);
    return saveNote(db, body, account.id);
  });
  serve(router, noteEndpoints.noteVoice, async ({ params, response }) => {
    const { voice, voiceType } = found(
      await db.select({ voice: note.voice, voiceType: note.voiceType }).from(note).where(eq(note.id, params.noteId)),
      'note',
    );
    if (!voice) throw notFound('voice');
    response.set('Cache-Control', 'private, no-cache').type(voiceType!).send(voice);
  });
  serve(router, noteEndpoints.removeNote, async ({ params, account }) => {
    const { saidBy } = found(await db.select({ saidBy: note.saidBy }).from(note).where(eq(note.id, params.noteId)), 'note');
    if (saidBy !== account.id && account.role !== 'head-coach')
      throw new Refusal(403, 'Somebody else said this. They can take it away, or the head coach.');
    await db.delete(note).where(eq(note.id, params.noteId));
  });
}
