import { bodyParts } from '@wax-fist/core/trainee';
import { array, object, string, type InferType } from 'yup';
import { coaches, endpoint } from './endpoint.ts';
import { day, id, note, shortText } from './shapes.ts';

/** Where somebody is hurt, from when to when. A blow to the head is over only when a doctor has cleared it. */
export const limitShape = object({
  id: id(),
  traineeId: id(),
  part: string().oneOf(bodyParts).required('Where does it hurt?'),
  since: day().required('Since when?'),
  /** The last day; null while it lasts. */
  until: day().nullable().default(null),
  note: note().default(''),
  /** Who cleared a blow to the head. */
  clearedBy: shortText('Cleared by').default(''),
})
  .test('order', 'It cannot end before it began.', ({ since, until }) => !until || until >= since)
  .test(
    'cleared',
    'After a blow to the head a doctor has to clear it: who did?',
    ({ part, until, clearedBy }) => part !== 'head' || !until || clearedBy !== '',
  );
export type Limit = InferType<typeof limitShape>;

/** What somebody may not load. */
export const limitEndpoints = {
  /** Those that last first, then the newest. */
  traineeLimits: endpoint('GET', '/api/trainees/:traineeId/limits', coaches, { reply: array(limitShape.required()).required() }),
  saveLimit: endpoint('PUT', '/api/limits/:limitId', coaches, { body: limitShape, reply: limitShape }),
};
