import { views } from '@wax-fist/core/technique';
import { array, number, object, string, type InferType } from 'yup';
import { costly, endpoint, seen, staff } from './endpoint.ts';
import { frame, id } from './shapes.ts';

/** Which strikes a montage shows: the faulty ones, the clean ones, or one of the opening and one of now in turn. */
export const montageKinds = ['faults', 'clean', 'then-now'] as const;
export type MontageKind = (typeof montageKinds)[number];
export const montageKindNames: Readonly<Record<MontageKind, string>> = {
  faults: 'All faults',
  clean: 'All clean ones',
  'then-now': 'Then and now',
};

/** A strike of a montage, from a little before its launch to a little after it is home. */
export const montagePieceShape = object({
  strikeId: id(),
  filmId: id(),
  heldOn: string().required(),
  view: string().oneOf(views).required(),
  /** Of the two of then and now; empty else. */
  label: string().defined(),
  fromFrame: frame(),
  contactFrame: frame(),
  toFrame: frame(),
});
export type MontagePiece = InferType<typeof montagePieceShape>;

/** Short loops of one thing in a session, one after another. */
export const montageShape = object({
  sessionId: id(),
  traineeName: string().required(),
  heldOn: string().required(),
  technique: string().required(),
  name: string().required(),
  /** What the coach says of it; empty where nothing is worked on. */
  cue: string().defined(),
  pieces: array(montagePieceShape.required()).required(),
});
export type Montage = InferType<typeof montageShape>;

const about = object({
  technique: string().max(80).required(),
  checkpointId: string().max(80).required(),
  which: string().oneOf(montageKinds).required(),
});

/** A montage that is written as a film, or was. */
export const montageFilmShape = object({
  id: id(),
  state: string().oneOf(['working', 'ready', 'failed']).required(),
  progress: number().min(0).max(1).required(),
  reason: string().nullable().defined(),
});
export type MontageFilm = InferType<typeof montageFilmShape>;

/** Montages, watched on the page and written as films. */
export const montageEndpoints = {
  showMontage: endpoint('GET', '/api/sessions/:sessionId/montage', staff, { query: about, reply: montageShape }),
  writeMontage: costly(
    endpoint('POST', '/api/montages', staff, {
      body: about.shape({ id: id(), sessionId: id() }),
      reply: montageFilmShape,
    }),
  ),
  montageFilm: endpoint('GET', '/api/montages/:montageId', staff, { reply: montageFilmShape }),
  /** The film itself, mp4. */
  montageBytes: seen('montage', 'montageId', endpoint('GET', '/api/montages/:montageId/file', staff)),
};
