import { array, object, string, type InferType } from 'yup';
import { coaches, endpoint, staff } from './endpoint.ts';
import { frame, id } from './shapes.ts';

/** What a reference still shows: how it should look, or the fault. */
export const stillKinds = ['clean', 'fault'] as const;
/** A frame, or a strike, of the club's own footage that shows how something should, or should not, look. */
export const referenceStillShape = object({
  technique: string().required(),
  checkpoint: string().required(),
  kind: string().oneOf(stillKinds).required(),
  filmId: id(),
  frame: frame(),
  /** First and last frame of the strike that it is of, to be played; null for a still alone. */
  fromFrame: frame().nullable().default(null),
  toFrame: frame().nullable().default(null),
}).test(
  'strike',
  'A still lies in the strike that it is of.',
  ({ frame: at, fromFrame, toFrame }) =>
    (fromFrame === null && toFrame === null) || (fromFrame !== null && toFrame !== null && fromFrame <= at && at <= toFrame),
);
export type ReferenceStill = InferType<typeof referenceStillShape>;

/** The club’s own reference stills, taken from its films. */
export const stillEndpoints = {
  listReferenceStills: endpoint('GET', '/api/reference-stills', staff, {
    reply: array(referenceStillShape.required()).required(),
  }),
  saveReferenceStill: endpoint('PUT', '/api/reference-stills/:technique/:checkpoint/:kind', coaches, {
    body: referenceStillShape,
    reply: referenceStillShape,
  }),
  removeReferenceStill: endpoint('DELETE', '/api/reference-stills/:technique/:checkpoint/:kind', coaches),
};
