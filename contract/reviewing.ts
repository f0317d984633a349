import { agreedVerdicts, verdicts } from '@wax-fist/core/review';
import { array, number, object, string, type InferType } from 'yup';
import { coaches, endpoint, staff } from './endpoint.ts';
import { waitingFilmShape } from './today.ts';
import { count, id, instant } from './shapes.ts';

/** A coach, to be asked to mark a film a second time. */
export const coachShape = object({ id: id(), name: string().required() });
export type Coach = InferType<typeof coachShape>;

/** How often each pair of verdicts was given to one checkpoint in one film: rows the first coach’s, columns the second one’s. */
const pairsShape = array(array(number().integer().min(0).required()).length(agreedVerdicts.length).required())
  .length(agreedVerdicts.length)
  .required();
/** What two coaches said of one checkpoint without knowing of each other. */
export const pairedCheckpointShape = object({
  checkpointId: string().required(),
  films: array(pairsShape).required(),
  /** Strikes on which one of them could not see it and the other could. */
  seenByOne: count(),
});
export type PairedCheckpoint = InferType<typeof pairedCheckpointShape>;

/** A strike of which two coaches said different things. */
export const quarrelShape = object({
  filmId: id(),
  strikeId: id(),
  technique: string().required(),
  traineeName: string().required(),
  heldOn: string().required(),
  first: string().oneOf(verdicts).required(),
  firstBy: string().required(),
  second: string().oneOf(verdicts).required(),
  secondBy: string().required(),
});
export type Quarrel = InferType<typeof quarrelShape>;

/** Longest stretch of work that is told at once. */
export const longestStretch = 10 * 60_000;
/** A stretch of work at the bench. Sent twice it counts once. */
export const effortShape = object({
  id: id(),
  at: instant(),
  /** Milliseconds in which something was done again and again. */
  worked: number().min(0).max(longestStretch, 'A stretch of work is told every few minutes.').required(),
  /** Keys, and presses of the mouse. */
  presses: count(),
});
export type Effort = InferType<typeof effortShape>;

/** What reviewing cost in a week that begins on a Monday, and what came of it. */
export const effortWeekShape = object({
  monday: string().required(),
  worked: number().min(0).required(),
  presses: count(),
  /** Rounds in which somebody judged something. */
  rounds: count(),
  /** Strikes of which something was judged. */
  strikes: count(),
  /** Verdicts given where a measure proposed one, and those that were the proposed one. */
  proposed: count(),
  accepted: count(),
});
export type EffortWeek = InferType<typeof effortWeekShape>;

const film = '/api/films/:filmId';
/** How the club reviews: films marked twice, whether coaches agree, and what it costs. */
export const reviewingEndpoints = {
  listCoaches: endpoint('GET', '/api/coaches', staff, { reply: array(coachShape.required()).required() }),
  /** Asks a coach to mark a film without seeing what was said of it; nobody takes it back. */
  askSecondCoach: endpoint('PUT', `${film}/second-coach`, coaches, {
    body: object({ coachId: id().nullable().defined() }),
  }),
  /** The second coach has said all; from here on both see what the other said. */
  /** Films that only an assistant has marked, and nobody is asked to mark a second time; newest session first. */
  markedByAssistants: endpoint('GET', '/api/films-by-assistants', coaches, {
    reply: array(waitingFilmShape.required()).required(),
  }),
  secondCoachDone: endpoint('POST', `${film}/second-coach/done`, staff),
  /** Films that whoever asks is to mark blind. */
  filmsToMarkBlind: endpoint('GET', '/api/films-to-mark-blind', staff, {
    reply: array(waitingFilmShape.required()).required(),
  }),
  agreement: endpoint('GET', '/api/agreement', staff, { reply: array(pairedCheckpointShape.required()).required() }),
  quarrels: endpoint('GET', '/api/agreement/:checkpoint', staff, { reply: array(quarrelShape.required()).required() }),
  tellEffort: endpoint('PUT', `${film}/effort/:effortId`, staff, { body: effortShape }),
  effort: endpoint('GET', '/api/effort', staff, { reply: array(effortWeekShape.required()).required() }),
};
