import { bodyLimit } from '../../db/schema/index.ts';

/** A limit as it is told. */
export const limitColumns = {
  id: bodyLimit.id,
  traineeId: bodyLimit.traineeId,
  part: bodyLimit.part,
  since: bodyLimit.since,
  until: bodyLimit.until,
  note: bodyLimit.note,
  clearedBy: bodyLimit.clearedBy,
  steps: bodyLimit.steps,
};
