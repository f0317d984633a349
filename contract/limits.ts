import { bodyParts, returnSteps, stepsProblem } from '@wax-fist/core/trainee';
import { array, object, string, type InferType } from 'yup';
import { endpoint, staff } from './endpoint.ts';
import { day, id, note, shortText, whole } from './shapes.ts';

/** Steps that were reached, in their order. */
const stepsShape = array(
  object({ step: whole('Step', 1, returnSteps.length).required(), on: day().required('On which day?') }).required(),
)
  .max(returnSteps.length)
  .default([]);

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
  /** Steps of the way back after a blow to the head, in their order. */
  steps: stepsShape,
})
  .test('order', 'It cannot end before it began.', ({ since, until }) => !until || until >= since)
  .test(
    'cleared',
    'After a blow to the head a doctor has to clear it: who did?',
    ({ part, until, clearedBy }) => part !== 'head' || !until || clearedBy !== '',
  )
  .test('steps', function ({ part, steps, clearedBy }) {
    // What is no list of steps is said already, of its own field.
    if (!Array.isArray(steps) || !stepsShape.isValidSync(steps)) return true;
    const message =
      steps.length > 0 && part !== 'head' ? 'Only after a blow to the head.' : stepsProblem(steps, Boolean(clearedBy));
    return message === undefined || this.createError({ path: 'steps', message });
  });
export type Limit = InferType<typeof limitShape>;

/** What somebody may not load. */
export const limitEndpoints = {
  /** Those that last first, then the newest. */
  traineeLimits: endpoint('GET', '/api/trainees/:traineeId/limits', staff, { reply: array(limitShape.required()).required() }),
  saveLimit: endpoint('PUT', '/api/limits/:limitId', staff, { body: limitShape, reply: limitShape }),
};
