import { array, number, object, type InferType } from 'yup';
import { costly, endpoint, staff } from './endpoint.ts';
import { id } from './shapes.ts';

/** Rounds that one person works in a row; people are counted from 0, in the order in which they are first seen. */
export const turnShape = object({ person: number().integer().min(0).required(), roundIds: array(id()).required() });
export type Turn = InferType<typeof turnShape>;

const mostParts = 30;
/** A part of a film that becomes a film of its own: under which id, whose it is, and which rounds are in it. */
export const filmPartShape = object({
  filmId: id(),
  traineeId: id(),
  roundIds: array(id()).min(1, 'A part has at least one round.').required(),
});
export type FilmPart = InferType<typeof filmPartShape>;

/** A film in which several trainees take turns, cut into a film for each. */
export const filmPartEndpoints = {
  /** Who seems to work in which round, by what they wear. */
  filmTurns: endpoint('GET', '/api/films/:filmId/turns', staff, { reply: array(turnShape.required()).required() }),
  /**
   * Each part becomes a film of its trainee’s session of that day, which is added where there is none. The whole is removed: it shows
   * everybody, and nobody’s consent reaches what lies with somebody else.
   */
  cutFilm: costly(
    endpoint('POST', '/api/films/:filmId/cut', staff, {
      body: object({
        parts: array(filmPartShape.required()).min(1).max(mostParts, `At most ${mostParts} parts.`).required(),
      }),
      reply: array(object({ filmId: id(), sessionId: id() }).required()).required(),
    }),
  ),
};
