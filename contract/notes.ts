import { array, boolean, number, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { id, instant, note } from './shapes.ts';

/** In what browsers record speech. */
export const voiceTypes = ['audio/webm', 'audio/ogg', 'audio/mp4'] as const;
/** A spoken note is no longer than this, in milliseconds. */
export const longestVoice = 120_000;
/** As base 64: two minutes of speech, with room to spare. */
const mostVoice = 800_000;

const voiceDraft = object({
  type: string().oneOf(voiceTypes, 'This kind of recording is not known here.').required(),
  lasts: number().min(0).max(longestVoice, 'A spoken note can last two minutes.').required(),
  /** Base 64. */
  data: string()
    .matches(/^[A-Za-z0-9+/]+=*$/, 'This recording cannot be read.')
    .max(mostVoice, 'A spoken note can last two minutes.')
    .required(),
});

/** A note on a session, or on one of its strikes: typed, spoken, or both. */
export const noteDraftShape = object({
  id: id(),
  sessionId: id(),
  strikeId: id().nullable().default(null),
  text: note().default(''),
  /** What was spoken; a note that has it keeps it when its text is changed. */
  voice: voiceDraft.nullable().default(null),
});
export type NoteDraft = InferType<typeof noteDraftShape>;

/** A note as it is listed; what was spoken is fetched by itself. */
export const noteShape = object({
  id: id(),
  sessionId: id(),
  strikeId: string().nullable().defined(),
  /** Where the strike is, to go there; null of a session. */
  strike: object({ filmId: id(), technique: string().required(), contactFrame: number().required() }).nullable().default(null),
  text: string().defined(),
  voice: object({ lasts: number().required() }).nullable().default(null),
  saidBy: string().required(),
  /** Whether whoever asks may change it. */
  own: boolean().required(),
  saidAt: instant(),
});
export type Note = InferType<typeof noteShape>;

/** Notes by voice or text. */
export const noteEndpoints = {
  /** Oldest first. */
  sessionNotes: endpoint('GET', '/api/sessions/:sessionId/notes', staff, { reply: array(noteShape.required()).required() }),
  saveNote: endpoint('PUT', '/api/notes/:noteId', staff, { body: noteDraftShape, reply: noteShape }),
  noteVoice: endpoint('GET', '/api/notes/:noteId/voice', staff),
  removeNote: endpoint('DELETE', '/api/notes/:noteId', staff),
};
