import { removalShape } from './removals.ts';
import { stances, views } from '@wax-fist/core/technique';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { endpoint, filledPath, seen, staff, staffAndShown, whoAddedIt } from './endpoint.ts';
import { count, id, line } from './shapes.ts';

/**
 * Ready as soon as the review copy plays; steps that only add to it may still be under way. Of one that was withdrawn only counts are
 * left.
 */
export const filmStates = ['waiting', 'working', 'ready', 'failed', 'stopped', 'withdrawn'] as const;
/** What is done with a film, in the order in which one worker would do it. A later version may know more of them. */
export const importSteps = [
  'probe',
  'review-copy',
  'timeline',
  'film-strip',
  'sound',
  'hits',
  'views',
  'motion',
  'pose',
  'strikes',
  'holder',
  'second-pass',
] as const;
export type ImportStep = (typeof importSteps)[number];
/** Skipped: there is nothing to do, as with a film that has no sound. */
export const stepStates = ['waiting', 'working', 'done', 'skipped', 'failed', 'stopped'] as const;
export type StepState = (typeof stepStates)[number];

/**
 * What is made from a film and kept beside its original: the review copy, a row of small pictures, its sound (16 kHz mono from the
 * first frame on), and the movement of each frame (see `movementOf`). An open list, as that of the steps which make them.
 */
export const derivedFiles = ['film.mp4', 'strip.jpg', 'sound.wav', 'motion.bin'] as const;
export type DerivedFile = (typeof derivedFiles)[number];

/** A step of the import of a film: how far it is, 0 to 1, milliseconds left, and why it failed. */
export const filmStepShape = object({
  step: string().oneOf(importSteps).required(),
  state: string().oneOf(stepStates).required(),
  /** 0 to 1 within the step. */
  progress: number().min(0).max(1).required(),
  /** Milliseconds that are likely left, once enough is done to tell. */
  left: number().min(0).nullable().defined(),
  /** Why it failed, or is tried again. */
  reason: string().nullable().defined(),
});
export type FilmStep = InferType<typeof filmStepShape>;

/** The film strip: so many small pictures side by side, each this wide and high in pixels. */
export const stripShape = object({ pictures: count(), width: count(), height: count() });

/** A film as every page knows it: what was filmed from where, and how far its import is. Times in milliseconds. */
export const filmShape = object({
  id: id(),
  sessionId: id(),
  /** The account that added it; null when that is gone. */
  addedBy: string().nullable().defined(),
  view: string().oneOf(views).required(),
  /** Which foot leads in it; null where it is the trainee’s usual one. */
  stance: string().oneOf(stances).nullable().defined(),
  /** Who marks it a second time without seeing what was said; null where nobody was asked to. */
  secondCoach: object({ id: id(), name: string().required(), done: boolean().required() }).nullable().default(null),
  fileName: string().required(),
  bytes: number().required(),
  state: string().oneOf(filmStates).required(),
  steps: array(filmStepShape.required()).required(),
  /** Why it could not be imported, or what was odd about it. */
  remark: string().nullable().defined(),
  /** Milliseconds; null until known. */
  duration: number().nullable().defined(),
  frames: number().integer().nullable().defined(),
  /** When the first frame is shown in the review copy's own time, in milliseconds; the timeline counts from there. */
  firstFrameAt: number().min(0).nullable().defined(),
  /** Pixels of the review copy. */
  width: number().integer().nullable().defined(),
  height: number().integer().nullable().defined(),
  hasSound: boolean().required(),
  strip: stripShape.nullable().defined(),
  strikes: count(),
  marked: count(),
  /** The coach has said that this round is done. */
  done: boolean().required(),
});
export type Film = InferType<typeof filmShape>;

/** A film that is about to be sent. Its hash tells whether the club has the same bytes already. */
export const filmDraftShape = object({
  id: id(),
  sessionId: id(),
  uploadId: string()
    .matches(/^[\w-]+$/)
    .required(),
  fileName: line('File name', 255).required('File name: something is needed.'),
  view: string().oneOf(views, 'From where was it filmed?').required(),
  /** As the sender worked it out, so that the same bytes sent right after are known; the import takes it again. */
  sha256: string().matches(/^[0-9a-f]{64}$/),
});
export type FilmDraft = InferType<typeof filmDraftShape>;

/** A film that is here already, told when somebody chooses the same file again. */
export const knownFilmShape = object({
  filmId: id(),
  sessionId: id(),
  fileName: string().required(),
  view: string().oneOf(views).required(),
  traineeName: string().required(),
  heldOn: string().required(),
});
export type KnownFilm = InferType<typeof knownFilmShape>;

/** The narrowest square in which somebody can be told. */
export const leastBodySide = 24;
/** Somebody in a frame, whom a coach has pointed out: the middle and the side of the square round them, in pixels of the review copy. */
export const pointedBodyShape = object({
  id: id(),
  frame: count(),
  x: number().required(),
  y: number().required(),
  side: number().min(leastBodySide, 'The square is too small to hold anybody.').required(),
});
export type PointedBody = InferType<typeof pointedBodyShape>;
export const keptPointedBodyShape = pointedBodyShape.shape({
  /** The name of whoever has said so; null when that account is gone. */
  saidBy: string().nullable().defined(),
  saidAt: string().required(),
  followed: boolean().required(),
});
export type KeptPointedBody = InferType<typeof keptPointedBodyShape>;

/** Films: adding, changing, importing again, removing, and their files. */
export const footageEndpoints = {
  addFilm: endpoint('PUT', '/api/films/:filmId', staff, { body: filmDraftShape, reply: filmShape }),
  showFilm: endpoint('GET', '/api/films/:filmId', staff, { reply: filmShape }),
  changeFilm: endpoint('PATCH', '/api/films/:filmId', staff, {
    body: object({
      view: string().oneOf(views).optional(),
      stance: string().oneOf(stances).nullable().optional(),
      done: boolean().optional(),
    }),
    reply: filmShape,
  }),
  /** Goes on with steps that failed or were stopped. */
  retryFilm: endpoint('POST', '/api/films/:filmId/retry', staff, { reply: filmShape }),
  stopFilm: endpoint('POST', '/api/films/:filmId/stop', staff, { reply: filmShape }),
  filmsKnownBy: endpoint('GET', '/api/films-known-by/:sha256', staff, { reply: array(knownFilmShape.required()).required() }),
  /** With its marks by a coach; whoever added it may remove it as long as there are none. */
  removeFilm: endpoint('DELETE', '/api/films/:filmId', whoAddedIt, { reply: removalShape }),
  sessionFilms: endpoint('GET', '/api/sessions/:sessionId/films', staff, { reply: array(filmShape.required()).required() }),
  /** Bytes of a derived file, by range. */
  filmFile: seen('film', 'filmId', endpoint('GET', '/api/films/:filmId/files/:file', staffAndShown)),
  /** When every frame is shown, see `packTimeline`. */
  filmTimeline: endpoint('GET', '/api/films/:filmId/timeline', staff),
  /** See `loudnessOf`. */
  filmLoudness: endpoint('GET', '/api/films/:filmId/loudness', staff),
  /** Where the body was in every frame, see `packTrack`; a frame that was not looked at yet has nobody in it. */
  filmPoints: endpoint('GET', '/api/films/:filmId/points', staff),
  /** The same of whoever holds, in rounds on pads. */
  filmHolderPoints: endpoint('GET', '/api/films/:filmId/holder-points', staff),
  /** What a second pass has found in the frames round strikes; without a byte where there was none. */
  filmSecondPass: endpoint('GET', '/api/films/:filmId/second-pass', staff),
  /** Says who is to be followed: from there it is done again, as far as it was somebody else until now. */
  pointOutBody: endpoint('PUT', '/api/films/:filmId/bodies/:bodyId', staff, { body: pointedBodyShape, reply: filmShape }),
  pointedBodies: endpoint('GET', '/api/films/:filmId/bodies', staff, {
    reply: array(keptPointedBodyShape.required()).required(),
  }),
};

/** The address of a derived file. */
export const filmFileUrl = (filmId: string, file: DerivedFile): string =>
  filledPath(footageEndpoints.filmFile.path, { filmId, file });

/** Where resumable uploads (the open tus protocol) go. */
export const uploadPath = '/api/uploads';
/** Endings that the chooser offers; what a file really is, the server finds out. */
export const videoEndings = [
  ...['.mp4', '.mov', '.m4v', '.3gp', '.webm', '.mkv', '.avi', '.ts', '.mts', '.m2ts'],
  ...['.mpg', '.mpeg', '.ogv', '.flv', '.wmv', '.asf', '.mxf', '.dv'],
] as const;
/** Bytes. */
export const largestUpload = 8 * 1024 ** 3;
