import { object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { filmShape } from './footage.ts';
import { pageOf, pageQuery } from './page.ts';
import { id } from './shapes.ts';

/** A film that no coach has called done yet, with whose it is. */
export const waitingFilmShape = object({
  film: filmShape.required(),
  traineeId: id(),
  traineeName: string().required(),
  heldOn: string().required(),
});
export type WaitingFilm = InferType<typeof waitingFilmShape>;

/** What waits for a coach today. */
export const todayEndpoints = {
  /** Newest session first. */
  filmsToReview: endpoint('GET', '/api/films-to-review', staff, {
    query: pageQuery,
    reply: pageOf(waitingFilmShape.required()),
  }),
};
