import { array, object, string, type InferType } from 'yup';
import { coaches, endpoint, headCoachOnly } from './endpoint.ts';
import { id, instant } from './shapes.ts';

/** What can be removed with all that belongs to it, and put back for a day. */
export const removableKinds = ['trainee', 'training_session', 'film'] as const;
export type RemovableKind = (typeof removableKinds)[number];

/** Something that was removed and can still be put back. */
export const removalShape = object({
  id: id(),
  kind: string().oneOf(removableKinds).required(),
  /** What it was, as people call it. */
  says: string().required(),
  removedAt: instant(),
  by: string().required(),
  /** When it is gone for good. */
  endsAt: instant(),
});
export type Removal = InferType<typeof removalShape>;

/** Removing what belongs to somebody, and putting it back. */
export const removalEndpoints = {
  /** The newest first. */
  listRemovals: endpoint('GET', '/api/removals', coaches, { reply: array(removalShape.required()).required() }),
  removeTrainee: endpoint('DELETE', '/api/trainees/:traineeId', headCoachOnly, { reply: removalShape }),
  removeSession: endpoint('DELETE', '/api/sessions/:sessionId', coaches, { reply: removalShape }),
  /** As it was, with everything. */
  putBack: endpoint('POST', '/api/removals/:removalId/put-back', coaches),
  /** For good, and now. */
  endRemoval: endpoint('DELETE', '/api/removals/:removalId', headCoachOnly),
};
