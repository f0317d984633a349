import { anyLevel, hitSources, strikeSources } from '@wax-fist/core/sound';
import { overlapping, roundKinds, roundManners } from '@wax-fist/core/rounds';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { id, milliseconds, shortText, text, version, share } from './shapes.ts';

/** A share of a whole, 0 to 1. */

/** Something that may be a hit: its time in milliseconds, how much it stands out, 0 to 1, and how it sounded. */
export const candidateShape = object({
  time: milliseconds(),
  prominence: share(),
  sound: object({
    level: number().required(),
    attack: number().required(),
    decay: number().required(),
    brightness: share(),
    snap: share(),
  })
    .optional()
    .default(undefined),
});

/** A strike or a defence that ear and eye found as one: besides, what it is known from, and what it may have been. */
export const foundStrikeShape = candidateShape.shape({
  from: array(string().oneOf(strikeSources).required()).required(),
  names: array(object({ technique: string().required(), chance: share() }).required()).required(),
});

/** Part of a picture; each side a share of its width or height. */
export const regionShape = object({ left: share(), top: share(), width: share(), height: share() });

const mostEdits = 5000;
/** What the coach changed about the hits, as a whole. */
export const hitEditsShape = object({
  source: string().oneOf(hitSources).required(),
  sensitivity: share(),
  /** Decibels to the usual hit: what is quieter comes from another bag. */
  leastLevel: number().min(anyLevel).max(20).default(anyLevel),
  /** Milliseconds: hits closer than this are one combination. */
  gap: number().min(100).max(5000).required(),
  added: array(milliseconds()).max(mostEdits).required(),
  removed: array(milliseconds()).max(mostEdits).required(),
  region: regionShape.required(),
});
export type SavedHitEdits = InferType<typeof hitEditsShape>;

/** A span of a film in which somebody works; milliseconds from the first frame. */
export const roundShape = object({
  id: id(),
  name: shortText('Name').required('What is this round called?'),
  from: milliseconds(),
  to: milliseconds(),
  kind: string().oneOf(roundKinds).required(),
  manner: string().oneOf(roundManners).required(),
  /** What was planned for it, as a recipe of calls; empty when nothing was. */
  planned: text().max(1000, 'A plan has at most 1,000 letters.').default(''),
  /** Found by the program and not yet looked at by a coach. */
  proposed: boolean().required(),
}).test('lasts', 'A round begins before it ends.', ({ from, to }) => from < to);
export type Round = InferType<typeof roundShape>;

const mostRounds = 60;
const roundListShape = array(roundShape.required()).max(mostRounds, `At most ${mostRounds} rounds in one film.`).required();

const spanShape = object({ from: milliseconds(), to: milliseconds() });

/** What was found in a film by ear and by eye, what a coach changed about it, and the rounds it was cut into. */
export const hitsAndRoundsShape = object({
  /** Null until the step that finds them is done. */
  sound: array(candidateShape.required()).nullable().defined(),
  motion: array(candidateShape.required()).nullable().defined(),
  both: array(foundStrikeShape.required()).nullable().defined(),
  rings: array(object({ time: milliseconds(), hertz: number().required() }).required()).required(),
  /** When somebody talks, and when nobody is in the picture. */
  talk: array(spanShape.required()).required(),
  away: array(spanShape.required()).required(),
  edits: hitEditsShape.required(),
  rounds: roundListShape,
  /** Rises with every change; a change made from an older one is refused. */
  version: version(),
});
export type HitsAndRounds = InferType<typeof hitsAndRoundsShape>;

/** Hits and rounds of a film: what was found, and what the coach made of it. */
export const roundEndpoints = {
  showHitsAndRounds: endpoint('GET', '/api/films/:filmId/hits-and-rounds', staff, { reply: hitsAndRoundsShape }),
  saveHits: endpoint('PUT', '/api/films/:filmId/hits', staff, {
    body: object({ edits: hitEditsShape.required(), basedOn: version() }),
    reply: hitsAndRoundsShape,
  }),
  saveRounds: endpoint('PUT', '/api/films/:filmId/rounds', staff, {
    body: object({
      rounds: roundListShape.test('apart', 'Two rounds overlap.', (rounds) => !overlapping(rounds)),
      basedOn: version(),
    }),
    reply: hitsAndRoundsShape,
  }),
};
