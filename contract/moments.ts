import { hitSources, overlapping, roundKinds, roundManners } from '@wax-fist/core/moments';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { coaches, endpoint } from './endpoint.ts';
import { id, shortText } from './shapes.ts';

const share = () => number().min(0).max(1).required();
const milliseconds = () => number().min(0).required();

export const candidateShape = object({
  time: milliseconds(),
  prominence: share(),
  sound: object({
    level: number().required(),
    attack: number().required(),
    decay: number().required(),
    brightness: share(),
    snap: share(),
  }).optional().default(undefined),
}); // prettier-ignore

export const regionShape = object({ left: share(), top: share(), width: share(), height: share() });

/** What the coach changed about the hits, as a whole; `basedOn` is the version it was changed from. */
export const hitEditsShape = object({
  source: string().oneOf(hitSources).required(),
  sensitivity: share(),
  /** Milliseconds: hits closer than this are one combination. */
  gap: number().min(100).max(5000).required(),
  added: array(milliseconds()).max(5000).required(),
  removed: array(milliseconds()).max(5000).required(),
  region: regionShape.required(),
});
export type SavedHitEdits = InferType<typeof hitEditsShape>;

export const roundShape = object({
  id: id(),
  name: shortText('Name').required('What is this round called?'),
  from: milliseconds(),
  to: milliseconds(),
  kind: string().oneOf(roundKinds).required(),
  manner: string().oneOf(roundManners).required(),
  /** What was planned for it, as a recipe of calls; empty when nothing was. */
  planned: string().trim().max(1000, 'A plan has at most 1,000 letters.').default(''),
  /** Found by the program and not yet looked at by a coach. */
  proposed: boolean().required(),
}).test('lasts', 'A round begins before it ends.', ({ from, to }) => from < to);
export type Round = InferType<typeof roundShape>;

export const roundListShape = array(roundShape.required()).max(60, 'At most 60 rounds in one film.').required();

export const momentsShape = object({
  /** Null until the step that finds them is done. */
  sound: array(candidateShape.required()).nullable().defined(),
  motion: array(candidateShape.required()).nullable().defined(),
  rings: array(object({ time: milliseconds(), hertz: number().required() }).required()).required(),
  edits: hitEditsShape.required(),
  rounds: roundListShape,
  /** Rises with every change; a change made from an older one is refused. */
  version: number().integer().required(),
});
export type Moments = InferType<typeof momentsShape>;

const basedOn = number().integer().min(0).required();

/** How two films of a session stand to each other: time in the other = time × (1 + drift) + offset. */
export const alignmentShape = object({
  clipId: id(),
  otherId: id(),
  offset: number().required(),
  drift: number().required(),
  /** How well the sounds fit; null when tied by hand. */
  fit: number().min(0).max(1).nullable().defined(),
});
export type SavedAlignment = InferType<typeof alignmentShape>;

export const momentsEndpoints = {
  showMoments: endpoint('GET', '/api/clips/:clipId/moments', coaches, { reply: momentsShape }),
  saveHits: endpoint('PUT', '/api/clips/:clipId/hits', coaches, {
    body: object({ edits: hitEditsShape.required(), basedOn }),
    reply: momentsShape,
  }),
  saveRounds: endpoint('PUT', '/api/clips/:clipId/rounds', coaches, {
    body: object({
      rounds: roundListShape.test('apart', 'Two rounds overlap.', (rounds) => !overlapping(rounds ?? [])),
      basedOn,
    }),
    reply: momentsShape,
  }),
  /** Ties of this film to the others of its session. */
  showAlignments: endpoint('GET', '/api/clips/:clipId/alignments', coaches, {
    reply: array(alignmentShape.required()).required(),
  }),
  /** Ties two films by hand on one moment that is seen in both. */
  saveAlignment: endpoint('PUT', '/api/clips/:clipId/alignments/:otherId', coaches, {
    body: object({ offset: number().required() }),
    reply: alignmentShape,
  }),
  /** Drops a tie made by hand and listens again. */
  listenAgain: endpoint('DELETE', '/api/clips/:clipId/alignments/:otherId', coaches),
};
