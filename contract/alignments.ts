import { array, number, object, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { id } from './shapes.ts';

/** How two films of a session stand to each other, in milliseconds: time in the other = time × (1 + drift) + offset. */
export const alignmentShape = object({
  filmId: id(),
  otherId: id(),
  offset: number().required(),
  drift: number().required(),
  /** How well the sounds fit; null when tied by hand. */
  fit: number().min(0).max(1).nullable().defined(),
});
export type SavedAlignment = InferType<typeof alignmentShape>;

/** How the films of one session stand to each other in time. */
export const alignmentEndpoints = {
  /** Ties of this film to the others of its session. */
  showAlignments: endpoint('GET', '/api/films/:filmId/alignments', staff, {
    reply: array(alignmentShape.required()).required(),
  }),
  /** Ties two films by hand on one moment that is seen in both. */
  saveAlignment: endpoint('PUT', '/api/films/:filmId/alignments/:otherId', staff, {
    body: object({ offset: number().required() }),
    reply: alignmentShape,
  }),
  /** Drops a tie made by hand and listens again. */
  listenAgain: endpoint('DELETE', '/api/films/:filmId/alignments/:otherId', staff),
};
