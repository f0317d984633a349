import { array, object, string, type InferType } from 'yup';
import { costly, endpoint, filledPath, staff } from './endpoint.ts';
import { count, id, milliseconds, share } from './shapes.ts';

/** A strike to look at: the time in its film, and its tag where it has one. */
const place = { filmId: id(), time: milliseconds(), strikeId: string().nullable().defined() };

/** A name that ear and eye found, and what coaches made of it. */
export const nameKeptShape = object({
  found: string().required(),
  strikes: count(),
  kept: count(),
  /** What it was instead; null is nothing. */
  otherwise: array(
    object({
      said: string().nullable().defined(),
      times: count(),
      /** The surest mistake. */
      look: object(place).required(),
    }).required(),
  ).required(),
});
export type NameKeptHere = InferType<typeof nameKeptShape>;

/** What coaches made of the names that were found in a club’s films. */
export const foundNamesShape = object({
  /** Films of which this is told, the newest. */
  films: count(),
  names: array(nameKeptShape.required()).required(),
  /** Whether names are as sure as they claim. */
  sure: array(object({ from: share(), to: share(), strikes: count(), claimed: share(), kept: share() }).required()).required(),
  /** Tagged and not found, by technique. */
  missed: array(object({ technique: string().required(), times: count(), look: object(place).required() }).required()).required(),
  /** How many strikes are tagged in these films. */
  tagged: count(),
});
export type FoundNames = InferType<typeof foundNamesShape>;

/** How well strikes are found and named here, by what coaches changed. */
export const foundNameEndpoints = {
  foundNames: endpoint('GET', '/api/found-names', staff, { reply: foundNamesShape }),
  /** Every strike that coaches named otherwise, as a table (CSV). */
  changedNames: costly(endpoint('GET', '/api/found-names/changed.csv', staff)),
};
export const changedNamesUrl = filledPath(foundNameEndpoints.changedNames.path, {});
